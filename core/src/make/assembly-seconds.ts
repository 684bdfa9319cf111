import { copiesInBox, type BoxToMake } from './box-to-make.ts';
import { countFolds } from './count-folds.ts';
import { joinsOf } from './joins.ts';
import { threadsOf } from './threads.ts';
import { takes } from './times.ts';

/** The seconds that folding, gluing and closing one box take, from counts that need no folding. */
export function assemblySeconds(box: BoxToMake): number {
  const { pieces, assembly } = box;
  const glued = assembly.stacks.filter(({ holds }) => holds === 'glue');
  const within = new Set(
    glued
      .filter(({ face, on }) => face.part === on.part)
      .map(({ face: { part, spot } }) => `${part} ${spot.column} ${spot.row}`),
  );
  const between = glued.filter(({ face, on }) => face.part !== on.part);
  const folds = pieces.reduce(
    (sum, piece) => sum + countFolds(piece) * copiesInBox(box, piece.id),
    0,
  );
  const threads = pieces.reduce(
    (sum, piece) =>
      sum +
      copiesInBox(box, piece.id) *
        (['flat', 'before the gift', 'to close'] as const).flatMap((when) => threadsOf(piece, when))
          .length,
    0,
  );
  const joins = joinsOf(box).reduce(
    (sum, { operation }) => sum + copiesInBox(box, operation.piece),
    0,
  );
  const { ribbons = [] } = assembly;
  return (
    folds * takes.fold +
    within.size * takes.gluedPart +
    between.length * takes.gluedPiece +
    (threads + ribbons.length + ribbons.filter(({ through }) => through).length) * takes.thread +
    (assembly.spots ?? []).length * takes.stamp +
    (assembly.tags ?? []).reduce(
      (sum, { layers }) => sum + takes.thread + layers.length * takes.gluedPiece,
      0,
    ) +
    joins * takes.join +
    takes.putIn
  );
}
