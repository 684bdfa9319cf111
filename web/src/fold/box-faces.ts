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

/** Whether the card goes on round a fold at an edge of a face, between two of its corners. */
export function isCreased(
  { parts }: FoldingBox,
  { part: id, face }: { readonly part: string; readonly face: number },
  from: number,
  to: number,
): boolean {
  const pattern = parts.find(({ part }) => part.id === id)?.pattern;
  const found = pattern?.faces[face];
  if (!pattern || !found) return false;
  const corners = [...found.corners, ...found.holes.flat()];
  const ends = [corners[from], corners[to]];
  return (pattern.around[face] ?? []).some(
    (crease) => ends.includes(crease.from) && ends.includes(crease.to),
  );
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
