import type { Piece } from '../piece/index.ts';

/** How many folds a piece has that are made by hand, each run of a score once. */
export function countFolds({ grid }: Pick<Piece, 'grid'>): number {
  return [...grid.lines.flatMap(({ spans }) => spans), ...grid.diagonals].filter(
    (made) => made.make === 'score' && made.fold.angle > 0,
  ).length;
}
