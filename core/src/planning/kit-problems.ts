import { formatWithUnit, largest, zero } from '../length/index.ts';
import type { PlanRequest, Problem } from '../request/index.ts';
import { cuttingMeans, scoringMeans } from '../tools/index.ts';
import type { StyleFrame } from '../forms/index.ts';
import { cutSizeIn, type SolvedFrame } from './put-to-solver.ts';

/** The names of pieces in a sentence: `the base and the lid`. */
function named(pieces: readonly { readonly name: string }[]): string {
  return [...new Set(pieces.map(({ name }) => `the ${name.toLowerCase()}`))]
    .join(', ')
    .replace(/, ([^,]+)$/, ' and $1');
}

/** The tools that are missing, each with the step that needs it, when a kit can't make these pieces at all. */
export function kitProblems(
  { pieces }: Pick<StyleFrame, 'pieces'>,
  { kit }: PlanRequest,
): readonly Problem[] {
  const problems: Problem[] = [];
  if (!cuttingMeans(kit))
    problems.push({
      field: 'kit.trimmer',
      message: `Cutting: nothing cuts ${named(pieces)} to size. A trimmer is missing, and so is a ruler to cut along. Say in Tools which you have.`,
    });
  const byHand = pieces.filter(({ punchBoard }) => punchBoard === undefined);
  if (byHand.length > 0 && !scoringMeans(kit))
    problems.push({
      field: 'kit.board',
      message: `Scoring: nothing scores the folds of ${named(byHand)}. A scoring board is missing, and so are a trimmer’s scoring tip and a ruler. Say in Tools which you have.`,
    });
  return problems;
}

/** A solved box whose marks lie off its punch board's ruler, or whose slanting lines nothing makes. */
export function boardProblems(
  { frame, solution }: SolvedFrame,
  { kit }: PlanRequest,
): readonly Problem[] {
  const { diagonalBoard } = kit;
  if (!diagonalBoard) return [];
  const { most, unit } = diagonalBoard;
  return frame.pieces.flatMap(({ id, name, punchBoard }): readonly Problem[] => {
    if (punchBoard !== 'diagonal') return [];
    const scores = solution.chains.find((chain) => chain.id === `${id} across`)?.scores ?? [];
    const furthest = scores.reduce((most, { reading }) => largest(most, reading), zero);
    if (scores.every(({ onGroove }) => onGroove)) return [];
    const { width } = cutSizeIn(solution, id);
    return [
      {
        field: 'kit.diagonalBoard',
        message:
          furthest > most
            ? `The ${name.toLowerCase()} needs a mark at ${formatWithUnit(furthest, unit)}, and the punch board’s ruler ends at ${formatWithUnit(most, unit)}.`
            : `The ${name.toLowerCase()}, ${formatWithUnit(width, unit)} wide, has no marks on this punch board.`,
      },
    ];
  });
}
