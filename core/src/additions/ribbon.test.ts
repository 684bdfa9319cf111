import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  allStyles,
  closedFaces,
  cutSizeOf,
  extentsOf,
  foldingBox,
  millimetres,
  paperFor,
  papersOf,
  planBox,
  planJob,
  ribbonWays,
  sayStep,
  stockPaper,
  toMillimetres,
  waysOut,
  zero,
  type AdditionChoice,
  type Plan,
  type PlanRequest,
  type RibbonChoice,
} from '../index.ts';
import { casesWanted } from '../testing/cases.ts';
import { boxInSpace } from '../testing/joints-in-space.ts';
import { faultsInSpace } from '../testing/proof.ts';
import { faultsInWords, toldSteps } from '../testing/told.ts';
import { requestsIn, usualOf } from '../testing/requests.ts';

const choice = fc.record({
  way: fc.constantFrom(...ribbonWays),
  width: fc.integer({ min: 2, max: 60 }).map(millimetres),
  bow: fc.oneof(fc.constant(0), fc.integer({ min: 30, max: 250 })).map(millimetres),
});

function wearing(request: PlanRequest, ribbon: Omit<RibbonChoice, 'addition' | 'id'>): PlanRequest {
  return { ...request, additions: [{ addition: 'ribbon', id: 'ribbon-1', ...ribbon }] };
}

/** How far all corners of the card reach, each way, in millimetres; by hand, out of the closed box. */
function outside(
  plan: Plan,
  request: PlanRequest,
  isMeant: (part: string) => boolean = () => true,
) {
  const papers = papersOf(request);
  const box = foldingBox(
    plan.pieces,
    ({ paper }) => paperFor(papers, paper).thickness,
    plan.assembly,
  );
  const faces = closedFaces(box).filter(({ part }) => isMeant(part));
  const reach = (of: 'x' | 'y' | 'z') => {
    const at = faces.flatMap(({ ring, out, card }) =>
      ring.flatMap((place) => [place[of] + (out[of] * card) / 2, place[of] - (out[of] * card) / 2]),
    );
    return Math.max(...at) - Math.min(...at);
  };
  return { wide: reach('x'), deep: reach('y'), high: reach('z') };
}

describe('a ribbon', () => {
  it('goes taut round what is there, with enough for its bow or its ends, and no more than that', () => {
    let [round, refused] = [0, 0];
    fc.assert(
      fc.property(requestsIn(allStyles), choice, (bare, ribbon) => {
        const request = wearing(bare, ribbon);
        const result = planBox(request);
        const plain = planBox(bare);
        if (!plain.ok) return;
        if (!result.ok) {
          refused++;
          const [problem] = result.problems;
          expect(problem?.field).toBe('additions.0.way');
          // It may always be left off, and goes some other way, which has been tried.
          const others = waysOut(request, result.problems).flatMap(({ part }) => {
            const [first] = part.additions ?? [];
            return first?.addition === 'ribbon' ? [first.way] : [];
          });
          expect(others.length).toBeGreaterThan(0);
          for (const way of others)
            expect(planBox(wearing(bare, { ...ribbon, way })).ok, way).toBe(true);
          return;
        }
        round++;
        const { plan } = result;
        // Nothing else of the box is otherwise for it.
        expect(plan.pieces).toEqual(plain.plan.pieces);
        expect(plan.sheets).toEqual(plain.plan.sheets);
        const [tied] = plan.assembly.ribbons ?? [];
        if (!tied) throw new Error('It wears a ribbon');
        const { wide, deep, high } = outside(plan, request);
        const once = toMillimetres(tied.once);
        const between: Readonly<Record<RibbonChoice['way'], readonly [number, number]>> = {
          walls: [0.4 * Math.min(wide, deep), 2 * (wide + deep)],
          across: [2 * wide, 2 * (wide + high)],
          deep: [2 * deep, 2 * (deep + high)],
          crossed: [2 * (wide + deep), 2 * (wide + deep + 2 * high)],
          'lid across': [wide * 0.5, wide + 2 * high],
          'lid deep': [deep * 0.5, deep + 2 * high],
          holes: [0, 2 * (wide + deep)],
          // Of a box that wears neither an insert nor a band.
          notches: [0, 0],
          band: [0, 0],
        };
        const [least, most] = between[tied.way];
        // A gift that stands out of its box is gone round too.
        const gift = 2 * toMillimetres(millimetres(400));
        expect(once).toBeGreaterThan(least * 0.2);
        expect(once).toBeLessThan(most + 0.1 + (plan.assembly.cavity.high > high ? gift : 0));
        const bow = toMillimetres(ribbon.bow);
        const isOverLid = tied.way === 'lid across' || tied.way === 'lid deep';
        const spare = toMillimetres(tied.cut) - once;
        const own = toMillimetres(tied.bowCut ?? millimetres(0));
        expect(own > 0).toBe(isOverLid && bow > 0);
        if (bow > 0) {
          expect(isOverLid ? own : spare).toBeGreaterThan(3 * bow);
          expect(isOverLid ? own : spare).toBeLessThan(3.5 * bow + 320);
        }
        if (bow === 0 || isOverLid) expect(spare).toBeGreaterThanOrEqual(25);
        const job = planJob(plan, request, { boxes: 1 });
        const words = job.steps.map((step) => sayStep(step, { job, box: plan, kit: request.kit }));
        const at = words.findIndex(({ text }) => text.includes('of ribbon'));
        const filled = words.findIndex(({ text }) => text.includes('Put the gift in'));
        expect(at).toBeGreaterThanOrEqual(filled);
        if (tied.way !== 'holes') {
          expect(at).toBe(words.length - 1);
          expect(at).toBeGreaterThan(filled);
        }
      }),
      { numRuns: 150 },
    );
    expect(round).toBeGreaterThan(casesWanted(30));
    expect(refused).toBeGreaterThan(casesWanted(5));
  });

  it('round a lidded box is as long as a tape would measure it', () => {
    fc.assert(
      fc.property(choice, (ribbon) => {
        const request = wearing(usualOf('lidded'), ribbon);
        const result = planBox(request);
        if (!result.ok) {
          expect(['holes', 'notches', 'band']).toContain(ribbon.way);
          return;
        }
        const { plan } = result;
        const { wide, deep, high } = outside(plan, request);
        const lid = outside(plan, request, (part) => part === 'lid');
        const measured = {
          walls: 2 * (wide + deep),
          across: 2 * (wide + high),
          deep: 2 * (deep + high),
          crossed: 2 * (wide + deep) + 4 * high,
          'lid across': lid.wide + 2 * lid.high,
          'lid deep': lid.deep + 2 * lid.high,
          holes: 0,
          notches: 0,
          band: 0,
        }[ribbon.way];
        // Drawn taut it slants from the rim of the lid to the base, which is a hair narrower.
        const once = toMillimetres(plan.assembly.ribbons?.[0]?.once ?? millimetres(0));
        expect(once).toBeLessThan(measured + 0.1);
        const isOverLid = ribbon.way === 'lid across' || ribbon.way === 'lid deep';
        expect(measured - once).toBeLessThan(isOverLid ? 0.1 : 10);
      }),
      { numRuns: 60 },
    );
  });

  it('goes out through two slits of a band, is in them before that goes on, and tied last', () => {
    let [through, narrow] = [0, 0];
    fc.assert(
      fc.property(
        choice,
        fc.constantFrom('walls' as const, 'across' as const, 'deep' as const),
        fc.constantFrom('seam' as const, 'hooks' as const),
        fc.integer({ min: 8, max: 60 }),
        ({ width, bow }, round, closing, wide) => {
          const usual = usualOf('lidded');
          const ribbon: AdditionChoice = { addition: 'ribbon', id: 'r', way: 'band', width, bow };
          const band: AdditionChoice = {
            addition: 'band',
            id: 'band-1',
            round,
            width: millimetres(wide),
            closing,
            paper: stockPaper('comet'),
          };
          const request = { ...usual, additions: [ribbon, band] };
          const result = planBox(request);
          if (!result.ok) {
            const [problem] = result.problems;
            // A low box has no walls for a wide band.
            if (problem?.message.includes('the box is only')) return;
            narrow++;
            expect(problem?.message).toContain('too narrow for slits');
            if (problem?.nearest === undefined) return;
            const fits = planBox({
              ...request,
              additions: [ribbon, { ...band, width: problem.nearest }],
            });
            expect(fits.ok).toBe(true);
            return;
          }
          through++;
          const { plan } = result;
          expect(faultsInSpace(plan, request)).toEqual([]);
          const [strip] = plan.pieces.filter(({ id }) => id.startsWith('band-1'));
          const slits = (strip?.grid.cutouts ?? []).flatMap((cutout) =>
            cutout.use === 'ribbon slit' && cutout.shape === 'trim' ? [cutout.corners] : [],
          );
          expect(slits).toHaveLength(2);
          for (const corners of slits) {
            const at = corners.map(({ y }) => y);
            const high = Math.max(...at) - Math.min(...at);
            expect(high).toBeGreaterThan(width);
            expect(Math.min(...at)).toBeGreaterThanOrEqual(3_000_000 - 1);
          }
          // Both are where the band is seen: in front, or on top, as far from the middle.
          const box = boxInSpace(plan, request);
          const placed = box.parts.flatMap((part) =>
            part.piece.id === strip?.id
              ? slits.flatMap((corners) => {
                  const mean = (of: 'x' | 'y') =>
                    corners.reduce((sum, corner) => sum + corner[of], 0) / corners.length / 1e6;
                  const place = { x: mean('x'), y: -mean('y') };
                  const face = part.pattern.faces.findIndex(({ corners: ring }) => {
                    const xs = ring.map((corner) => part.pattern.corners[corner]?.x ?? 0);
                    return place.x > Math.min(...xs) && place.x < Math.max(...xs);
                  });
                  const frame = part.faces[face];
                  if (!frame) return [];
                  const { right, up, at: from } = frame;
                  const on = (axis: 'x' | 'y' | 'z') =>
                    from[axis] + right[axis] * place.x + up[axis] * place.y;
                  return [{ x: on('x'), y: on('y'), z: on('z') }];
                })
              : [],
          );
          const [a, b] = placed;
          if (!a || !b) throw new Error('No slits in space');
          const outside = closedFaces(box).flatMap(({ ring }) => ring);
          const seen = round === 'walls' ? (['y', -1] as const) : (['z', 1] as const);
          const far = Math.max(...outside.map((place) => seen[1] * place[seen[0]]));
          for (const place of placed) expect(far - seen[1] * place[seen[0]]).toBeLessThan(1.5);
          expect(Math.abs(a.x + b.x) + Math.abs(a.y + b.y)).toBeLessThan(
            round === 'walls' ? 1000 : 2,
          );
          const told = toldSteps(plan, request, 1).map(({ text }) => text);
          const at = (part: string) => told.findIndex((text) => text.includes(part));
          expect(at('out through each slit')).toBeGreaterThan(0);
          expect(at('out through each slit')).toBeLessThan(at('Slide the band over'));
          expect(told.at(-1)).toContain('Draw the ends of the ribbon even');
          expect(faultsInWords(plan, request, 1, () => 0)).toEqual([]);
        },
      ),
      { numRuns: 40 },
    );
    expect(Math.min(through, narrow)).toBeGreaterThan(3);
  });

  it('too wide for a band that can be no wider is refused, with a narrower one and another way', () => {
    const usual = usualOf('lidded');
    const high = planBox(usual);
    if (!high.ok) throw new Error(high.problems[0]?.message);
    const band = {
      addition: 'band' as const,
      id: 'band-1',
      round: 'walls' as const,
      width: millimetres(14),
      closing: 'seam' as const,
      paper: stockPaper('comet'),
    };
    const ribbon = (width: number): AdditionChoice => ({
      addition: 'ribbon',
      id: 'r',
      way: 'band',
      width: millimetres(width),
      bow: zero,
    });
    const request = { ...usual, additions: [ribbon(25), band] };
    const result = planBox(request);
    if (result.ok) throw new Error('Planned');
    expect(result.problems[0]?.message).toContain('take a narrower ribbon, or let it go round');
    const ways = waysOut(request, result.problems);
    expect(ways.map(({ said }) => said)).toContain('A ribbon 1/8 in wide');
    expect(ways.some(({ said }) => said.startsWith('The ribbon'))).toBe(true);
    expect(ways.every(({ said }) => !said.startsWith('The band'))).toBe(true);
  });

  it('goes twice round the gift and its insert, laid under that and tied when the gift is in', () => {
    const usual = usualOf('lidded');
    const insert: AdditionChoice = {
      addition: 'insert',
      id: 'insert-1',
      holds: { by: 'notches' },
      paper: stockPaper('comet'),
    };
    const bow = millimetres(80);
    const ribbon: AdditionChoice = {
      addition: 'ribbon',
      id: 'r',
      way: 'notches',
      width: millimetres(6),
      bow,
    };
    const request = { ...usual, additions: [ribbon, insert] };
    const result = planBox(request);
    if (!result.ok) throw new Error(result.problems[0]?.message);
    const { plan } = result;
    const [tied] = plan.assembly.ribbons ?? [];
    const card = plan.pieces.find(({ id }) => id.startsWith('insert-1'));
    const { width = zero } = card ? cutSizeOf(card.grid) : {};
    const { across, high } = extentsOf(usual.gift);
    // Longer than there and back over the gift, shorter than all round a block that holds both.
    const wide = Math.max(width, across);
    expect(tied?.once).toBeGreaterThan(2 * across + 1.5 * high);
    expect(tied?.once).toBeLessThan(2 * (wide + high));
    expect(tied?.cut).toBeGreaterThan((tied?.once ?? 0) + 3 * bow);
    const told = toldSteps(plan, request, 1).map(({ text }) => text);
    const at = (part: string) => told.findIndex((text) => text.includes(part));
    expect(at('Cut two pieces of ribbon')).toBeGreaterThan(0);
    expect(at('Cut two pieces of ribbon')).toBeLessThan(at('Lay the insert in the base'));
    const filled = told[at('Put the gift in')] ?? '';
    expect(filled.indexOf('Bring each ribbon up')).toBeGreaterThan(filled.indexOf('Put the gift'));
    expect(filled.indexOf('Slide the lid')).toBeGreaterThan(filled.indexOf('Bring each ribbon up'));
    expect(faultsInWords(plan, request, 1, () => 0)).toEqual([]);
  });
});
