import fc from 'fast-check';
import {
  allStyles,
  planBox,
  type Cutout,
  type Plan,
  type PlanRequest,
  type ScoreGrid,
  type StyleChoice,
  type StyleId,
} from '../index.ts';
import { requestsIn } from './requests.ts';

type ChoiceOf<Id extends StyleId> = Extract<StyleChoice, { style: Id }>;

/** A planned box, with a short way to its pieces. */
export interface PlannedBox<Id extends StyleId> {
  readonly plan: Plan;
  readonly request: PlanRequest;
  readonly choice: ChoiceOf<Id>;
  /** The score grid of a piece. Throws when the box has no such piece. */
  readonly grid: (piece: string) => ScoreGrid;
  /** What is cut out of a piece for one use. */
  readonly cutouts: (piece: string, use: string) => readonly Cutout[];
}

function isOf<Id extends StyleId>(id: Id, choice: StyleChoice): choice is ChoiceOf<Id> {
  return choice.style === id;
}

/** Checks boxes of one style for any gift, card, tools and options; some of them must come out. */
export function everyBox<Id extends StyleId>(
  id: Id,
  check: (box: PlannedBox<Id>) => void,
  numRuns = 60,
): void {
  let seen = 0;
  fc.assert(
    fc.property(requestsIn(allStyles.filter((style) => style.id === id)), (request) => {
      const result = planBox(request);
      if (!result.ok) return;
      const { plan } = result;
      const choice = plan.style;
      if (!isOf(id, choice)) throw new Error(`Planned as ${choice.style}`);
      const grid = (piece: string) => {
        const found = plan.pieces.find((each) => each.id === piece);
        if (!found) throw new Error(`No ${piece} in this box`);
        return found.grid;
      };
      seen++;
      check({
        plan,
        request,
        choice,
        grid,
        cutouts: (piece, use) => grid(piece).cutouts.filter((cutout) => cutout.use === use),
      });
    }),
    { numRuns },
  );
  if (seen === 0) throw new Error(`No ${id} could be planned`);
}

/** A section by its place; 0 where there is none. */
export function at(sections: readonly number[], index: number): number {
  return sections[index] ?? 0;
}

/** The card of a piece of a box, in nanometres. */
export function cardOf(
  { plan, request }: Pick<PlannedBox<StyleId>, 'plan' | 'request'>,
  id: string,
) {
  const slot = plan.pieces.find((piece) => piece.id === id)?.paper ?? 0;
  const paper = request.papers[Math.min(slot, request.papers.length - 1)];
  if (!paper) throw new Error('A box is cut from some paper');
  return paper.thickness;
}
