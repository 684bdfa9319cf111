import type { PieceCutout } from './brief.ts';
import type { DrawnFrame } from './draw-frame.ts';

/** A drawn box with what is cut out of its own pieces for what it is to wear. */
export function cutOutOf<Drawn extends Pick<DrawnFrame, 'pieces'>>(
  drawn: Drawn,
  cutouts: readonly PieceCutout[],
): Drawn {
  if (cutouts.length === 0) return drawn;
  return {
    ...drawn,
    pieces: drawn.pieces.map((piece) => {
      const own = cutouts.flatMap(({ piece: id, cutout }) => (id === piece.id ? [cutout] : []));
      if (own.length === 0) return piece;
      return { ...piece, grid: { ...piece.grid, cutouts: [...piece.grid.cutouts, ...own] } };
    }),
  };
}
