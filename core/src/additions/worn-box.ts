import { foldingBox, type FoldingBox, type Part } from '../fold/index.ts';
import type { DrawnFrame, Worn } from '../forms/index.ts';
import { paperFor } from '../paper/index.ts';
import type { Undressed } from './addition.ts';
import { withoutOpenings } from './openings.ts';

/** A box with what it wears already, ready to fold. */
export function wornBox({ drawn, papers, worn }: Undressed): FoldingBox {
  return foldedWith({ ...drawn, papers }, worn);
}

/**
 * The same with only so much of what it wears as is seen from outside, its faces without their openings: these are
 * told by its pieces.
 */
export function outsideBox({ drawn, papers, worn }: Undressed): FoldingBox {
  const outside = only(worn, isOutside);
  const pieces = withoutOpenings(drawn.pieces);
  const plain = foldedWith(
    { ...drawn, pieces, papers },
    { ...outside, pieces: withoutOpenings(outside.pieces) },
  );
  const own = new Map([...drawn.pieces, ...outside.pieces].map((piece) => [piece.id, piece]));
  const parts = plain.parts.map((part) => ({
    ...part,
    piece: own.get(part.piece.id) ?? part.piece,
  }));
  return { ...plain, parts };
}

/** A box without its openings, with only so much of what it wears as its room is bounded by. */
export function insideBox({ plain, papers, drawn, worn }: Undressed): FoldingBox {
  const inside = only(worn, isAtWalls);
  if (inside.parts.length === 0) return plain;
  return foldedWith(
    { pieces: withoutOpenings(drawn.pieces), assembly: plain.assembly, papers },
    { ...inside, pieces: withoutOpenings(inside.pieces) },
  );
}

/** What lies in a box or is glued to its inside is not seen from outside. */
function isOutside({ lies, worn }: Part): boolean {
  return !lies && worn?.isInside !== true;
}

/** What only lies in a box is no part of it, and what is glued to its outside is not in its room. */
function isAtWalls({ lies, worn, wraps }: Part): boolean {
  return !lies && wraps === undefined && (!worn || worn.isInside === true);
}

/** Only some parts of what a box wears, with the stacks that they are in. */
function only({ pieces, parts, stacks }: Worn, isMeant: (part: Part) => boolean): Worn {
  const meant = parts.filter(isMeant);
  const ids = new Set(meant.map(({ id }) => id));
  const others = new Set(parts.map(({ id }) => id).filter((id) => !ids.has(id)));
  return {
    pieces: pieces.filter(({ id }) => meant.some(({ piece }) => piece === id)),
    parts: meant,
    stacks: stacks.filter(({ face, on }) => !others.has(face.part) && !others.has(on.part)),
  };
}

function foldedWith(
  { pieces, assembly, papers }: Pick<DrawnFrame, 'pieces' | 'assembly'> & Pick<Undressed, 'papers'>,
  worn: Worn,
): FoldingBox {
  return foldingBox([...pieces, ...worn.pieces], ({ paper }) => paperFor(papers, paper).thickness, {
    ...assembly,
    parts: [...assembly.parts, ...worn.parts],
    stacks: [...assembly.stacks, ...worn.stacks],
  });
}
