import { dot, placeInto, subtract, turnInto, vector } from '../fold/index.ts';
import type { FoldingPart, Frame, Vector } from '../fold/index.ts';

/** Where a part lies that stands to another one as it will in the closed box, wherever that one lies now. */
export function resting(
  part: FoldingPart,
  { in: outer, at }: { readonly in: FoldingPart; readonly at: Frame },
): Frame {
  const seenFrom = (v: Vector) =>
    vector(dot(v, outer.closed.right), dot(v, outer.closed.up), dot(v, outer.closed.out));
  const turned = (v: Vector) => turnInto(at, seenFrom(v));
  return {
    right: turned(part.closed.right),
    up: turned(part.closed.up),
    out: turned(part.closed.out),
    at: placeInto(at, seenFrom(subtract(part.closed.at, outer.closed.at))),
  };
}
