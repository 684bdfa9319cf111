import { z } from 'zod';
import {
  add,
  carriedAlong,
  cross,
  scale,
  vector,
  type Cavity,
  type FoldingBox,
  type FoldingPart,
  type Part,
  type Vector,
} from '../fold/index.ts';
import type { Worn } from '../forms/index.ts';
import {
  extentsOf,
  standsInARow,
  standsInRows,
  type Gift,
  type SeveralGift,
} from '../gift/index.ts';
import {
  half,
  millimetres,
  minus,
  nanometres,
  plus,
  roundDown,
  smallest,
  times,
  toMillimetres,
  zero,
  type Length,
} from '../length/index.ts';
import { paperSchema } from '../paper/index.ts';
import type { Cutout } from '../piece/index.ts';
import type { Addition, DressBrief, Undressed } from './addition.ts';
import { roomSides } from './inside-faces.ts';
import { boundsOf, cutTo, outlineOf, type Bounds } from './outline.ts';
import { leastPanel, panelGrid } from './panel-shape.ts';
import { roomAt } from './room-at.ts';
import { noRoomTaken } from './room-taken.ts';
import { rowDividers, rowEase, type RowBrief } from './row-dividers.ts';

/** Strips that cross between things in rows, so that each has a place of its own. */
export const dividersSchema = z.object({
  addition: z.literal('dividers'),
  id: z.string().min(1).max(40),
  paper: paperSchema,
});
export type DividersChoice = z.infer<typeof dividersSchema>;

/** So much more than its card a thing is from the next one: they go in beside the strip with a hand. */
const ease = millimetres(0.8);

/** So much shorter a strip is than the room, at both ends together. */
const shorter = millimetres(0.6);

/** So much wider a slot is than the card that goes into it. */
const slotEase = millimetres(0.3);

/** So much deeper than half of the strip a slot is, so that both come down to the floor. */
const slotDeeper = millimetres(0.4);

/** How far apart dividers of this paper hold things. */
export function betweenThings({ paper }: DividersChoice): Length {
  return plus(paper.thickness, ease);
}

/** The strips of one direction: how long, and where from the middle of their length the others cross them. */
interface Strips {
  readonly long: Length;
  readonly crossings: readonly Length[];
  /** The places at which they stand, from the middle of the room. */
  readonly places: readonly Length[];
}

/** Where strips stand between so many things that are so large. */
function placesBetween(count: number, size: Length, between: Length): readonly Length[] {
  const pitch = plus(size, between);
  return Array.from({ length: count - 1 }, (_, i) => times(pitch, i + 1 - count / 2));
}

/** The room that strips so high may reach to: the narrowest of it, where walls lean. */
function roomFor(cavity: Cavity, high: number): Bounds | undefined {
  const below = outlineOf(roomAt(cavity, 0));
  const room = cutTo(below, outlineOf(roomAt(cavity, Math.min(high, cavity.high))), 0);
  return below.length === 4 && room.length === 4 ? boundsOf(room) : undefined;
}

/** How high the strips are: as the things, or as the room leaves them. */
function heightOf(gift: SeveralGift, { high }: Cavity, step: Length): Length {
  const free = nanometres(Math.floor(high * 1e6));
  return roundDown(smallest(extentsOf(gift).high, minus(free, millimetres(0.5))), step);
}

/** Both directions of strips, and where their middle is. */
interface Lattice {
  readonly high: Length;
  readonly across: Strips;
  readonly deep: Strips;
  readonly middle: Vector;
}

/** What stands between the things; undefined where they or the room are not in rows both ways. */
function latticeFor(
  choice: DividersChoice,
  gift: Gift,
  cavity: Cavity,
  step: Length,
): Lattice | undefined {
  if (!standsInRows(gift)) return undefined;
  const high = heightOf(gift, cavity, step);
  const room = roomFor(cavity, toMillimetres(high));
  // What lies flat has nothing to stand between.
  if (!room || high < leastPanel) return undefined;
  const { left, right, bottom, top } = room;
  const one = extentsOf(gift.item);
  const between = betweenThings(choice);
  const long = (far: number) => roundDown(minus(nanometres(Math.floor(far * 1e6)), shorter), step);
  const atColumns = placesBetween(gift.across, one.across, between);
  const atRows = placesBetween(gift.deep, one.deep, between);
  return {
    high,
    across: { long: long(right - left), crossings: atColumns, places: atRows },
    deep: { long: long(top - bottom), crossings: atRows, places: atColumns },
    middle: vector((left + right) / 2, (bottom + top) / 2, toMillimetres(high) / 2),
  };
}

/** A slot half through a strip, from its upper or its lower edge. */
function slot(at: Length, high: Length, card: Length, from: 'top' | 'bottom'): Cutout {
  const reach = half(plus(card, slotEase));
  const deep = plus(half(high), slotDeeper);
  const [upper, lower] = from === 'top' ? [nanometres(0), deep] : [minus(high, deep), high];
  return {
    shape: 'trim',
    use: 'divider slot',
    corners: [
      { x: minus(at, reach), y: upper },
      { x: plus(at, reach), y: upper },
      { x: plus(at, reach), y: lower },
      { x: minus(at, reach), y: lower },
    ],
  };
}

interface StripBrief {
  readonly id: string;
  readonly name: string;
  readonly strips: Strips;
  /** Where its slots are open. */
  readonly slots: 'top' | 'bottom';
  /** Which way it runs, and which way its copies stand beside one another. */
  readonly along: Vector;
  readonly aside: Vector;
}

/** A strip as a piece, and each of its copies where it stands, in every box of that kind that lies in the box. */
function stand(
  { id, name, strips, slots, along, aside }: StripBrief,
  { high, middle }: Lattice,
  {
    paper,
    card,
    under,
    box,
  }: {
    readonly paper: number;
    readonly card: Length;
    readonly under: FoldingPart;
    readonly box: FoldingBox;
  },
): Worn {
  const { long, crossings, places } = strips;
  const cutouts = crossings.map((at) => slot(plus(half(long), at), high, card, slots));
  const copies = box.parts.filter(({ piece }) => piece === under.piece);
  const up = vector(0, 0, 1);
  // Beside the first slot there is card from the lower edge to the upper.
  const fromEnd = 0.5;
  const parts = places.flatMap((at, i) => {
    const aslant = add(
      scale(along, fromEnd - toMillimetres(long) / 2),
      scale(aside, toMillimetres(at)),
    );
    const here = { right: along, up, out: cross(along, up), at: add(middle, aslant) };
    return copies.map((copy): Part => {
      const place = carriedAlong(here, { from: under.closed, to: copy.closed });
      return {
        id: `${id} ${i + 1} in ${copy.part.id}`,
        piece: id,
        root: { column: fromEnd / toMillimetres(long), row: 0.5 },
        right: place.right,
        up: place.up,
        at: place.at,
        joins: Math.max(0, box.assembly.giftEnters - 1),
        lies: { in: under.piece.id, against: 'things' },
        ...(copy.part.opens && { opens: copy.part.opens }),
      };
    });
  });
  const grid = panelGrid({ width: long, height: high, cutouts });
  return { pieces: [{ id, name, paper, copies: parts.length, grid }], parts, stacks: [] };
}

/** What stands between things in one row; undefined where they are in none, or the room is not square. */
function inOneRow(
  choice: DividersChoice,
  bare: Undressed,
  { step, kit, firstPaper, gift }: DressBrief,
  at: Pick<RowBrief, 'under' | 'box' | 'walls'>,
): Worn | undefined {
  if (!standsInARow(gift)) return undefined;
  const { cavity } = bare.drawn.assembly;
  const high = heightOf(gift, cavity, step);
  const room = roomFor(cavity, toMillimetres(high));
  if (!room || high < leastPanel) return undefined;
  const { id, paper } = choice;
  const between = betweenThings(choice);
  const card = paper.thickness;
  return rowDividers({ id, gift, room, high, between, card, firstPaper, step, kit, ...at });
}

function wear(choice: DividersChoice, bare: Undressed, brief: DressBrief) {
  const { id, paper } = choice;
  const { step, firstPaper, gift, inner } = brief;
  const lattice = latticeFor(choice, gift, bare.drawn.assembly.cavity, step);
  const { box, floor, walls } = roomSides(bare, inner);
  const under = floor.behind?.part;
  const nothing = { ok: true as const, worn: { pieces: [], parts: [], stacks: [] } };
  if (!under) return nothing;
  if (!lattice) {
    const row = inOneRow(choice, bare, brief, { under, box, walls });
    return row ? { ok: true as const, worn: row } : nothing;
  }
  const common = { paper: firstPaper, card: paper.thickness, under, box };
  const [right, back] = [vector(1, 0, 0), vector(0, 1, 0)];
  const all = [
    {
      id: `${id} across`,
      name: 'Side-to-side divider',
      strips: lattice.across,
      // It is pushed down over the others: its slots are open below.
      slots: 'bottom' as const,
      along: right,
      aside: back,
    },
    {
      id: `${id} deep`,
      name: 'Front-to-back divider',
      strips: lattice.deep,
      slots: 'top' as const,
      along: back,
      aside: right,
    },
  ].map((strip) => stand(strip, lattice, common));
  return {
    ok: true as const,
    worn: {
      pieces: all.flatMap(({ pieces }) => pieces),
      parts: all.flatMap(({ parts }) => parts),
      stacks: [],
    },
  };
}

/** Dividers. */
export const dividers: Addition<DividersChoice> = {
  // Tabs along the walls lie outside the room of the things.
  room: ({ paper: { thickness } }, gift) =>
    standsInARow(gift) ? { ...noRoomTaken, around: plus(thickness, rowEase) } : noRoomTaken,
  apart: (choice, gift) =>
    standsInRows(gift) || standsInARow(gift) ? betweenThings(choice) : zero,
  takes: () => [],
  leftOff: ({ id }, { drawn }) =>
    drawn.pieces.some((piece) => piece.id.startsWith(`${id} `))
      ? []
      : [{ id, why: 'no such face' }],
  wear,
};
