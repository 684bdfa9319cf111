import { formatWithUnit, nanometres, toMillimetres } from '../length/index.ts';
import { paperFor, thicknessLimits, type Paper } from '../paper/index.ts';
import { madeAsPlanned, planWithLessRoom, type Plan } from '../planning/index.ts';
import type { PlanRequest } from '../request/index.ts';
import type { Lesson } from './calibration.ts';

type Inside = Plan['clearInside'];
type Direction = keyof Inside;
const directions: readonly Direction[] = ['across', 'deep', 'high'];

const ways: Readonly<Record<Direction, string>> = {
  across: 'across',
  deep: 'front to back',
  high: 'high',
};

/** The place of the paper of what holds the gift, among the request's. */
function slotOf(plan: Plan, { papers }: PlanRequest): number {
  const id = plan.assembly.parts[0]?.piece;
  const slot = plan.pieces.find((piece) => piece.id === id)?.paper ?? 0;
  return Math.min(slot, papers.length - 1);
}

function withPaper({ papers }: PlanRequest, at: number, paper: Paper): PlanRequest['papers'] {
  const [first, ...others] = papers;
  return [at === 0 ? paper : first, ...others.map((each, i) => (i + 1 === at ? paper : each))];
}

/** The inside of the same pieces, cut and scored as planned, in card of another thickness. */
function insideIn(
  plan: Plan,
  request: PlanRequest,
  slot: number,
  paper: Paper,
): Inside | undefined {
  const { result } = planWithLessRoom({
    ...request,
    papers: withPaper(request, slot, paper),
    made: plan.pieces.flatMap((piece) =>
      (['across', 'down'] as const).map((way) => madeAsPlanned(plan, piece, way, () => true)),
    ),
  });
  return result.ok ? result.plan.clearInside : undefined;
}

/** How much the card is thinned to see what its thickness does to the inside. */
const probe = 0.9;

/** Most insides are linear in the card; those under a slope are nearly so. */
const refinements = 4;

/**
 * The thickness in nanometres at which an inside comes to what was measured, by the secant method from two
 * thicknesses. Undefined where the card doesn't count in that direction.
 */
function thicknessThatMakes(
  measured: number,
  insideAt: (thickness: number) => number | undefined,
  [first, second]: readonly [number, number],
): number | undefined {
  let [before, now] = [first, second];
  for (let i = 0; i <= refinements; i++) {
    const [was, is] = [insideAt(before), insideAt(now)];
    // A thickness that makes no box at all ends the search at the best guess so far.
    if (was === undefined || is === undefined) return i > 0 ? now : undefined;
    const layers = (is - was) / (before - now);
    if (!(layers > 0.2)) return i > 0 ? now : undefined;
    [before, now] = [now, now + (is - measured) / layers];
    if (Math.abs(now - before) < 1000) return now;
  }
  return now;
}

/**
 * The papers of a request after a trial box whose inside was measured: what the inside is smaller by than
 * planned, the card must be thicker by, layer for layer. Undefined where the measures are as planned, or
 * say nothing.
 */
export function insideLesson(
  plan: Plan,
  request: PlanRequest,
  measured: Inside,
): Lesson | undefined {
  const slot = slotOf(plan, request);
  const paper = paperFor(request.papers, slot);
  const thinner = Math.round(paper.thickness * probe);
  const known = new Map<number, Inside | undefined>([[paper.thickness, plan.clearInside]]);
  const insideAt = (thickness: number): Inside | undefined => {
    const whole = Math.round(thickness);
    if (whole < thicknessLimits.least / 2 || whole > thicknessLimits.most * 2) return undefined;
    if (!known.has(whole))
      known.set(whole, insideIn(plan, request, slot, { ...paper, thickness: nanometres(whole) }));
    return known.get(whole);
  };
  // Every direction that was measured otherwise says how thick the card must be; their mean is taken.
  const said = directions.flatMap((direction) => {
    if (measured[direction] === plan.clearInside[direction]) return [];
    const thickness = thicknessThatMakes(measured[direction], (at) => insideAt(at)?.[direction], [
      thinner,
      paper.thickness,
    ]);
    return thickness === undefined ? [] : [{ direction, thickness }];
  });
  if (said.length === 0) return undefined;
  const mean = said.reduce((sum, { thickness }) => sum + thickness, 0) / said.length;
  const hundredth = 10_000;
  const thickness = nanometres(Math.round(mean / hundredth) * hundredth);
  const figures = said
    .map(
      ({ direction }) =>
        `${formatWithUnit(measured[direction], 'mm')} ${ways[direction]} and not ${formatWithUnit(plan.clearInside[direction], 'mm')}`,
    )
    .join(', ');
  if (thickness < thicknessLimits.least || thickness > thicknessLimits.most)
    return {
      papers: request.papers,
      sentence: `The inside came to ${figures}: no card is so ${thickness < paper.thickness ? 'thin' : 'thick'}. Measure again, from wall to wall.`,
    };
  const was = toMillimetres(paper.thickness);
  return {
    papers: withPaper(request, slot, { ...paper, thickness }),
    sentence: `${paper.name} counts as ${toMillimetres(thickness)} mm thick from now on; it was ${was} mm. The inside came to ${figures}.`,
  };
}
