import { foldingBox, type FaceRef, type FoldingBox } from '../fold/index.ts';
import type { DrawnFrame } from '../forms/index.ts';
import { paperFor, type Papers } from '../paper/index.ts';
import type { Undressed } from './addition.ts';
import type { Over } from './covers.ts';
import { flatFaces, type FlatFace, type FlatFaces } from './flat-faces.ts';
import { withoutOpenings } from './openings.ts';

/** A box ready to fold, without its openings and without anything that it wears. */
function plainBox(
  { pieces, assembly }: Pick<DrawnFrame, 'pieces' | 'assembly'>,
  papers: Papers,
): FoldingBox {
  const parts = assembly.parts.filter(
    ({ worn, lies, wraps, isHandle }) => !worn && !lies && !wraps && !isHandle,
  );
  const isBare = ({ part }: FaceRef) => parts.some(({ id }) => id === part);
  const bare = {
    ...assembly,
    parts,
    // A flap of the box may close over a panel of another one.
    stacks: assembly.stacks.filter(({ face, on }) => isBare(face) && isBare(on)),
  };
  return foldingBox(
    withoutOpenings(pieces),
    ({ paper }) => paperFor(papers, paper).thickness,
    bare,
  );
}

/** Its faces that something may be worn on. */
function facesOf(
  plain: FoldingBox,
  pieces: DrawnFrame['pieces'],
  pairs: readonly Over[],
): FlatFaces {
  return flatFaces(plain, new Map(pieces.map(({ id, grid }) => [id, grid.cutouts])), pairs);
}

/** All faces of a box that something may be worn on, whether they wear anything or not. */
export function wearable(
  {
    pieces,
    assembly,
    pairs,
  }: Pick<DrawnFrame, 'pieces' | 'assembly'> & { readonly pairs: readonly Over[] },
  papers: Papers,
): readonly FlatFace[] {
  return facesOf(plainBox({ pieces, assembly }, papers), pieces, pairs).all();
}

/** A box as it is planned, with what goes over what. */
export type DressedBox = DrawnFrame & { readonly pairs: readonly Over[] };

/** A drawn box that wears nothing yet. */
export function undressed(drawn: DrawnFrame, papers: Papers, pairs: readonly Over[]): Undressed {
  const plain = plainBox(drawn, papers);
  return {
    drawn,
    plain,
    papers,
    faces: facesOf(plain, drawn.pieces, pairs),
    taken: [],
    worn: { pieces: [], parts: [], stacks: [] },
  };
}
