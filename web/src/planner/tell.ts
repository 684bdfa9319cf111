import {
  cutListEntry,
  cutUnit,
  paperFor,
  papersOf,
  ribbonInWords,
  verdictsOf,
  type CutListEntry,
  type Plan,
  type PlanRequest,
  type Verdict,
} from '@rangoli/core';

/** A planned box with what was asked for. */
export interface Planned {
  readonly plan: Plan;
  readonly request: PlanRequest;
}

/** What the Box view says of a planned box. */
export interface BoxTold {
  /** What is done to each piece while it is flat, by its id. */
  readonly entries: ReadonlyMap<string, CutListEntry>;
  readonly ribbons: readonly string[];
  readonly verdicts: readonly Verdict[];
}

/** Puts a planned box into words. */
export function tell({ plan, request }: Planned): BoxTold {
  const { kit } = request;
  const papers = papersOf(request);
  return {
    entries: new Map(
      plan.pieces.map((piece) => [
        piece.id,
        cutListEntry(plan, piece, paperFor(papers, piece.paper), kit),
      ]),
    ),
    ribbons: (plan.assembly.ribbons ?? []).map((each) => ribbonInWords(each, cutUnit(kit))),
    verdicts: verdictsOf(plan, request),
  };
}
