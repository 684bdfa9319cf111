import { cutSizeOf, type Fold, type LineRef, type Piece, type Spot } from '../piece/index.ts';
import { groupAtCorners } from './at-corners.ts';
import { spotOnGrid } from './grid-spot.ts';
import type { OutFolds } from './operations/assembly.ts';

/** A fold that is made by hand, by its ends. */
interface HandFold {
  readonly fold: Fold;
  /** The grid line that it is on; none where it slants. */
  readonly line: LineRef | undefined;
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
      return [{ fold: span.fold, line: { axis, index }, ends: [at(span.from), at(span.to)] }];
    }),
  );
  const slanted = grid.diagonals.flatMap((diagonal): readonly HandFold[] =>
    diagonal.make === 'score'
      ? [
          {
            fold: diagonal.fold,
            line: undefined,
            ends: [spotOnGrid(grid, diagonal.from), spotOnGrid(grid, diagonal.to)],
          },
        ]
      : [],
  );
  return [...straight, ...slanted].filter(({ fold }) => fold.angle > 0);
}

/** Whether a line is one of the first so many across, from the top edge. */
function isAmong({ axis, index }: LineRef, across: number): boolean {
  return axis === 'row' && index <= across;
}

/** How many of the lines across, from the top edge on, fold out along all of their length. */
function firstAcross(folds: readonly HandFold[]): number {
  const isOut = (index: number) => {
    const here = folds.filter(({ line }) => line?.axis === 'row' && line.index === index);
    return here.length > 0 && here.every(({ fold }) => fold.sense === 'mountain');
  };
  let across = 0;
  while (isOut(across + 1)) across++;
  return across;
}

/** Which of the folds of a piece go out. */
export function outFolds(piece: Piece): OutFolds {
  const folds = handFolds(piece);
  const out = folds.filter(({ fold }) => fold.sense === 'mountain');
  if (out.length === 0) return { kind: 'none' };
  if (out.length === folds.length) return { kind: 'all' };
  const across = firstAcross(folds);
  const told = folds.filter(({ line }) => line === undefined || isAmong(line, across));
  const hasSlanting = folds.some(({ line }) => line === undefined);
  if (
    hasSlanting &&
    told.length === out.length &&
    told.every(({ fold }) => fold.sense === 'mountain')
  )
    return { kind: 'slanting', across };
  return {
    kind: 'these',
    lines: groupAtCorners(
      out.map(({ ends }) => ends),
      cutSizeOf(piece.grid),
    ),
  };
}
