import { z } from 'zod';
import type { FoldingBox } from '../fold/index.ts';
import type { Undressed } from './addition.ts';
import type { FlatFace } from './flat-faces.ts';

/** Which walls something goes over between: from left to right, or from front to back. */
export const overSchema = z.enum(['across', 'deep']);
export type OverTop = z.infer<typeof overSchema>;

const sides = { across: ['left', 'right'], deep: ['front', 'back'] } as const;

/** Whether a face stands upright and looks straight along an axis. */
function looksAlong({ axes: { out } }: FlatFace, over: OverTop): boolean {
  return Math.abs(over === 'across' ? out.x : out.y) > 0.999;
}

/** Whether a part closes the filled box by itself: under a handle it would open no more. */
function closesItself(box: FoldingBox, { part }: FlatFace): boolean {
  const own = box.parts.find((each) => each.part.id === part);
  const { giftEnters } = box.assembly;
  return (
    own === undefined ||
    (own.part.opens === undefined && own.pattern.creases.some(({ stage }) => stage >= giftEnters))
  );
}

/** Whether something is glued on the outside of a face already. */
function isWorn({ worn }: Undressed, { part, spot }: FlatFace): boolean {
  return worn.parts.some(
    ({ worn: on }) =>
      on?.part === part &&
      on.isInside !== true &&
      on.spot.column === spot.column &&
      on.spot.row === spot.row,
  );
}

/** Two bare walls that a strip over the box comes down on. */
export function wallsUnder(over: OverTop, undressed: Undressed, box: FoldingBox) {
  const bare = undressed.faces
    .all()
    .filter(
      (face) =>
        face.name.role === 'wall' &&
        face.covers.length === 0 &&
        face.openings.length === 0 &&
        looksAlong(face, over) &&
        face.uneven.length === 0 &&
        !isWorn(undressed, face) &&
        !closesItself(box, face),
    );
  const [from, to] = sides[over];
  return bare.flatMap((one) => {
    const other = bare.find(({ part, name }) => part === one.part && name.faces === to);
    return one.name.faces === from && other ? [{ one, other }] : [];
  })[0];
}

/** How that way is said. */
export const overSaid: Readonly<Record<OverTop, string>> = {
  across: 'from left to right',
  deep: 'from front to back',
};
