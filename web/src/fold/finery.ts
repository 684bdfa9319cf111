import {
  closedFaces,
  foldingBox,
  paperFor,
  toMillimetres,
  zero,
  type FoldingBox,
  type Papers,
  type PlacedFace,
  type Plan,
} from '@rangoli/core';
import { looksOf, plainLook } from '../prints/card-look.ts';
import type { Skin } from './axonometric.ts';
import { bowFaces, type BowPlace } from './bow-faces.ts';
import { flatCorners } from './box-faces.ts';
import { blockRound, liftedParts, ribbonFaces, ribbonPart, type Block } from './ribbon-faces.ts';

/** What is put on a closed box and is no part of it, with how it looks. */
export interface Finery {
  readonly faces: readonly PlacedFace[];
  readonly skin: Skin;
}

/** So far beside the box its tag lies, and how high a layer on foam stands off, in millimetres. */
const beside = 14;
const foam = 2;

type Ribbon = NonNullable<Plan['assembly']['ribbons']>[number];
type Part = Plan['assembly']['parts'][number];

/** Where the bow of a ribbon is: on top, or before the front. */
function bowPlace({ way, ties }: Ribbon, { x, y, z }: Block): BowPlace | undefined {
  if (way === 'holes' || way === 'notches') return undefined;
  const middle = { x: (x.from + x.to) / 2, y: (y.from + y.to) / 2, z: z.to };
  const along = { x: 1, y: 0, z: 0 };
  const isInFront = way === 'walls' || ties === 'at the front';
  return isInFront
    ? {
        middle: { ...middle, y: y.from, z: (z.from + z.to) / 2 },
        along,
        across: { x: 0, y: 0, z: 1 },
        out: { x: 0, y: -1, z: 0 },
      }
    : { middle, along, across: { x: 0, y: 1, z: 0 }, out: { x: 0, y: 0, z: 1 } };
}

/** The pieces of all tags, lying beside the box with their front up, layer on layer. */
function tagBox(
  { pieces, assembly }: Plan,
  papers: Papers,
  { x, y }: Block,
): FoldingBox | undefined {
  const cardOf = ({ paper }: Pick<Plan['pieces'][number], 'paper'>) =>
    paperFor(papers, paper).thickness;
  const parts = (assembly.tags ?? []).flatMap((tag, nth): readonly Part[] => {
    const own = [{ piece: tag.piece, standsOff: false }, ...tag.layers].flatMap(
      ({ piece: id, standsOff }) => {
        const piece = pieces.find((each) => each.id === id);
        return piece ? [{ piece, standsOff }] : [];
      },
    );
    const [first] = own;
    if (!first) return [];
    const { rows, columns } = first.piece.grid;
    const wide = toMillimetres(columns[0] ?? zero);
    let up = 0;
    return own.map(({ piece, standsOff }): Part => {
      up += toMillimetres(cardOf(piece)) + (standsOff ? foam : 0);
      // The front half of what is folded is the lower one.
      const isBase = piece === first.piece && rows.length > 1;
      return {
        id: `tag ${piece.id}`,
        piece: piece.id,
        root: { column: 0.5, row: isBase ? 1.5 : 0.5 },
        // Its drawn side lies down.
        right: { x: -1, y: 0, z: 0 },
        up: { x: 0, y: 1, z: 0 },
        at: {
          x: x.to + beside + wide / 2 + nth * (wide + beside),
          y: y.from,
          z: up,
        },
        joins: 0,
      };
    });
  });
  if (parts.length === 0) return undefined;
  return foldingBox(pieces, cardOf, { ...assembly, parts, stacks: [] });
}

/** A closed box that something is put on. */
interface Closed {
  readonly box: FoldingBox;
  readonly closed: readonly PlacedFace[];
}

/** How a ribbon looks. */
export const ribbonLook = plainLook('#f2b31c');

/** The ribbons of a closed box with their bows. */
export function ribbonsOn({ assembly }: Plan, { box, closed }: Closed): readonly PlacedFace[] {
  const { ribbons = [] } = assembly;
  if (ribbons.length === 0 || closed.length === 0) return [];
  const block = blockRound(closed);
  return ribbons.flatMap((ribbon) => {
    const place = ribbon.bow > 0 ? bowPlace(ribbon, block) : undefined;
    const size = { wide: toMillimetres(ribbon.bow), ribbon: toMillimetres(ribbon.width) };
    return [
      ...ribbonFaces(closed, ribbon, liftedParts(box)),
      ...(place ? bowFaces(ribbonPart, place, size) : []),
    ];
  });
}

/** The ribbons of a closed box with their bows, and its tags, which lie beside it; nothing where it has none. */
export function fineryOf(plan: Plan, papers: Papers, box: Closed): Finery | undefined {
  const tied = ribbonsOn(plan, box);
  const hung = box.closed.length > 0 ? tagBox(plan, papers, blockRound(box.closed)) : undefined;
  if (tied.length === 0 && !hung) return undefined;
  // The back half of a folded tag lies under its front.
  const hanging = hung
    ? closedFaces(hung).filter(({ part: id, face }) =>
        hung.parts.some(({ part, root }) => part.id === id && root === face),
      )
    : [];
  return {
    faces: [...tied, ...hanging],
    skin: {
      looks: new Map(hung ? looksOf(hung, papers) : []).set(ribbonPart, ribbonLook),
      flatOf: (face) => (hung && face.part !== ribbonPart ? flatCorners(hung, face) : []),
    },
  };
}
