import { formatWithUnit, nanometres, toMillimetres, zero } from '../length/index.ts';
import { paperFor, thicknessLimits, type Paper } from '../paper/index.ts';
import { madeAsPlanned, planBox, type Plan } from '../planning/index.ts';
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
  const any = { target: zero, floor: zero };
  const result = planBox({
    ...request,
    room: { across: any, deep: any, high: any },
    papers: withPaper(request, slot, paper),
    made: plan.pieces.flatMap((piece) =>
      (['across', 'down'] as const).map((way) => madeAsPlanned(plan, piece, way, () => true)),
    ),
  });
  return result.ok ? result.plan.clearInside : undefined;
}

/** How much the card is thinned to see what its thickness does to the inside: what is linear needs no more. */
const probe = 0.9;

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
  const thinner = nanometres(Math.round(paper.thickness * probe));
  const other = insideIn(plan, request, slot, { ...paper, thickness: thinner });
  if (!other) return undefined;
  const less = paper.thickness - thinner;
  // Every direction that was measured otherwise says how thick the card must be; their mean is taken.
  const said = directions.flatMap((direction) => {
    const layers = (other[direction] - plan.clearInside[direction]) / less;
    const short = plan.clearInside[direction] - measured[direction];
    return layers > 0.2 && short !== 0
      ? [{ direction, thickness: paper.thickness + short / layers }]
      : [];
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
