import { cutSizeOf, type Fold, type Piece, type Spot } from '../piece/index.ts';
import { groupAtCorners } from './at-corners.ts';
import { spotOnGrid } from './grid-spot.ts';
import type { OutFolds } from './operations/assembly.ts';

/** A fold that is made by hand, by its ends. */
interface HandFold {
  readonly fold: Fold;
  readonly slants: boolean;
  readonly ends: readonly [Spot, Spot];
}

function handFolds({ grid }: Piece): readonly HandFold[] {
  const straight = grid.lines.flatMap(({ axis, index, spans }) =>
    spans.flatMap((span): readonly HandFold[] => {
      if (span.make !== 'score') return [];
      const at = (along: number) =>
        spotOnGrid(
          grid,
          axis === 'column' ? { column: index, row: along } : { column: along, row: index },
        );
      return [{ fold: span.fold, slants: false, ends: [at(span.from), at(span.to)] }];
    }),
  );
  const slanted = grid.diagonals.flatMap((diagonal): readonly HandFold[] =>
    diagonal.make === 'score'
      ? [
          {
            fold: diagonal.fold,
            slants: true,
            ends: [spotOnGrid(grid, diagonal.from), spotOnGrid(grid, diagonal.to)],
          },
        ]
      : [],
  );
  return [...straight, ...slanted].filter(({ fold }) => fold.angle > 0);
}

/** Which of the folds of a piece go out. */
export function outFolds(piece: Piece): OutFolds {
  const folds = handFolds(piece);
  const out = folds.filter(({ fold }) => fold.sense === 'mountain');
  if (out.length === 0) return { kind: 'none' };
  if (out.length === folds.length) return { kind: 'all' };
  const slanted = folds.filter(({ slants }) => slants);
  if (out.length === slanted.length && out.every(({ slants }) => slants))
    return { kind: 'slanting' };
  return {
    kind: 'these',
    lines: groupAtCorners(
      out.map(({ ends }) => ends),
      cutSizeOf(piece.grid),
    ),
  };
}
