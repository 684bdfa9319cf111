import { nanometres } from '../length/index.ts';
import { looseness } from './marks-cost.ts';
import { indexProblem, type IndexedFit, type ProblemIndex } from './marks-index.ts';
import type { ChainMarks, MarksCost, MarksProblem } from './marks-problem.ts';
import { meansOf } from './on-mark.ts';
import { needsTurns, readChain } from './readings.ts';

/** A complete choice: section values in the problem's order, how they are read, what they cost. */
export interface BestMarks {
  readonly values: readonly number[];
  readonly chains: readonly ChainMarks[];
  readonly cost: MarksCost;
}

/** What each section and each gap costs by itself, summed up on the way to a complete choice. */
interface CostSoFar {
  readonly apiece: number;
  readonly deviation: number;
}

type Decided = readonly (number | undefined)[];

/** How far the gaps of a choice are out of range in all. */
function unfitOf(
  { lean }: MarksProblem,
  { groupFits }: ProblemIndex,
  values: Decided,
  apiece: number,
): number {
  const gapOf = ({ outerAt, innerAt, innerTimes, layers }: IndexedFit) =>
    (values[outerAt] ?? 0) - innerTimes * (values[innerAt] ?? 0) - layers;
  let unfit = apiece;
  for (const fits of groupFits) unfit += looseness(fits, gapOf, lean);
  return unfit;
}

/** Scores that are made from neither edge, counted without being read. */
function offGridOf({ tools }: MarksProblem, { chains }: ProblemIndex, values: Decided): number {
  let count = 0;
  for (const { sections } of chains) {
    let cut = 0;
    for (const at of sections) cut += values[at] ?? 0;
    let position = 0;
    for (let i = 0; i + 1 < sections.length; i++) {
      position += values[sections[i] ?? 0] ?? 0;
      const isMade =
        meansOf(position, tools) !== 'none' ||
        (tools.edges === 'both' && meansOf(cut - position, tools) !== 'none');
      if (!isMade) count++;
    }
  }
  return count;
}

/**
 * Whether a choice costs more than a known one, as far as that is seen before its scores are read: most choices
 * that a search completes do.
 */
function isSurelyWorse(
  problem: MarksProblem,
  index: ProblemIndex,
  values: Decided,
  { unfit, deviation, known }: { unfit: number; deviation: number; known: MarksCost },
): boolean {
  if (unfit !== known.unfit) return unfit > known.unfit;
  const offGrid = offGridOf(problem, index, values);
  if (offGrid !== known.offGrid) return offGrid > known.offGrid;
  return known.shims + known.turns === 0 && deviation > known.deviation;
}

/**
 * Reads the scores of a choice in which every section is decided, and adds up its cost. Undefined for one that is
 * surely worse than the best that is known.
 */
export function completeChoice(
  problem: MarksProblem,
  index: ProblemIndex,
  decided: Decided,
  { apiece, deviation }: CostSoFar,
  known?: MarksCost,
): BestMarks | undefined {
  const unfit = unfitOf(problem, index, decided, apiece);
  if (known && isSurelyWorse(problem, index, decided, { unfit, deviation, known }))
    return undefined;
  const { tools } = problem;
  const values = decided.map((value) => nanometres(value ?? 0));
  const chains = index.chains.map(({ id, sections }) =>
    readChain(
      id,
      sections.map((each) => values[each] ?? nanometres(0)),
      tools,
    ),
  );
  const readings = chains.flatMap(({ scores }) => scores);
  return {
    values,
    chains,
    cost: {
      unfit,
      offGrid: readings.filter(({ onGroove }) => !onGroove).length,
      shims: readings.filter(({ shimmed }) => shimmed).length,
      turns: chains.filter((chain) => needsTurns(chain, tools)).length,
      deviation,
      settings: new Set(readings.map(({ reading }) => reading)).size,
      size: chains.reduce((sum, { cut }) => sum + cut, 0),
    },
  };
}

/** A choice whose gaps are all in range, read on the tools of this problem. */
export function readAgain(
  problem: MarksProblem,
  { values, cost }: BestMarks,
): BestMarks | undefined {
  const { deviation } = cost;
  return completeChoice(problem, indexProblem(problem), values, { apiece: 0, deviation });
}
