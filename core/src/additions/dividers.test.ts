import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  allStyles,
  closedFaces,
  cutSizeOf,
  extentsOf,
  leftOff,
  millimetres,
  papersOf,
  planBox,
  stockPaper,
  toMillimetres,
  type Gift,
  type Plan,
  type PlanRequest,
} from '../index.ts';
import { boxInSpace } from '../testing/joints-in-space.ts';
import { faultsInSpace } from '../testing/proof.ts';
import { anyPaper, usualOf } from '../testing/requests.ts';
import { faultsInWords, toldSteps } from '../testing/told.ts';

const marble = { shape: 'ball', diameter: millimetres(16) } as const;

function rows(
  across: number,
  deep: number,
  item: Extract<Gift, { shape: 'ball' | 'block' }> = marble,
) {
  return { shape: 'several', item, across, deep, high: 1, packing: 'in rows' } as const;
}

function divided(gift: Gift, style = 'lidded', paper = stockPaper('graphite')): PlanRequest {
  return {
    ...usualOf(style, gift),
    additions: [{ addition: 'dividers', id: 'dividers-1', paper }],
  };
}

/** Where along an axis the things begin and end, by arithmetic of its own. */
function spans(count: number, size: number, apart: number): readonly (readonly [number, number])[] {
  const whole = count * size + (count - 1) * apart;
  return Array.from({ length: count }, (_, i) => {
    const from = i * (size + apart) - whole / 2;
    return [from, from + size] as const;
  });
}

/** Dividers that run one way, by where their planes are in the first box, and how thick they are. */
function planes(plan: Plan, request: PlanRequest, way: 'x' | 'y') {
  const faces = closedFaces(boxInSpace(plan, request));
  return faces
    .filter(({ part }) => part.startsWith('dividers-1'))
    .filter(({ out }) => Math.abs(out[way]) > 0.99)
    .map(({ ring, card }) => ({ at: ring[0]?.[way] ?? 0, card }));
}

describe('dividers', () => {
  it('stand between every two rows both ways, in any box that has a floor, and cross only in their slots', () => {
    const item = fc.oneof(
      fc
        .integer({ min: 8, max: 30 })
        .map((d) => ({ shape: 'ball', diameter: millimetres(d) }) as const),
      fc.tuple(...[8, 8, 6].map((min) => fc.integer({ min, max: 40 }))).map(
        ([across = 8, deep = 8, high = 6]) =>
          ({
            shape: 'block',
            across: millimetres(across),
            deep: millimetres(deep),
            high: millimetres(high),
          }) as const,
      ),
    );
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 1, max: 4 }),
        item,
        anyPaper,
        fc.constantFrom(...allStyles.map(({ id }) => id)),
        (across, deep, thing, paper, style) => {
          fc.pre(across * deep > 1);
          const sheet = stockPaper('graphite').sheet;
          const request = divided(rows(across, deep, thing), style, { ...paper, sheet });
          const result = planBox(request);
          if (!result.ok) return;
          const { plan } = result;
          expect(faultsInSpace(plan, request)).toEqual([]);
          const strips = plan.pieces.filter(({ id }) => id.startsWith('dividers-1'));
          const missing = leftOff({ ...request, papers: papersOf(request) }, plan);
          expect(missing).toHaveLength(strips.length === 0 ? 1 : 0);
          if (strips.length === 0) return;
          const size = extentsOf(thing);
          for (const [way, count, long] of [
            ['x', across, size.across],
            ['y', deep, size.deep],
          ] as const) {
            const { cavity } = plan.assembly;
            const xs = cavity.floor.map((corner) => corner[way]);
            if (count === 1) {
              // The ends of strips in one row are folded along the walls, outside the room of the things.
              const tabs = planes(plan, request, way).filter(({ at, card }) => {
                const isLow = at + card / 2 < Math.min(...xs) + 0.01;
                return isLow || at - card / 2 > Math.max(...xs) - 0.01;
              });
              const stands = Math.max(across, deep) - 1;
              expect(tabs.length % (2 * stands)).toBe(0);
              expect(tabs.length).toBe(planes(plan, request, way).length);
              expect(tabs.length).toBeGreaterThan(0);
              continue;
            }
            const apart = toMillimetres(paper.thickness) + 0.8;
            const things = spans(count, toMillimetres(long), apart);
            const here = planes(plan, request, way);
            expect(here.length % (count - 1)).toBe(0);
            for (let i = 1; i < count; i++) {
              const [before, after] = [things[i - 1]?.[1] ?? 0, things[i]?.[0] ?? 0];
              const middle = (Math.min(...xs) + Math.max(...xs)) / 2;
              const between = here.filter(
                ({ at, card }) =>
                  at - card / 2 > middle + before - 0.01 && at + card / 2 < middle + after + 0.01,
              );
              expect(between.length).toBeGreaterThan(0);
            }
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('make the box larger by their card, and have a slot for it', () => {
    const request = divided(rows(3, 3));
    const result = planBox(request);
    const bare = planBox({ ...request, additions: [] });
    if (!result.ok || !bare.ok) throw new Error('No box');
    const card = stockPaper('graphite').thickness;
    const more = result.plan.clearInside.across - bare.plan.clearInside.across;
    expect(more).toBeGreaterThan(2 * card);
    for (const { grid } of result.plan.pieces.filter(({ id }) => id.startsWith('dividers-1'))) {
      expect(grid.cutouts).toHaveLength(2);
      for (const cutout of grid.cutouts) {
        if (cutout.shape !== 'trim') throw new Error('No slot');
        const xs = cutout.corners.map(({ x }) => x);
        const wide = Math.max(...xs) - Math.min(...xs);
        expect(wide).toBeGreaterThan(card);
        expect(wide).toBeLessThan(card + 1_000_000);
        const ys = cutout.corners.map(({ y }) => y);
        // Both together are as deep as the strip is high, so that the strips come down to the floor.
        const deep = Math.max(...ys) - Math.min(...ys);
        expect(2 * deep).toBeGreaterThan(cutSizeOf(grid).height);
      }
    }
  });

  it('in one row are folded at both ends, and stood in one by one', () => {
    const request = divided(rows(4, 1));
    const result = planBox(request);
    if (!result.ok) throw new Error(result.problems[0]?.message);
    expect(faultsInWords(result.plan, request, 1, () => 0)).toEqual([]);
    const told = toldSteps(result.plan, request, 1).map(({ text }) => text);
    expect(told.some((text) => text.includes('Stand each divider in the base, down to'))).toBe(
      true,
    );
    expect(told.some((text) => text.includes('all places as wide.'))).toBe(true);
  });

  it('are put together before they go in, and told so that it can be done', () => {
    const request = divided(rows(3, 2));
    const result = planBox(request);
    if (!result.ok) throw new Error(result.problems[0]?.message);
    expect(faultsInWords(result.plan, request, 1, () => 0)).toEqual([]);
    const told = toldSteps(result.plan, request, 1).map(({ text }) => text);
    const at = (part: string) => told.findIndex((text) => text.includes(part));
    expect(at('slots down, until')).toBeGreaterThan(0);
    expect(at('Stand the joined dividers in the base')).toBeGreaterThan(at('slots down, until'));
    expect(at('Put the gift in')).toBeGreaterThan(at('Stand the joined dividers in the base'));
  });

  it.each([
    ['one thing', marble],
    [
      'flat cards',
      {
        shape: 'several',
        item: {
          shape: 'card',
          across: millimetres(60),
          deep: millimetres(40),
          thick: millimetres(2),
        },
        across: 2,
        deep: 2,
        high: 1,
        packing: 'in rows',
      } as const,
    ],
    ['nested rows', { ...rows(3, 3), packing: 'nested' } as const],
  ])('are left off for %s, and that is said', (_, gift) => {
    const request = divided(gift);
    const result = planBox(request);
    if (!result.ok) throw new Error(result.problems[0]?.message);
    expect(result.plan.pieces.some(({ id }) => id.startsWith('dividers-1'))).toBe(false);
    expect(leftOff({ ...request, papers: papersOf(request) }, result.plan)).toHaveLength(1);
  });
});
