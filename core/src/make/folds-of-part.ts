import type { Crease, FoldingPart } from '../fold/index.ts';
import { parentsOf } from './rows-of-part.ts';

/** How the faces of a part hang together. */
export interface FoldsOfPart {
  /** The face that each face hangs on. */
  readonly parents: ReadonlyMap<number, number>;
  /** The stage at which each face is folded about the face that it hangs on; none for the middle. */
  readonly stages: ReadonlyMap<number, number>;
  /** Faces that give way by themselves as their neighbours fold. */
  readonly followers: ReadonlySet<number>;
}

/** How the faces of a part hang together, found from its creases. */
export function foldsOfPart(part: FoldingPart): FoldsOfPart {
  const parents = parentsOf(part);
  const stages = new Map<number, number>();
  const followers = new Set<number>();
  for (const [face, parent] of parents) {
    const crease = (part.pattern.around[face] ?? []).find(
      (each) => faceBeyond(each, face) === parent,
    );
    if (!crease || crease.angle === 0) continue;
    stages.set(face, crease.stage);
    if (crease.follows) followers.add(face);
  }
  return { parents, stages, followers };
}

function faceBeyond({ left, right }: Crease, face: number): number {
  return left === face ? right : left;
}

/** The face that turns about a crease, as seen from the middle of the part; none where both hang elsewhere. */
export function turnsAbout(
  { left, right }: Crease,
  parents: FoldsOfPart['parents'],
): number | undefined {
  if (parents.get(left) === right) return left;
  return parents.get(right) === left ? right : undefined;
}

/** A face and the faces that it hangs on, up to the middle. */
export function withParents(face: number, parents: FoldsOfPart['parents']): readonly number[] {
  const chain = [face];
  for (let at = parents.get(face); at !== undefined; at = parents.get(at)) chain.push(at);
  return chain;
}
