import type { FoldingPart, GridSpot } from '../fold/index.ts';
import { toMillimetres } from '../length/index.ts';
import { gridPositions, interiorPoint, type Cutout, type Point } from '../piece/index.ts';
import { isInOpening, openingOf, widened } from './openings.ts';

/** Where a place in millimetres of the flat piece is on its grid. */
function gridSpotAt({ piece }: FoldingPart, { x, y }: Point): GridSpot {
  const along = (positions: readonly number[], at: number) => {
    const before = positions.filter((each) => each <= at).length - 1;
    const index = Math.min(Math.max(before, 0), positions.length - 2);
    const [from = 0, to = 1] = positions.slice(index, index + 2);
    return index + (at - from) / (to - from);
  };
  return {
    column: along(gridPositions(piece.grid.columns).map(toMillimetres), x),
    row: along(gridPositions(piece.grid.rows).map(toMillimetres), y),
  };
}

/** A place of a face where there is card, in millimetres of the flat piece, x to the right and y down. */
function placeOnCard(part: FoldingPart, face: number, openings: readonly Cutout[]): Point {
  const ring = (part.pattern.faces[face]?.corners ?? []).flatMap((corner) => {
    const at = part.pattern.corners[corner];
    return at ? [{ x: at.x, y: -at.y }] : [];
  });
  const middle = interiorPoint(ring);
  const wide = openings.flatMap((cutout) => {
    const opening = openingOf(cutout);
    return opening ? [widened(opening, 0.3)] : [];
  });
  // An opening is measured upwards.
  const isClear = ({ x, y }: Point) => !wide.some((each) => isInOpening(each, { x, y: -y }));
  if (isClear(middle)) return middle;
  const towards = [0.5, 0.8, 0.9].flatMap((share) =>
    ring.map((corner) => ({
      x: middle.x + (corner.x - middle.x) * share,
      y: middle.y + (corner.y - middle.y) * share,
    })),
  );
  return towards.find(isClear) ?? middle;
}

/** A spot of a face of a part where there is card, clear of its holes and bites. */
export function cardSpot(part: FoldingPart, face: number, openings: readonly Cutout[]): GridSpot {
  return gridSpotAt(part, placeOnCard(part, face, openings));
}
