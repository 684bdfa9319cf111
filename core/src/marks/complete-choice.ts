import { nanometres } from '../length/index.ts';
import { looseness } from './marks-cost.ts';
import { indexProblem, type IndexedFit, type ProblemIndex } from './marks-index.ts';
import type { ChainMarks, MarksCost, MarksProblem } from './marks-problem.ts';
import { readChain } from './readings.ts';
import { tallyScores } from './score-tally.ts';

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

/** What a choice costs as far as that is counted before its scores are read: most that a search completes cost more. */
type CountedCost = Pick<MarksCost, 'unfit' | 'offGrid' | 'shims' | 'turns' | 'deviation'>;

function costsMore(counted: CountedCost, known: MarksCost): boolean {
  const more =
    counted.unfit - known.unfit ||
    counted.offGrid - known.offGrid ||
    counted.shims - known.shims ||
    counted.turns - known.turns ||
    counted.deviation - known.deviation;
  return more > 0;
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
  if (known && unfit > known.unfit) return undefined;
  const { tools } = problem;
  const counted = { unfit, ...tallyScores(index.chains, decided, tools), deviation };
  if (known && costsMore(counted, known)) return undefined;
  const values = decided.map((value) => nanometres(value ?? 0));
  const chains = index.chains.flatMap(({ ids, sections }) => {
    const [id = ''] = ids;
    const read = readChain(
      id,
      sections.map((each) => values[each] ?? nanometres(0)),
      tools,
    );
    return ids.map((each): ChainMarks => ({ ...read, id: each }));
  });
  const readings = chains.flatMap(({ scores }) => scores);
  return {
    values,
    chains,
    cost: {
      ...counted,
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
