import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  allStyles,
  closedFaces,
  foldingBox,
  millimetres,
  paperFor,
  papersOf,
  planBox,
  planJob,
  ribbonWays,
  sayStep,
  toMillimetres,
  waysOut,
  type Plan,
  type PlanRequest,
  type RibbonChoice,
} from '../index.ts';
import { casesWanted } from '../testing/cases.ts';
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
    expect(round).toBeGreaterThan(casesWanted(40));
    expect(refused).toBeGreaterThan(casesWanted(5));
  });

  it('round a lidded box is as long as a tape would measure it', () => {
    fc.assert(
      fc.property(choice, (ribbon) => {
        const request = wearing(usualOf('lidded'), ribbon);
        const result = planBox(request);
        if (!result.ok) {
          expect(ribbon.way).toBe('holes');
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
});
