import {
  add,
  foldedTo,
  posePart,
  poseWorn,
  scale,
  wearerOf,
  type FoldingBox,
  type FoldingPart,
  type Frame,
  type PartPose,
  type PlacedFace,
  type Scene,
} from '../fold/index.ts';
import { toMillimetres } from '../length/index.ts';
import { cutSizeOf } from '../piece/index.ts';
import { bridges } from './dress-steps.ts';
import type { DressOperation } from './operations/assembly.ts';
import type { AssemblyStep } from './step.ts';

/** What a part wears, the lowest first. */
export function wornOn(box: FoldingBox, wearer: FoldingPart): readonly FoldingPart[] {
  return box.parts.filter((part) => wearerOf(box, part) === wearer);
}

/** Whether something is on its part by a step that is about that part alone. */
export function isWornBefore(
  box: FoldingBox,
  part: FoldingPart,
  { operations }: AssemblyStep,
): boolean {
  const isStillBare = operations.every(({ kind }) => kind === 'fold' || kind === 'thread');
  return !isStillBare && !bridges(box, part.part.worn);
}

/** A flat piece with its outside up: turned over like a page. */
function turnedOver({ right, up, out, at }: Frame): Frame {
  return { right: scale(right, -1), up, out: scale(out, -1), at };
}

/** Something worn comes straight on to its face; what lies under it is there already. */
export function dressScene(
  box: FoldingBox,
  lying: readonly Frame[],
  { piece, lies, side }: DressOperation,
  share: number,
): Scene & { readonly moving: readonly Pick<PlacedFace, 'part' | 'face'>[] } {
  const isComing = (part: FoldingPart) => part.piece.id === piece;
  const first = box.parts.find(isComing);
  const wearer = first && wearerOf(box, first);
  if (!wearer) return { faces: [], gift: 0, moving: [] };
  const flat = lying[box.parts.indexOf(wearer)] ?? wearer.closed;
  const pose: PartPose = {
    place: lies === 'flat' && side === 'outside' ? turnedOver(flat) : flat,
    progress: foldedTo(lies === 'flat' ? 0 : box.assembly.giftEnters),
    settled: lies === 'flat' ? 0 : 1,
  };
  const worn = wornOn(box, wearer);
  const coming = worn.filter(isComing);
  const last = Math.max(...coming.map((part) => worn.indexOf(part)));
  const there = worn.filter(
    (part, i) =>
      i <= last && (isComing(part) || lies === 'folded' || !bridges(box, part.part.worn)),
  );
  const placed = there.flatMap((part) => {
    const own = poseWorn(part, wearer, pose);
    if (!isComing(part)) return posePart(part, own);
    const { width, height } = cutSizeOf(part.piece.grid);
    const far = toMillimetres(width > height ? width : height) * 0.4 + 20;
    // The side that is drawn goes on to the face.
    const away = scale(own.place.out, -far * (1 - share) * (1 - share));
    return posePart(part, { ...own, away: add(away, own.away ?? { x: 0, y: 0, z: 0 }) });
  });
  return {
    faces: [...posePart(wearer, pose), ...placed],
    gift: 0,
    moving: coming.map(({ part, root }) => ({ part: part.id, face: root })),
  };
}
