import { foldingBox, scale, vector, type FoldingBox, type Vector } from '../fold/index.ts';
import { nanometres, plus, toMillimetres, zero, type Length } from '../length/index.ts';
import type { BoxSide } from '../make/index.ts';
import type { BandUnderLid, LaidBrief, LaidCard, Undressed } from './addition.ts';
import { cutBand, type BandToCut } from './band-cut.ts';
import type { FlatFace } from './flat-faces.ts';
import { lidParts } from './lids.ts';
import { cardCorners, reachOf, roundOf, type RoundAnswer } from './round-box.ts';
import { outsideBox } from './worn-box.ts';

/** The four walls of a piece that a lid goes over, and how far down that comes on them, in millimetres. */
interface UnderLid {
  readonly piece: string;
  readonly walls: readonly FlatFace[];
  readonly from: number;
}

const sides = ['front', 'back', 'left', 'right'] as const;

/** The walls of a box that its lid goes over: of one that stands in it once, and on all four sides. */
function wallsUnderLid({ plain, faces }: Pick<Undressed, 'plain' | 'faces'>): UnderLid | undefined {
  const lids = lidParts(plain);
  const lidPieces = new Set(
    plain.parts.filter(({ part }) => lids.has(part.id)).map(({ piece }) => piece.id),
  );
  const under = faces
    .all()
    .filter(
      ({ name, covers }) =>
        name.role === 'wall' &&
        !name.isOnLid &&
        !name.leans &&
        name.nth === undefined &&
        covers.some(({ piece }) => lidPieces.has(piece)),
    );
  const [first] = under;
  if (!first) return undefined;
  const { piece } = first.name;
  const walls = under.filter(({ name }) => name.piece === piece);
  const isWhole = sides.every((side) => walls.some(({ name }) => name.faces === side));
  if (!isWhole || plain.parts.filter((part) => part.piece.id === piece).length !== 1)
    return undefined;
  const covers = walls.flatMap((wall) => wall.covers);
  return { piece, walls, from: Math.min(...covers.map(({ from }) => from)) };
}

/** The piece that a band under the lid goes round; undefined where there is none. */
export function pieceUnderLid(box: Pick<Undressed, 'plain' | 'faces'>): string | undefined {
  return wallsUnderLid(box)?.piece;
}

/** The base alone, with what it wears outside and what goes round it. */
function baseOf(box: FoldingBox, piece: string): FoldingBox {
  const own = new Set(
    box.parts.filter((part) => part.piece.id === piece).map(({ part }) => part.id),
  );
  return {
    ...box,
    parts: box.parts.filter(
      ({ part }) =>
        own.has(part.id) ||
        part.wraps === 'under lid' ||
        (part.worn !== undefined && own.has(part.worn.part)),
    ),
  };
}

/** What a band goes round there; undefined where it finds no hold, or lies wholly below the lid. */
function heldUnderLid(box: Pick<Undressed, 'plain' | 'faces'>, width: Length) {
  const under = wallsUnderLid(box);
  if (!under) return undefined;
  const base = baseOf(box.plain, under.piece);
  const rings = cornersOfBox(base);
  const { from, to } = reachOf(rings.flat(), vector(0, 0, 1));
  // A panel underneath makes the base high enough for one that is wider than its walls.
  const wide = Math.min(toMillimetres(width), to - from);
  const round = roundOf(base, 'walls', wide, { rings });
  if (!round.ok || round.of.middle + wide / 2 <= under.from) return undefined;
  return { ...under, base, of: round.of };
}

/** Where a band of that width lies under the lid; undefined where that doesn’t come down over any of it. */
export function bandUnderLid(
  box: Pick<Undressed, 'plain' | 'faces'>,
  width: Length,
): BandUnderLid | undefined {
  const held = heldUnderLid(box, width);
  if (!held) return undefined;
  const half = toMillimetres(width) / 2;
  return { piece: held.piece, from: held.of.middle - half, to: held.of.middle + half };
}

/**
 * The card that a band lays on the walls that a lid goes over, with the room that it has to slide, and where its seam
 * is with that: what else lies there is under it.
 */
export function cardUnderLid(
  band: BandToCut,
  box: Undressed,
  { laid, ...brief }: LaidBrief,
): readonly LaidCard[] {
  const held = heldUnderLid(box, band.width);
  if (!held) return [];
  const { piece, walls, base } = held;
  const heapOn = (side: BoxSide) =>
    toMillimetres(
      plus(
        zero,
        ...laid
          .filter(({ face: { name } }) => name.piece === piece && name.faces === side)
          .map(({ card }) => card),
      ),
    );
  const { right, back } = held.of;
  const of = {
    ...held.of,
    right: { from: right.from - heapOn('left'), to: right.to + heapOn('right') },
    back: { from: back.from - heapOn('front'), to: back.to + heapOn('back') },
  };
  const cut = cutBand(band, { of, way: 'walls' }, brief);
  if (!cut.ok) return [];
  const { pieces, parts, stacks } = cut.worn;
  const strip = foldingBox(pieces, () => band.paper.thickness, {
    ...box.plain.assembly,
    parts: [...parts],
    stacks: [...stacks],
  });
  const [corners, own] = [strip, base].map((each) => cornersOfBox(each).flat());
  if (!corners || !own) return [];
  // What lies on the outside of the walls anyhow, as their tabs may, is counted there.
  return walls.map((face) => {
    const outwards = scale(face.axes.out, -1);
    const beyond = reachOf(corners, outwards).to - reachOf(own, outwards).to;
    const card = Math.max(0, beyond - heapOn(face.name.faces));
    return { face, card: nanometres(Math.ceil(card * 1e6)) };
  });
}

function cornersOfBox(box: FoldingBox): readonly (readonly Vector[])[] {
  return cardCorners(box, () => true);
}

/** What a band goes round under the lid, or why it can’t. */
export type UnderLidAnswer =
  | RoundAnswer
  | { readonly ok: false; readonly why: 'no lid' }
  | { readonly ok: false; readonly why: 'hidden' };

/** What a band of this width goes round in the middle of the base, whose lid goes over it. Millimetres. */
export function roundUnderLid(bare: Undressed, width: number): UnderLidAnswer {
  const under = wallsUnderLid(bare);
  if (!under) return { ok: false, why: 'no lid' };
  const { piece, from } = under;
  const base = baseOf(outsideBox(bare), piece);
  const answer = roundOf(base, 'walls', width, { rings: cornersOfBox(base) });
  if (!answer.ok) return answer;
  return answer.of.middle - width / 2 >= from ? { ok: false, why: 'hidden' } : answer;
}
