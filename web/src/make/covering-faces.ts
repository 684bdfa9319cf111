import { polygonContains } from 'd3';
import type { DrawnFace } from '../fold/axonometric.ts';

/** Places all over a face: its middle, and beside its corners. */
function placesOn({ outline }: DrawnFace): readonly (readonly [number, number])[] {
  const x = outline.reduce((sum, point) => sum + point.x, 0) / outline.length;
  const y = outline.reduce((sum, point) => sum + point.y, 0) / outline.length;
  return [
    [x, y],
    ...outline.map((point) => [x + (point.x - x) * 0.7, y + (point.y - y) * 0.7] as const),
  ];
}

function covers({ outline }: DrawnFace, [x, y]: readonly [number, number]): boolean {
  return polygonContains(
    outline.map((point) => [point.x, point.y]),
    [x, y],
  );
}

/** Faces, by their place in a picture, that lie nearer to the eye and over half or more of one that is to be seen. */
export function coveringFaces(
  faces: readonly DrawnFace[],
  isToBeSeen: (face: DrawnFace) => boolean,
): ReadonlySet<number> {
  const covering = new Set<number>();
  faces.forEach((face, at) => {
    if (!isToBeSeen(face)) return;
    const places = placesOn(face);
    faces.forEach((other, nearer) => {
      if (nearer <= at || isToBeSeen(other)) return;
      const covered = places.filter((place) => covers(other, place)).length;
      if (covered * 2 >= places.length) covering.add(nearer);
    });
  });
  return covering;
}
