import { z } from 'zod';
import {
  add,
  closedFaces,
  scale,
  seenFrom,
  type Frame,
  type GridSpot,
  type PlacedFace,
  type Vector,
} from '../fold/index.ts';
import type { Refusal } from '../forms/index.ts';
import {
  formatWithUnit,
  half,
  lengthBetween,
  millimetres,
  minus,
  nanometres,
  roundDown,
  toMillimetres,
  zero,
  type Length,
} from '../length/index.ts';
import { paperSchema } from '../paper/index.ts';
import type { Cutout, Point, Spot } from '../piece/index.ts';
import type { Addition, DressBrief, LeftOff, OpensAnswer, Undressed } from './addition.ts';
import { onFace } from './face-axes.ts';
import { faceChoiceSchema } from './face-choice.ts';
import { uncovered, type FlatFace } from './flat-faces.ts';
import { roomSides, type InsideFace, type RoomSide, type RoomSides } from './inside-faces.ts';
import { clearOf, evenAbout, middleOf, wearPlates } from './inside-plates.ts';
import { boundsOfOpening, isInOpening, widened, type Opening } from './openings.ts';
import {
  boundsOf,
  cornersOf,
  cutTo,
  isConvex,
  isWithinOutline,
  outlineOf,
  type Bounds,
} from './outline.ts';
import { faceSaid } from './panel-names.ts';
import { panelShape, type PanelShape } from './panel-shape.ts';
import { noRoomTaken } from './room-taken.ts';

/** How much card a window leaves round it, and how wide a round one may be. */
export const windowLimits = {
  leastFrame: millimetres(3),
  mostFrame: millimetres(150),
  leastAcross: millimetres(8),
  mostAcross: millimetres(250),
} as const;

/** A window in a face that looks into the room for the gift, with film behind it or open. */
export const windowSchema = z.object({
  addition: z.literal('window'),
  id: z.string().min(1).max(40),
  on: faceChoiceSchema,
  opening: z.discriminatedUnion('shape', [
    /** Straight-sided like its face, so much card left round it. */
    z.object({
      shape: z.literal('straight'),
      frame: lengthBetween(windowLimits.leastFrame, windowLimits.mostFrame),
    }),
    z.object({
      shape: z.literal('round'),
      across: lengthBetween(windowLimits.leastAcross, windowLimits.mostAcross),
    }),
  ]),
  film: paperSchema.optional(),
});
export type WindowChoice = z.infer<typeof windowSchema>;

/** So far film reaches beyond its window where there is card for it, in millimetres. */
const filmBeyond = 10;

/** So far it must reach to be stuck, and so far a window without film keeps off what is behind, in millimetres. */
const leastBeyond = { film: 4, none: 1 } as const;

/** So much smaller film is than the place for it. */
const ease = millimetres(0.3);

/** So much card is left between two openings of a face, in millimetres. */
const betweenOpenings = 3;

function asked({ on }: WindowChoice, { faces }: Undressed): FlatFace | undefined {
  return faces.chosen(on)[0];
}

/** A face where it looks into the room, with what of it a window may be cut from. Millimetres, as the room’s side is. */
interface LookingIn {
  readonly side: RoomSide;
  readonly sides: RoomSides;
  readonly behind: InsideFace;
  /** What is seen of it from outside. */
  readonly seen: readonly Point[];
  /** Where the room begins right behind it. */
  readonly room: readonly Point[];
}

function isFaceAt(
  box: RoomSides['box'],
  placed: PlacedFace,
  part: string,
  spot: GridSpot,
): boolean {
  const found = box.parts.find((each) => each.part.id === part);
  return placed.part === part && found?.pattern.faceAt(spot) === placed.face;
}

function lookingIn(face: FlatFace, box: Undressed, { inner }: DressBrief): LookingIn | undefined {
  const sides = roomSides(box, inner);
  const side = [sides.top, sides.floor, ...sides.walls].find(
    ({ behind }) =>
      behind?.part.part.id === face.part &&
      behind.part.pattern.faceAt(behind.spot) === face.name.at,
  );
  const behind = side?.behind;
  if (!side || !behind || !isConvex(behind.outline)) return undefined;
  const inSpace = ({ x, y }: Point) =>
    add(face.axes.at, add(scale(face.axes.right, x), scale(face.axes.up, y)));
  const onSide = (place: Vector) => onFace(side.axes, place);
  const bare = outlineOf(uncovered(face).map((place) => onSide(inSpace(place))));
  // A seam or a tab that is glued on outside covers it too.
  const glued = closedFaces(sides.box).flatMap((placed) =>
    face.uneven.some(({ part, spot }) => isFaceAt(sides.box, placed, part, spot))
      ? [{ outline: outlineOf(placed.ring.map(onSide)), surface: -Infinity }]
      : [],
  );
  const seen = clearOf(bare, { before: glued, across: () => [] }, 0);
  const own = cutTo(side.outline, behind.outline, 0);
  return { side, sides, behind, seen, room: clearOf(own, behind, behind.surface) };
}

/** What of a face a window may take, even about its middle. */
function placeFor(
  { film }: Pick<WindowChoice, 'film'>,
  { seen, room }: LookingIn,
  step: Length,
): readonly Point[] {
  if (seen.length < 3 || room.length < 3) return [];
  // Film is cut on the marks, and half of a step is lost on either side.
  const beyond = film ? leastBeyond.film + toMillimetres(half(step)) : leastBeyond.none;
  const free = cutTo(seen, room, beyond);
  return free.length < 3 ? [] : evenAbout(free, middleOf(seen));
}

/** A straight window with so much card round it; undefined where nothing is left of it. */
function straightIn(
  place: readonly Point[],
  seen: readonly Point[],
  frame: Length,
  step: Length,
): Opening | undefined {
  if (place.length < 3) return undefined;
  const outline = cutTo(place, seen, toMillimetres(frame));
  if (outline.length < 3) return undefined;
  const answer = panelShape({ outline, openings: [], margin: zero, step });
  if (!answer.ok) return undefined;
  const { width, height, outline: ring } = answer.shape;
  const { leastAcross } = windowLimits;
  return width >= leastAcross && height >= leastAcross ? { kind: 'straight', ring } : undefined;
}

/** A round window in the middle; undefined where it is too wide. */
function roundIn(
  place: readonly Point[],
  seen: readonly Point[],
  across: Length,
): Opening | undefined {
  if (place.length < 3) return undefined;
  const centre = middleOf(seen);
  const radius = toMillimetres(half(across));
  const frame = toMillimetres(windowLimits.leastFrame);
  const fits =
    isWithinOutline(place, centre, -radius) && isWithinOutline(seen, centre, -radius - frame);
  return fits ? { kind: 'round', centre, radius } : undefined;
}

/** The window as it is cut, where it can be. */
function openingIn(
  choice: Pick<WindowChoice, 'opening' | 'film'>,
  looking: LookingIn,
  step: Length,
): Opening | undefined {
  const place = placeFor(choice, looking, step);
  const { opening } = choice;
  return opening.shape === 'straight'
    ? straightIn(place, looking.seen, opening.frame, step)
    : roundIn(place, looking.seen, opening.across);
}

/** Whether a face may have this window, whatever openings it has already. */
export function isWindowIn(choice: WindowChoice, box: Undressed, brief: DressBrief): boolean {
  const face = asked(choice, box);
  const looking = face && lookingIn(face, box, brief);
  return looking !== undefined && openingIn(choice, looking, brief.step) !== undefined;
}

/** The size of a window that would do, nearest to what is asked for; undefined where none does. */
function nearestSize(choice: WindowChoice, looking: LookingIn, step: Length): Length | undefined {
  const { opening } = choice;
  const does = (size: Length) =>
    openingIn(
      {
        ...choice,
        opening:
          opening.shape === 'straight'
            ? { shape: 'straight', frame: size }
            : { shape: 'round', across: size },
      },
      looking,
      step,
    ) !== undefined;
  const [from, least] =
    opening.shape === 'straight'
      ? [opening.frame, windowLimits.leastFrame]
      : [opening.across, windowLimits.leastAcross];
  if (looking.seen.length < 3) return undefined;
  const { left, right, bottom, top } = boundsOf(looking.seen);
  const most = nanometres(Math.floor(Math.max(right - left, top - bottom) * 1e6));
  const start = from < most ? from : most;
  for (let size = roundDown(start, step); size >= least; size = minus(size, step))
    if (does(size)) return size;
  return does(least) ? least : undefined;
}

function refused(
  choice: WindowChoice,
  face: FlatFace,
  looking: LookingIn,
  { field, step, unit }: DressBrief,
): Refusal {
  const nearest = nearestSize(choice, looking, step);
  const where = `the ${faceSaid(face.name)}`;
  const stuck = choice.film ? ', and film must be stuck round it' : '';
  if (nearest === undefined)
    return {
      field,
      message: `There is no room for a window in ${where}: it is small, or other card covers most of it${stuck}. Take the window out there.`,
    };
  const { opening } = choice;
  const does = formatWithUnit(nearest, unit);
  return opening.shape === 'straight'
    ? {
        field: `${field}.opening.frame`,
        message: `With ${formatWithUnit(opening.frame, unit)} of card round it, nothing is left of a window in ${where}. ${does} is the most that will do.`,
        nearest,
      }
    : {
        field: `${field}.opening.across`,
        message: `A window ${formatWithUnit(opening.across, unit)} across is too large for ${where}. ${does} is the largest that will do.`,
        nearest,
      };
}

/** Whether two openings run into each other, or leave too little card between. */
function isTooNear(one: Opening, other: Opening): boolean {
  const [a, b] = [boundsOfOpening(widened(one, betweenOpenings)), boundsOfOpening(other)];
  const isApart = a.right <= b.left || a.left >= b.right || a.top <= b.bottom || a.bottom >= b.top;
  return !isApart;
}

/** A place of the room’s side where it is on the flat piece behind it. */
function flattener({ side: { axes }, behind }: LookingIn): (place: Point) => Spot {
  const { part, spot, surface } = behind;
  const frame: Frame = part.faces[part.pattern.faceAt(spot)] ?? part.closed;
  const inSpace = ({ x, y }: Point): Vector =>
    add(scale(axes.out, surface), add(scale(axes.right, x), scale(axes.up, y)));
  return (place) => {
    const { x, y } = seenFrom(frame, inSpace(place));
    return { x: nanometres(Math.round(x * 1e6)), y: nanometres(Math.round(-y * 1e6)) };
  };
}

function cutoutOf(opening: Opening, looking: LookingIn): Cutout {
  const onPiece = flattener(looking);
  if (opening.kind === 'straight')
    return { shape: 'trim', use: 'window', corners: opening.ring.map(onPiece) };
  const radius = nanometres(Math.round(opening.radius * 1e6));
  return { shape: 'hole', use: 'window', centre: onPiece(opening.centre), radius };
}

/** What is cut out of its face. */
function opens(choice: WindowChoice, bare: Undressed, brief: DressBrief): OpensAnswer {
  const face = asked(choice, bare);
  if (!face) return { ok: true, cutouts: [] };
  const where = `the ${faceSaid(face.name)}`;
  const looking = lookingIn(face, bare, brief);
  if (!looking)
    return {
      ok: false,
      refusal: {
        field: `${brief.field}.on`,
        message: `A window in ${where} would not look into the box: other card lies behind it. Take the window out there.`,
      },
    };
  const opening = openingIn(choice, looking, brief.step);
  if (!opening) return { ok: false, refusal: refused(choice, face, looking, brief) };
  if (looking.behind.openings.some((other) => isTooNear(opening, other)))
    return {
      ok: false,
      refusal: {
        field: `${brief.field}.on`,
        message: `There is an opening in ${where} already, where the window would be. Take the window out there.`,
      },
    };
  return {
    ok: true,
    cutouts: [{ piece: face.name.piece, cutout: cutoutOf(opening, looking) }],
  };
}

/** The film behind a window: as far beyond it as there is card for. */
function filmShape(opening: Opening, { room }: LookingIn, step: Length): PanelShape | undefined {
  const bounds = boundsOfOpening(widened(opening, filmBeyond));
  const outline = evenAbout(
    cutTo(room, cornersOf(bounds), 0),
    middleOf(cornersOf(boundsOfOpening(opening))),
  );
  if (outline.length < 3) return undefined;
  const answer = panelShape({ outline, openings: [], margin: ease, step });
  if (!answer.ok) return undefined;
  const { shape } = answer;
  return { ...shape, on: besideWindow(shape, opening) };
}

/** A place of film that lies on card. */
function besideWindow({ bounds, outline, on }: PanelShape, opening: Opening): Point {
  const { left, right, bottom, top }: Bounds = bounds;
  const shares = [0.5, 0.02, 0.98, 0.1, 0.9];
  const places = shares.flatMap((x) =>
    shares.map((y) => ({ x: left + (right - left) * x, y: bottom + (top - bottom) * y })),
  );
  const wide = widened(opening, 0.3);
  return (
    places.find((place) => isWithinOutline(outline, place, -0.3) && !isInOpening(wide, place)) ?? on
  );
}

function wear(choice: WindowChoice, bare: Undressed, brief: DressBrief) {
  const { id, film } = choice;
  const nothing = { ok: true as const, worn: { pieces: [], parts: [], stacks: [] } };
  const face = asked(choice, bare);
  const looking = face && lookingIn(face, bare, brief);
  const opening = looking && openingIn(choice, looking, brief.step);
  if (!film || !looking || !opening) return nothing;
  const shape = filmShape(opening, looking, brief.step);
  if (!shape) return nothing;
  const { side, sides, behind } = looking;
  const out = behind.surface - toMillimetres(film.thickness) / 2;
  return {
    ok: true as const,
    worn: wearPlates([{ side, behind, shape, out, against: 'window' }], {
      id,
      paper: brief.firstPaper,
      sides,
      nameOf: () => 'Window film',
      role: 'film',
    }),
  };
}

function leftOff(choice: WindowChoice, box: Undressed): readonly LeftOff[] {
  return asked(choice, box) ? [] : [{ id: choice.id, why: 'no such face' }];
}

/** A window. */
export const window: Addition<WindowChoice> = {
  room: ({ film, on: { faces } }) => {
    if (!film) return noRoomTaken;
    const { thickness } = film;
    return {
      around: faces === 'top' || faces === 'bottom' ? zero : thickness,
      under: faces === 'bottom' ? thickness : zero,
      over: faces === 'top' ? thickness : zero,
    };
  },
  goesRound: 'under all',
  takes: () => [],
  leftOff,
  opens,
  wear,
};
