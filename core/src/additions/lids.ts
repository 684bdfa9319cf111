import type { FoldingBox } from '../fold/index.ts';

/** The parts of a box that are lifted off with its lid, without what they wear. */
export function lidParts({ parts }: FoldingBox): ReadonlySet<string> {
  const lids = parts.filter(
    ({ part, piece }) =>
      part.opens !== undefined &&
      part.opens.z > 0 &&
      part.wraps === undefined &&
      part.worn === undefined &&
      piece.grid.roles.some((row) => row.includes('lid')),
  );
  return new Set(lids.map(({ part }) => part.id));
}
