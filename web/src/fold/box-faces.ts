import {
  foldingBox,
  paperFor,
  type FoldingBox,
  type Papers,
  type Plan,
  type Point,
} from '@rangoli/core';

/** A plan ready to fold. */
export function foldingBoxOf(plan: Plan, papers: Papers): FoldingBox {
  return foldingBox(plan.pieces, ({ paper }) => paperFor(papers, paper).thickness, plan.assembly);
}

/** The corners of a face where they are on its flat piece, its outer ring first: from the upper left, y down. */
export function flatCorners(
  { parts }: FoldingBox,
  { part: id, face }: { readonly part: string; readonly face: number },
): readonly Point[] {
  const pattern = parts.find(({ part }) => part.id === id)?.pattern;
  const found = pattern?.faces[face];
  if (!pattern || !found) return [];
  return [...found.corners, ...found.holes.flat()].map((corner) => {
    const at = pattern.corners[corner];
    return { x: at?.x ?? 0, y: -(at?.y ?? 0) };
  });
}
