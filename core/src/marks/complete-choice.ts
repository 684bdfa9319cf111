import { nanometres } from '../length/index.ts';
import { looseness } from './marks-cost.ts';
import { indexProblem, type ProblemIndex } from './marks-index.ts';
import type { ChainMarks, MarksCost, MarksProblem } from './marks-problem.ts';
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

/** Reads the scores of a choice in which every section is decided, and adds up its cost. */
export function completeChoice(
  { lean, tools }: MarksProblem,
  { chains: indexed, groups, pairs }: ProblemIndex,
  decided: readonly (number | undefined)[],
  { apiece, deviation }: CostSoFar,
): BestMarks {
  const values = decided.map((value) => nanometres(value ?? 0));
  let unfit = apiece;
  for (const group of groups) {
    const fits = group.flatMap((i) => pairs[i]?.fits ?? []);
    const gaps = fits.map(
      ({ outerAt, innerAt, innerTimes, layers }) =>
        (values[outerAt] ?? 0) - innerTimes * (values[innerAt] ?? 0) - layers,
    );
    unfit += looseness(
      gaps,
      fits.map(({ gap }) => gap),
      lean,
    );
  }
  const chains = indexed.map(({ id, sections }) =>
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
export function readAgain(problem: MarksProblem, { values, cost }: BestMarks): BestMarks {
  const { deviation } = cost;
  return completeChoice(problem, indexProblem(problem), values, { apiece: 0, deviation });
}
