import { named, spare, type FoldFault } from './fold-fault.ts';
import type { FoldingBox, PlacedFace } from './folded-box.ts';
import { isInRing } from './in-ring.ts';
import { cavitySolid, depthIn, partInside, type Solid } from './solid.ts';
import { add, scale, type Vector } from './vector.ts';

/** Faces that stand in the room that is promised to the gift. */
export function cavityFaults(box: FoldingBox, faces: readonly PlacedFace[]): readonly FoldFault[] {
  const solid = cavitySolid(box.assembly.cavity);
  // What stands between the things of the gift, or round them, is there for them.
  const between = new Set(
    box.assembly.parts.flatMap(({ id, lies }) =>
      lies?.against === 'things' || lies?.against === 'legs round things' ? [id] : [],
    ),
  );
  return faces.flatMap((face): readonly FoldFault[] => {
    if (between.has(face.part)) return [];
    const layers = [-0.5, 0, 0.5].map((share) =>
      face.ring.map((point) => add(point, scale(face.out, share * face.card))),
    );
    const stands = layers.some((ring) => {
      const part = partInside(ring, solid, spare);
      // What lies in an opening of the face is no card.
      return part.length > 0 && !isInHole(face, part);
    });
    return stands
      ? [
          {
            about: 'cavity',
            inTheWay: [face.part],
            message: `${named(face)} stands in the room for the gift`,
          },
        ]
      : [];
  });
}

function isInHole({ holes, out }: PlacedFace, part: readonly Vector[]): boolean {
  return holes.some((hole) => part.every((point) => isInRing(hole, point, out, spare)));
}

/** A gift that stands out of its room. */
export function giftFaults(solid: Solid, gift: readonly Vector[]): readonly FoldFault[] {
  const out = Math.min(...gift.map((point) => depthIn(solid, point)));
  return out < -spare
    ? [{ about: 'gift', message: `The gift stands out of its room by ${(-out).toFixed(2)} mm` }]
    : [];
}
