import type { FoldingPart, PlacedFace, Vector } from '../fold/index.ts';
import { litCutouts } from './lit.ts';

function middle(points: readonly Vector[]): Vector {
  const sum = points.reduce((a, b) => ({ x: a.x + b.x, y: a.y + b.y, z: a.z + b.z }));
  const { length } = points;
  return { x: sum.x / length, y: sum.y / length, z: sum.z / length };
}

/** Where the middles of holes of a part are in space, by their places among its cutouts; a notch has none. */
export function cutoutPlaces(
  { part, piece, pattern }: FoldingPart,
  cutouts: readonly number[],
  faces: readonly PlacedFace[],
): readonly Vector[] {
  return cutouts.flatMap((cutout) => {
    const [ring] = litCutouts([cutout], piece).areas;
    if (!ring) return [];
    // A pattern counts upwards, a drawing down.
    const wanted = middle(ring.map(({ x, y }) => ({ x, y: -y, z: 0 })));
    return pattern.faces.flatMap(({ holes }, at) =>
      holes.flatMap((hole, nth) => {
        const here = middle(hole.flatMap((corner) => pattern.corners[corner] ?? []));
        if (Math.hypot(here.x - wanted.x, here.y - wanted.y) > 0.1) return [];
        const placed = faces.find((each) => each.part === part.id && each.face === at)?.holes[nth];
        return placed ? [middle(placed)] : [];
      }),
    );
  });
}
