import type { CutoutUse, Piece } from '../piece/index.ts';
import type { BoxToMake } from './box-to-make.ts';
import type { PutInOperation } from './operations/assembly.ts';

type Box = Pick<BoxToMake, 'pieces' | 'assembly'>;

function cutouts({ grid }: Piece, wanted: CutoutUse): number {
  return grid.cutouts.filter(({ use }) => use === wanted).length;
}

/** How many elastics go round a card with notches, one in each pair of these; none where a ribbon does. */
export function elasticsRound({ assembly }: Pick<Box, 'assembly'>, piece: Piece): number {
  const isTied = (assembly.ribbons ?? []).some(({ through }) => through === piece.id);
  return isTied ? 0 : cutouts(piece, 'elastic notch') / 2;
}

/** What of the card that it lies on holds the gift; undefined where nothing does, or a ribbon. */
export function heldOnCard({ pieces, assembly }: Box): PutInOperation['heldBy'] {
  if (pieces.some((piece) => cutouts(piece, 'card slit') > 0)) return 'slits';
  return pieces.some((piece) => elasticsRound({ assembly }, piece) > 0) ? 'elastics' : undefined;
}
