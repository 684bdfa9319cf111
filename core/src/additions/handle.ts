import { z } from 'zod';
import { closedFaces, dot, vector, type FoldingBox, type Part, type Stack } from '../fold/index.ts';
import type { Refusal } from '../forms/index.ts';
import {
  formatWithUnit,
  half,
  lengthBetween,
  millimetres,
  nanometres,
  roundDown,
  roundUp,
  toMillimetres,
  type Length,
} from '../length/index.ts';
import { paperSchema } from '../paper/index.ts';
import type { GridLine, ScoreGrid } from '../piece/index.ts';
import { scoringMeans } from '../tools/index.ts';
import type { Addition, DressBrief, Undressed } from './addition.ts';
import { overSaid, overSchema, wallsUnder, type OverTop } from './facing-walls.ts';
import type { FlatFace } from './flat-faces.ts';
import { boundsOf } from './outline.ts';
import { noRoomTaken } from './room-taken.ts';
import { placesOf, reachOf } from './round-box.ts';
import { wornBox } from './worn-box.ts';

/** How wide the strip of a handle may be, and how far it may stand over the box. */
export const handleLimits = {
  leastWidth: millimetres(8),
  mostWidth: millimetres(80),
  leastRise: millimetres(10),
  mostRise: millimetres(250),
} as const;

/** A strip of card over the box that it is lifted by, glued to two of its walls. */
export const handleSchema = z.object({
  addition: z.literal('handle'),
  id: z.string().min(1).max(40),
  /** From left to right, or from front to back. */
  over: overSchema,
  width: lengthBetween(handleLimits.leastWidth, handleLimits.mostWidth),
  /** How far it stands over the top. */
  rise: lengthBetween(handleLimits.leastRise, handleLimits.mostRise),
  paper: paperSchema,
});
export type HandleChoice = z.infer<typeof handleSchema>;

const axes = { across: vector(1, 0, 0), deep: vector(0, 1, 0) } as const;

/** Where the outside of a wall is along an axis, in millimetres. */
function outerAt({ axes: { at, out }, card }: FlatFace, over: OverTop): number {
  const way = axes[over];
  return dot(at, way) - (dot(out, way) * card) / 2;
}

function hasHandle(box: FoldingBox): boolean {
  return closedFaces(box).some(({ role }) => role === 'arch');
}

function refused({ over }: HandleChoice, bare: Undressed, box: FoldingBox, field: string): Refusal {
  if (hasHandle(box))
    return { field, message: 'This box has a handle already. Take one of them off.' };
  const other = over === 'across' ? 'deep' : 'across';
  const way = wallsUnder(other, bare, box)
    ? `It would go ${overSaid[other]}.`
    : 'Take the handle off.';
  return {
    field: `${field}.over`,
    message: `A handle ${overSaid[over]} finds no two bare walls to be glued to, of an open box or of a lid that comes off. ${way}`,
  };
}

/** A strip that would be wider than its walls. */
function tooWide(
  { width }: HandleChoice,
  face: FlatFace,
  { field, step, unit }: DressBrief,
): Refusal | undefined {
  const { left, right } = boundsOf(face.outline);
  const most = roundDown(nanometres(Math.floor((right - left) * 1e6)), step);
  if (width <= most) return undefined;
  return {
    field: `${field}.width`,
    message: `A handle ${formatWithUnit(width, unit)} wide is wider than its walls. ${formatWithUnit(most, unit)} is the most that will do.`,
    nearest: most,
  };
}

function gridOf(leg: Length, across: Length, width: Length): ScoreGrid {
  const score = (index: number): GridLine => ({
    axis: 'column',
    index,
    spans: [{ make: 'score', from: 0, to: 1, fold: { sense: 'valley', angle: 90, stage: 0 } }],
  });
  return {
    columns: [leg, across, leg],
    rows: [width],
    roles: [['end', 'arch', 'end']],
    lines: [score(1), score(2)],
    diagonals: [],
    tapers: [],
    cutouts: [],
    patches: [],
  };
}

function wear(choice: HandleChoice, bare: Undressed, brief: DressBrief) {
  const { id, over, rise, paper } = choice;
  const { step, kit, firstPaper, field } = brief;
  const box = wornBox(bare);
  const walls = hasHandle(box) ? undefined : wallsUnder(over, bare, box);
  if (!walls) return { ok: false as const, refusal: refused(choice, bare, box, field) };
  const { one, other } = walls;
  const wide = tooWide(choice, one, brief);
  if (wide) return { ok: false as const, refusal: wide };
  const carrier = bare.drawn.assembly.parts.find((part) => part.id === one.part);
  if (!carrier) throw new Error(`No part ${one.part}`);
  const t = toMillimetres(paper.thickness);
  const width = roundDown(choice.width, step);
  const [from, to] = [outerAt(one, over), outerAt(other, over)];
  const needed = to - from + t;
  const across = roundUp(nanometres(Math.ceil(needed * 1e6)), step);
  // The wall’s own axis runs up.
  const { bottom } = boundsOf(one.outline);
  const top = reachOf(placesOf(box).flat(), vector(0, 0, 1)).to;
  const wanted = nanometres(Math.round((top + toMillimetres(rise) + t / 2 - bottom) * 1e6));
  const pitch = scoringMeans(kit)?.step ?? step;
  const leg = roundDown(wanted, pitch);
  const middle = (from + to) / 2;
  const out = toMillimetres(half(across));
  const aside = (({ left, right }) => (left + right) / 2)(boundsOf(one.outline));
  const { right, at } = one.axes;
  const along = { x: at.x + right.x * aside, y: at.y + right.y * aside };
  const z = bottom + toMillimetres(half(leg));
  const part: Part = {
    id: `${id} handle`,
    piece: `${id} handle`,
    root: { column: 0.5, row: 0.5 },
    right: vector(0, 0, 1),
    up: over === 'across' ? vector(0, -1, 0) : vector(1, 0, 0),
    at: over === 'across' ? vector(middle - out, along.y, z) : vector(along.x, middle - out, z),
    joins: carrier.joins,
    isHandle: true,
    ...(carrier.opens && { opens: carrier.opens }),
  };
  const bows = Math.max(0, (toMillimetres(across) - needed) / 2);
  const stacks = [one, other].map((wall, i): Stack => ({
    face: { part: part.id, spot: { column: i === 0 ? 0.05 : 2.95, row: 0.5 } },
    on: { part: wall.part, spot: wall.spot },
    side: 'outside',
    holds: 'glue',
    bows,
  }));
  const piece = {
    id: part.piece,
    name: 'Handle',
    paper: firstPaper,
    copies: 1,
    grid: gridOf(leg, across, width),
  };
  return { ok: true as const, worn: { pieces: [piece], parts: [part], stacks } };
}

/** A handle. */
export const handle: Addition<HandleChoice> = {
  room: () => noRoomTaken,
  goesRound: 'on it',
  takes: () => [],
  leftOff: () => [],
  wear,
};
