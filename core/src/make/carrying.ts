import {
  carriedAlong,
  compose,
  flat,
  foldedTo,
  jointsOf,
  poseFaces,
  scale,
  shifted,
  type FoldingBox,
  type FoldingPart,
  type Frame,
  type Joint,
  type PartPose,
} from '../fold/index.ts';
import { largest, toMillimetres } from '../length/index.ts';
import { cutSizeOf } from '../piece/index.ts';

/** A part that is glued to another one before either is in its place: from then on it goes where that goes. */
export interface Carrying {
  readonly part: FoldingPart;
  readonly by: FoldingPart;
  /** The face of the other one that it is glued to, and the side of it. */
  readonly face: number;
  readonly side: Joint['touches'];
}

/**
 * The parts that are carried by another one. Of two that come into the box together it is the one that flaps
 * are glued to, as a plate by the flaps of its ring; else the one whose face is glued to the other, as a
 * tray to a wrapper that still lies flat.
 */
export function carryingsOf(box: FoldingBox): readonly Carrying[] {
  const partOf = (id: string) => box.parts.find(({ part }) => part.id === id);
  const found = new Map<FoldingPart, Carrying>();
  for (const { face, on, holds, touches, touched } of jointsOf(box)) {
    const [upper, lower] = [partOf(face.part), partOf(on.part)];
    if (holds !== 'glue' || !upper || !lower || upper === lower) continue;
    const [first, second] = [upper.part.joins, lower.part.joins];
    if (Math.max(first, second) < box.assembly.giftEnters) continue;
    const carrying =
      first === second
        ? { part: lower, by: upper, face: face.face, side: touches }
        : { part: upper, by: lower, face: on.face, side: touched };
    if (!found.has(carrying.part)) found.set(carrying.part, carrying);
  }
  return [...found.values()];
}

/** How a face of a part lies when the part is folded so far and lies so as a whole. */
function faceFrame(
  { pattern, root }: FoldingPart,
  face: number,
  { place, progress }: Pick<PartPose, 'place' | 'progress'>,
): Frame {
  return compose(place, poseFaces(pattern, root, progress)[face] ?? flat);
}

function closedFrame(part: FoldingPart, face: number): Frame {
  return faceFrame(part, face, { place: part.closed, progress: foldedTo(Infinity) });
}

/** Where a part is that is carried by another one, which is folded so far and lies so. */
export function carriedPlace(
  { part, by, face }: Carrying,
  pose: Pick<PartPose, 'place' | 'progress'>,
): Frame {
  return carriedAlong(part.closed, {
    from: closedFrame(by, face),
    to: faceFrame(by, face, pose),
  });
}

/** Where a part is held that is about to be glued to the one that carries it from then on: straight before its face. */
export function heldBefore(carrying: Carrying, pose: Pick<PartPose, 'place' | 'progress'>): Frame {
  const { part, by, face, side } = carrying;
  const { out } = faceFrame(by, face, pose);
  const { width, height } = cutSizeOf(part.piece.grid);
  // More than half its longer side away, so that it is clear of the face however it is turned, and a little
  // more, so that a small part is seen to move as well.
  const far = toMillimetres(largest(width, height)) * 0.6 + 20;
  return shifted(carriedPlace(carrying, pose), scale(out, side === 'drawn face' ? far : -far));
}

/** Where the part that carries another one is, folded so far, when that other one is in its place already. */
export function carrierPlace(
  { by, face }: Carrying,
  { progress }: Pick<PartPose, 'progress'>,
): Frame {
  return carriedAlong(flat, {
    from: faceFrame(by, face, { place: flat, progress }),
    to: closedFrame(by, face),
  });
}
