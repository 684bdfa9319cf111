import { toMillimetres } from '../length/index.ts';
import type { Cutout, CutoutUse } from '../piece/index.ts';
import { named, spare, standsOff, type FoldFault } from './fold-fault.ts';
import type { FoldingBox, FoldingPart, PlacedFace } from './folded-box.ts';
import { placeInto, type Frame } from './frame.ts';
import { isInRing } from './in-ring.ts';
import { cavitySolid, depthIn } from './solid.ts';
import { add, dot, scale, subtract, vector, type Vector } from './vector.ts';

/** What is punched to be seen through, or to put something through, in the closed box. */
const open: readonly CutoutUse[] = [
  'finger hole',
  'hanging hole',
  'window',
  'ribbon',
  'ribbon pull',
  'wire',
  'brad',
];

type Hole = Extract<Cutout, { readonly shape: 'hole' | 'trim' }>;

/** The corners of a straight-sided hole with the middles of its sides, or a dozen places round a hole. */
function rimOf(hole: Hole): readonly Vector[] {
  if (hole.shape === 'trim') {
    const corners = hole.corners.map(({ x, y }) => vector(toMillimetres(x), -toMillimetres(y), 0));
    return corners.flatMap((here, i) => {
      const next = corners[(i + 1) % corners.length] ?? here;
      return [here, scale(add(here, next), 0.5)];
    });
  }
  const { centre, radius } = hole;
  const [x, y, far] = [toMillimetres(centre.x), -toMillimetres(centre.y), toMillimetres(radius)];
  return Array.from({ length: 12 }, (_, i) => {
    const angle = (i * Math.PI) / 6;
    return vector(x + far * Math.cos(angle), y + far * Math.sin(angle), 0);
  });
}

/** Places all over a hole on its flat piece, its middle first. */
function placesIn(hole: Hole): readonly Vector[] {
  const rim = rimOf(hole);
  const middle = scale(
    rim.reduce((sum, each) => add(sum, each), vector(0, 0, 0)),
    1 / rim.length,
  );
  const around = [0.5, 0.95].flatMap((share) =>
    rim.map((each) => add(middle, scale(subtract(each, middle), share))),
  );
  return [middle, ...around];
}

/** The face of a part that a hole is punched out of. */
function faceOf({ pattern }: FoldingPart, middle: Vector): number {
  const up = vector(0, 0, 1);
  const ringOf = (corners: readonly number[]) =>
    corners.flatMap((corner) => pattern.corners[corner] ?? []);
  return pattern.faces.findIndex(({ holes }) =>
    holes.some((hole) => isInRing(ringOf(hole), middle, up, 0)),
  );
}

/** How far along the normal of a place in a hole another face lies over it; none where it doesn't. */
function overAt(
  place: Vector,
  out: Vector,
  { ring, holes, out: otherOut }: PlacedFace,
): number | undefined {
  const [corner] = ring;
  const along = dot(out, otherOut);
  if (!corner || Math.abs(along) < 0.5) return undefined;
  const off = dot(subtract(corner, place), otherOut) / along;
  const there = add(place, scale(out, off));
  const isOver =
    isInRing(ring, there, otherOut, 0) &&
    holes.every((hole) => !isInRing(hole, there, otherOut, 0));
  return isOver ? off : undefined;
}

/** Holes that something of the box lies in front of or behind. */
export function openingFaults(box: FoldingBox, faces: readonly PlacedFace[]): readonly FoldFault[] {
  const room = cavitySolid(box.assembly.cavity);
  const holeFaults = (part: FoldingPart, hole: Hole): readonly FoldFault[] => {
    const [middle = vector(0, 0, 0), ...around] = placesIn(hole);
    const at = faceOf(part, middle);
    const face = faces.find((each) => each.part === part.part.id && each.face === at);
    const frame: Frame | undefined = part.faces[at];
    if (!face || !frame)
      return [{ about: 'opening', message: `${part.part.id}: a ${hole.use} is in no face` }];
    const first = box.parts.find(({ piece }) => piece === part.piece) ?? part;
    const fromFirst = subtract(part.part.at, first.part.at);
    const places = [middle, ...around].map((place) =>
      add(placeInto(frame, place), part.lifts[at] ?? vector(0, 0, 0)),
    );
    return (
      faces
        // Film is looked through.
        .filter((other) => other !== face && other.role !== 'film')
        .flatMap((other): readonly FoldFault[] => {
          const shut = places.filter((place) => {
            const off = overAt(place, face.out, other);
            if (off === undefined || Math.abs(off) > standsOff) return false;
            // What is seen across the gift's room shuts nothing; each copy has its own.
            const between = add(place, scale(face.out, off / 2));
            return depthIn(room, subtract(between, fromFirst)) < spare;
          });
          return shut.length === 0
            ? []
            : [
                {
                  about: 'opening',
                  message: `The ${hole.use} of ${named(face)} is shut by ${named(other)}: ${Math.round((100 * shut.length) / places.length)} of 100 parts`,
                },
              ];
        })
    );
  };
  return box.parts.flatMap((part) =>
    part.piece.grid.cutouts.flatMap((cutout) =>
      (cutout.shape === 'hole' || cutout.shape === 'trim') && open.includes(cutout.use)
        ? holeFaults(part, cutout)
        : [],
    ),
  );
}
