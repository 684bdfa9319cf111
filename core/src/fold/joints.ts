import type { CellRole } from '../piece/index.ts';
import { millimetres, type Length } from '../length/index.ts';
import type { FaceRef, Stack } from './assembly.ts';
import type { Crease } from './crease-pattern.ts';
import type { FoldingBox, FoldingPart } from './folded-box.ts';
import { dot } from './vector.ts';

/** A face that takes part in a joint. */
export interface JointFace {
  readonly part: string;
  readonly piece: string;
  /** Its place among the part's faces. */
  readonly face: number;
  readonly role: CellRole;
}

/** A face that is glued to another one, or tucked behind it. */
export interface Joint {
  readonly face: JointFace;
  readonly on: JointFace;
  readonly holds: Exclude<Stack['holds'], 'rest'>;
  /** Which side of the face touches its partner: the one that is drawn, or its back. */
  readonly touches: 'drawn face' | 'back';
  /** The same for its partner. */
  readonly touched: 'drawn face' | 'back';
  /** The stage at which both have come to where they meet. */
  readonly stage: number;
  /** The narrower way of the face: no tape may be wider. */
  readonly narrow: Length;
}

/** The creases on the way from the root to every face, the nearest to the root first. */
function waysOf({ pattern, root }: FoldingPart): ReadonlyMap<number, readonly Crease[]> {
  const ways = new Map<number, readonly Crease[]>([[root, []]]);
  const waiting = [root];
  for (let from = waiting.shift(); from !== undefined; from = waiting.shift())
    for (const crease of pattern.around[from] ?? []) {
      const next = crease.left === from ? crease.right : crease.left;
      if (ways.has(next)) continue;
      ways.set(next, [...(ways.get(from) ?? []), crease]);
      waiting.push(next);
    }
  return ways;
}

/** The last stage at which a fold moves one of two faces and not the other. */
function meetingStage(part: FoldingPart, one: number, other: number): number {
  const ways = waysOf(part);
  const [first = [], second = []] = [ways.get(one), ways.get(other)];
  const apart = [
    ...first.filter((crease) => !second.includes(crease)),
    ...second.filter((crease) => !first.includes(crease)),
  ];
  return Math.max(0, ...apart.map(({ stage }) => stage));
}

/** The narrower way of the rectangle round a face. */
function narrowOf({ pattern }: FoldingPart, face: number): Length {
  const places = pattern.faces[face]?.corners.map((corner) => pattern.corners[corner]) ?? [];
  const spread = (values: readonly number[]) => Math.max(...values) - Math.min(...values);
  const xs = places.map((place) => place?.x ?? 0);
  const ys = places.map((place) => place?.y ?? 0);
  return millimetres(Math.min(spread(xs), spread(ys)));
}

/**
 * What holds a box together, from its assembly: each face that lies on another one, once for each partner.
 * @throws Error when the assembly names a part that the box doesn't have.
 */
export function jointsOf(box: FoldingBox): readonly Joint[] {
  const partOf = (ref: FaceRef) => {
    const found = box.parts.find(({ part }) => part.id === ref.part);
    if (!found) throw new Error(`No part ${ref.part} in this box`);
    return found;
  };
  return box.assembly.stacks.flatMap((stack): readonly Joint[] => {
    const { holds } = stack;
    // What only rests on something holds nothing.
    if (holds === 'rest') return [];
    const [upper, lower] = [partOf(stack.face), partOf(stack.on)];
    const face = upper.pattern.faceAt(stack.face.spot);
    const on = lower.pattern.faceAt(stack.on.spot);
    const described = (part: FoldingPart, at: number): JointFace => ({
      part: part.part.id,
      piece: part.piece.id,
      face: at,
      role: part.pattern.faces[at]?.role ?? 'wall',
    });
    const [out, over] = [upper.faces[face]?.out, lower.faces[on]?.out];
    const isAlike = out !== undefined && over !== undefined && dot(out, over) > 0;
    return [
      {
        face: described(upper, face),
        on: described(lower, on),
        holds,
        // Lying on a drawn face with its own drawn face the same way up, it touches with its back.
        touches: isAlike === (stack.side === 'inside') ? 'back' : 'drawn face',
        touched: stack.side === 'inside' ? 'drawn face' : 'back',
        stage:
          upper === lower
            ? meetingStage(upper, face, on)
            : Math.max(upper.part.joins, lower.part.joins),
        narrow: narrowOf(upper, face),
      },
    ];
  });
}
