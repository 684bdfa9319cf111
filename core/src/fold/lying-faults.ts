import { boundsOf, mayTouch } from './bounds.ts';
import { beside, named, spare, type FoldFault } from './fold-fault.ts';
import type { PlacedFace } from './folded-box.ts';
import { isInRing } from './in-ring.ts';
import { add, cross, direction, dot, scale, subtract, vector, type Vector } from './vector.ts';

/** So many places of a face are tried each way. */
const net = 14;

/** Two directions along a face, at right angles to each other. */
function alongFace({ ring, out }: PlacedFace): readonly [Vector, Vector] {
  const [from = vector(0, 0, 0), to = vector(1, 0, 0)] = ring;
  const along = direction(subtract(to, from));
  return [along, cross(out, along)];
}

/** Whether there is card of a face at a place of its plane, and for a little all round it. */
function isWellInside(face: PlacedFace, place: Vector): boolean {
  const { ring, holes, out } = face;
  const [along, across] = alongFace(face);
  const around = [0, 1, 2, 3, 4, 5, 6, 7].map((eighth) => {
    const angle = (eighth * Math.PI) / 4;
    const aside = add(scale(along, Math.cos(angle)), scale(across, Math.sin(angle)));
    return add(place, scale(aside, beside));
  });
  return [place, ...around].every(
    (each) => isInRing(ring, each, out, 0) && holes.every((hole) => !isInRing(hole, each, out, 0)),
  );
}

/** Places all over a face where there is card. */
function placesOn(face: PlacedFace): readonly Vector[] {
  const [from = vector(0, 0, 0)] = face.ring;
  const [xs = [], ys = []] = alongFace(face).map((axis) => {
    const reached = face.ring.map((corner) => dot(subtract(corner, from), axis));
    const least = Math.min(...reached);
    const whole = Math.max(...reached) - least;
    return Array.from({ length: net }, (_, i) => scale(axis, least + ((i + 0.5) / net) * whole));
  });
  return xs
    .flatMap((x) => ys.map((y) => add(from, add(x, y))))
    .filter((place) => isWellInside(face, place));
}

/** Faces that lie in one another: side by side in space, and nearer than their card is thick. */
export function lyingFaults(faces: readonly PlacedFace[]): readonly FoldFault[] {
  const known = new Map<PlacedFace, readonly Vector[]>();
  const placesOf = (face: PlacedFace) => {
    const places = known.get(face) ?? placesOn(face);
    known.set(face, places);
    return places;
  };
  const bounds = faces.map(({ ring }) => boundsOf(ring));
  return faces.flatMap((one, i) =>
    faces.slice(i + 1).flatMap((other, after): readonly FoldFault[] => {
      const [here, there] = [bounds[i], bounds[i + 1 + after]];
      if (!here || !there || !mayTouch(here, there, Math.max(one.card, other.card))) return [];
      const [a] = one.ring;
      const [b] = other.ring;
      if (!a || !b || Math.abs(dot(one.out, other.out)) < 1 - 1e-6) return [];
      const apart = Math.abs(dot(subtract(b, a), one.out));
      const cards = (one.card + other.card) / 2;
      if (apart > cards - spare) return [];
      return placesOf(one).some((place) => isWellInside(other, place))
        ? [
            {
              about: 'lying',
              inTheWay: [one.part, other.part],
              message: `${named(one)} lies in ${named(other)}: ${apart.toFixed(2)} mm apart, and their card is ${cards.toFixed(2)} mm thick`,
            },
          ]
        : [];
    }),
  );
}
