import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  cutSizeOf,
  millimetres,
  planBox,
  stockPaper,
  usualRequest,
  zero,
  type PlanRequest,
  type TagChoice,
} from '../index.ts';
import { sundial } from '../testing/requests.ts';
import { toldSteps } from '../testing/told.ts';

const tags: fc.Arbitrary<TagChoice> = fc.record({
  addition: fc.constant('tag' as const),
  id: fc.constant('tag-1'),
  shape: fc.constantFrom('straight', 'clipped', 'rounded', 'shaped end', 'round'),
  width: fc.integer({ min: 12, max: 120 }).map(millimetres),
  height: fc.integer({ min: 12, max: 140 }).map(millimetres),
  isFolded: fc.boolean(),
  hasHole: fc.boolean(),
  layers: fc
    .array(
      fc.record({
        margin: fc.constantFrom(1, 2, 3, 12).map(millimetres),
        paper: fc.constantFrom('dusk', 'orbits', 'eggshell').map((id) => stockPaper(id)),
        standsOff: fc.boolean(),
      }),
      { minLength: 1, maxLength: 4 },
    )
    .map(([first, ...more]) => [
      { paper: stockPaper('dusk'), ...first, margin: zero, standsOff: false },
      ...more,
    ]),
});

function tagged(request: PlanRequest, tag: TagChoice): PlanRequest {
  return { ...request, additions: [tag] };
}

describe('a tag', () => {
  const plain = usualRequest(sundial, 'inch');
  const bare = planBox(plain);

  it('has every layer within the one under it by its margin, on the marks, and changes nothing of the box', () => {
    fc.assert(
      fc.property(tags, (tag) => {
        const request = tagged(plain, tag);
        const result = planBox(request);
        if (!bare.ok) throw new Error(bare.problems[0]?.message);
        if (!result.ok) {
          // What is refused says which layer, and a margin that is said to do does.
          const [problem] = result.problems;
          const at = Number(/^additions\.0\.layers\.(\d)\.margin$/.exec(problem?.field ?? '')?.[1]);
          expect(at).toBeGreaterThan(0);
          if (problem?.nearest === undefined) return;
          const margin = problem.nearest;
          const layers = tag.layers.map((layer, i) => (i === at ? { ...layer, margin } : layer));
          const again = planBox(tagged(plain, { ...tag, layers }));
          // The next one may be too small in its turn.
          if (!again.ok) expect(again.problems[0]?.field).not.toBe(problem.field);
          return;
        }
        const { plan } = result;
        expect(plan.assembly.parts).toEqual(bare.plan.assembly.parts);
        const own = plan.pieces.filter(({ id }) => id.startsWith('tag-1'));
        expect(own).toHaveLength(tag.layers.length);
        const sixteenth = 25_400_000 / 16;
        const isFolded = tag.isFolded && tag.shape !== 'round';
        const [hung] = plan.assembly.tags ?? [];
        const sizes = own.map(({ grid }, i) => {
          const { width, height } = cutSizeOf(grid);
          expect(width % sixteenth).toBe(0);
          expect(height % sixteenth).toBe(0);
          return { width, height: i === 0 && isFolded ? height / 2 : height };
        });
        const [whole] = sizes;
        if (!whole) throw new Error('There is no tag');
        // An end is shaped by a punch of its own width.
        const isShaped = tag.shape === 'shaped end' && !isFolded;
        expect(hung?.endPunch !== undefined).toBe(isShaped);
        if (isShaped) expect(whole.width).toBe(2 * 25_400_000);
        else expect(whole.width).toBeLessThanOrEqual(tag.width);
        // Rounded by the punches that there are, or by hand where it is too small for these.
        const rounded = own.map(({ grid }) =>
          grid.cutouts.flatMap((cutout) =>
            cutout.shape === 'corner' && cutout.use === 'tag corner'
              ? [Math.abs(cutout.along)]
              : [],
          ),
        );
        for (const radii of rounded) {
          expect(radii).toHaveLength(tag.shape === 'rounded' && !isFolded ? 4 : 0);
          for (const radius of radii)
            if (radius > 6_000_000) expect([6_350_000, 10_000_000]).toContain(radius);
        }
        sizes.slice(1).forEach(({ width, height }, i) => {
          const margin = tag.layers[i + 1]?.margin ?? 0;
          const under = sizes[i] ?? whole;
          for (const [over, below] of [
            [width, under.width],
            [height, under.height],
          ] as const) {
            expect(below - over).toBeGreaterThanOrEqual(2 * margin - sixteenth);
            expect(below - over).toBeLessThanOrEqual(2 * margin + sixteenth);
          }
        });
        if (hung?.top === 'shorter edge') expect(whole.width).toBeLessThan(whole.height);
        if (hung?.top === 'longer edge') expect(whole.width).toBeGreaterThan(whole.height);
        expect(hung?.top === 'fold').toBe(isFolded);
        expect(hung?.hole !== undefined).toBe(tag.hasHole);
        if (hung?.hole) {
          const { fromTop, across } = hung.hole;
          expect(fromTop - across / 2).toBeGreaterThanOrEqual(1_000_000);
          expect(fromTop + across / 2).toBeLessThan(whole.height);
        }
      }),
      { numRuns: 80 },
    );
  });

  it('is put together after the box, and cut from what is left of the sheets', () => {
    const tag: TagChoice = {
      addition: 'tag',
      id: 'tag-1',
      shape: 'round',
      width: millimetres(50.8),
      height: millimetres(50.8),
      isFolded: false,
      hasHole: true,
      layers: [
        { margin: zero, paper: plain.papers[0], standsOff: false },
        { margin: millimetres(3.175), paper: plain.papers[0], standsOff: true },
      ],
    };
    const request = tagged(plain, tag);
    const result = planBox(request);
    if (!result.ok || !bare.ok) throw new Error('No plan');
    expect(result.plan.sheets.length).toBe(bare.plan.sheets.length);
    const told = toldSteps(result.plan, request, 1).map(({ text }) => text);
    const last = told.at(-1) ?? '';
    expect(last).toContain('Put foam squares on the back of the second tag layer');
    expect(last).toMatch(
      /through all its layers, its middle .+ from the edge, as far from both sides/,
    );
    expect(last).toContain('tie the tag to the box');
    expect(
      told.some((text) => /^Tag, .*Punch the disc out with the 2 in round punch/.test(text)),
    ).toBe(request.kit.punches.some(({ name }) => name === '2 in round punch'));
  });
});
