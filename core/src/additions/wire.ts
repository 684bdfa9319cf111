import { z } from 'zod';
import { add, closedFaces, scale, seenFrom } from '../fold/index.ts';
import type { PieceCutout, Refusal } from '../forms/index.ts';
import {
  half,
  inchFraction,
  millimetres,
  nanometres,
  toMillimetres,
  type Length,
} from '../length/index.ts';
import { punchFor } from '../make/index.ts';
import type { CutoutUse, Point } from '../piece/index.ts';
import { cutUnit, type Kit } from '../tools/index.ts';
import type { Addition, DressBrief, OpensAnswer, Undressed } from './addition.ts';
import { overSaid, overSchema, wallsUnder, type OverTop } from './facing-walls.ts';
import { onFace } from './face-axes.ts';
import type { FlatFace } from './flat-faces.ts';
import { roomSides } from './inside-faces.ts';
import { boundsOf, isWithinOutline } from './outline.ts';
import { noRoomTaken } from './room-taken.ts';

/** A wire that an open box is carried by, through a hole in each of two walls that face each other. */
export const wireSchema = z.object({
  addition: z.literal('wire'),
  id: z.string().min(1).max(40),
  over: overSchema,
});
export type WireChoice = z.infer<typeof wireSchema>;

/** A hole for a wire: how wide, and how far its middle is from the upper edge. */
interface WireHole {
  readonly radius: Length;
  readonly down: Length;
}

/** The punch that is owned decides how wide it is; so much card is left over it as it is wide, and more. */
function holeFor(kit: Kit): WireHole {
  const isInch = cutUnit(kit) === 'inch';
  const usual = isInch ? inchFraction(1, 8) : millimetres(3);
  const across = punchFor('hole', 'wire', usual, kit.punches)?.size ?? usual;
  return { radius: half(across), down: isInch ? inchFraction(5, 16) : millimetres(8) };
}

/** So far card that lies behind a wall keeps away from its hole, in millimetres. */
const beside = 0.5;

/** A wall lower or narrower than this beside its hole tears, in widths of that. */
const leastWall = 4;

/** The place of the hole on its wall; undefined where the wall is too small for it. */
function placeOn({ outline }: FlatFace, { radius, down }: WireHole): Point | undefined {
  const { left, right, bottom, top } = boundsOf(outline);
  const [r, d] = [radius, down].map(toMillimetres);
  if (r === undefined || d === undefined) return undefined;
  const isLarge = right - left > leastWall * 2 * r && top - bottom > d + leastWall * r;
  const place = { x: (left + right) / 2, y: top - d };
  return isLarge && isWithinOutline(outline, place, -2 * r) ? place : undefined;
}

/** Whether a wall of an open box is one card thick all over its hole, so that the wire comes through into the box. */
function isSingle(face: FlatFace, bare: Undressed, place: Point, { radius }: WireHole): boolean {
  const { walls, top } = roomSides(bare, noRoomTaken);
  if (top.behind) return false;
  // Of a cup of many sides several walls look the same way.
  const side = walls.find(
    ({ behind: card }) =>
      card?.part.part.id === face.part && card.part.pattern.faceAt(card.spot) === face.name.at,
  );
  const behind = side?.behind;
  if (!side || behind?.glued.part !== face.part || behind.role !== 'wall') return false;
  const { right, up, at } = face.axes;
  const inSpace = add(at, add(scale(right, place.x), scale(up, place.y)));
  const seen = onFace(side.axes, inSpace);
  return [...behind.before, ...behind.across()].every(
    ({ outline }) => !isWithinOutline(outline, seen, toMillimetres(radius) + beside),
  );
}

interface HoleInWall {
  readonly face: FlatFace;
  readonly place: Point;
}

/** The holes of a wire that goes over the box this way; none where it has no open walls for it. */
function holesFor(over: OverTop, bare: Undressed, hole: WireHole): readonly HoleInWall[] {
  const box = bare.plain;
  const walls = wallsUnder(over, bare, box);
  if (!walls) return [];
  const carrier = box.parts.find(({ part }) => part.id === walls.one.part);
  // In a lid its ends would scratch along the box.
  if (!carrier || carrier.part.opens !== undefined) return [];
  const found = [walls.one, walls.other].flatMap((face): readonly HoleInWall[] => {
    const place = placeOn(face, hole);
    return place && isSingle(face, bare, place, hole) ? [{ face, place }] : [];
  });
  return found.length === 2 ? found : [];
}

/** A hole where it is on the flat piece of its wall. */
function cutoutOf({ face, place }: HoleInWall, bare: Undressed, { radius }: WireHole): PieceCutout {
  const part = bare.plain.parts.find((each) => each.part.id === face.part);
  const frame = part?.faces[part.pattern.faceAt(face.spot)];
  if (!frame) throw new Error(`No part ${face.part}`);
  const { right, up, at } = face.axes;
  const { x, y } = seenFrom(frame, add(at, add(scale(right, place.x), scale(up, place.y))));
  const nano = (value: number) => nanometres(Math.round(value * 1e6));
  return {
    piece: face.name.piece,
    cutout: { shape: 'hole', use: 'wire', centre: { x: nano(x), y: nano(-y) }, radius },
  };
}

/** What a box is held by that has a handle of its own. */
const held: ReadonlySet<CutoutUse> = new Set(['finger hole', 'wire']);

function hasHandle({ plain, drawn }: Undressed): boolean {
  return (
    closedFaces(plain).some(({ role }) => role === 'arch') ||
    drawn.pieces.some(({ grid }) => grid.cutouts.some(({ use }) => held.has(use)))
  );
}

/** Whether a wire may go over a box so. */
export function mayHaveWire(over: OverTop, bare: Undressed, kit: Kit): boolean {
  return !hasHandle(bare) && holesFor(over, bare, holeFor(kit)).length > 0;
}

function refused({ over }: WireChoice, bare: Undressed, { field, kit }: DressBrief): Refusal {
  if (hasHandle(bare))
    return {
      field,
      message: 'This box has something to be held by already. Take the wire off.',
    };
  const other = over === 'across' ? 'deep' : 'across';
  const way = mayHaveWire(other, bare, kit)
    ? `It would go ${overSaid[other]}.`
    : 'Take the wire off.';
  return {
    field: `${field}.over`,
    message: `A wire ${overSaid[over]} finds no two walls of an open box for its holes, of one card and with nothing glued on. ${way}`,
  };
}

function opens(choice: WireChoice, bare: Undressed, brief: DressBrief): OpensAnswer {
  const hole = holeFor(brief.kit);
  const found = hasHandle(bare) ? [] : holesFor(choice.over, bare, hole);
  if (found.length === 0) return { ok: false, refusal: refused(choice, bare, brief) };
  return { ok: true, cutouts: found.map((each) => cutoutOf(each, bare, hole)) };
}

/** A wire handle. */
export const wire: Addition<WireChoice> = {
  room: () => noRoomTaken,
  goesRound: 'under all',
  takes: () => [],
  leftOff: () => [],
  opens,
  wear: () => ({ ok: true, worn: { pieces: [], parts: [], stacks: [] } }),
};
