import { z } from 'zod';
import {
  add,
  dot,
  scale,
  seenFrom,
  spotUseSchema,
  type FoldingBox,
  type FoldingPart,
  type Frame,
  type Towards,
} from '../fold/index.ts';
import type { Refusal } from '../forms/index.ts';
import {
  formatWithUnit,
  inchFraction,
  lengthBetween,
  millimetres,
  nanometres,
  roundDown,
  roundToGrid,
  toMillimetres,
  type Length,
  type Unit,
} from '../length/index.ts';
import { cutSizeOf, type Point, type ScoreGrid } from '../piece/index.ts';
import { cutUnit } from '../tools/index.ts';
import type { Addition, DressBrief, LeftOff, Undressed } from './addition.ts';
import { faceChoiceSchema } from './face-choice.ts';
import type { FlatFace } from './flat-faces.ts';
import { isInOpening } from './openings.ts';
import { boundsOf, isWithinOutline } from './outline.ts';
import { faceSaid } from './panel-names.ts';
import { noRoomTaken } from './room-taken.ts';
import { wornBox } from './worn-box.ts';

/** Where on its face something is, as somebody sees it who stands before the face. */
const placeOnFaceSchema = z.enum([
  'middle',
  'top',
  'bottom',
  'left',
  'right',
  'top left',
  'top right',
  'bottom left',
  'bottom right',
]);
export type PlaceOnFace = z.infer<typeof placeOnFaceSchema>;

export const placesOnFace: readonly PlaceOnFace[] = placeOnFaceSchema.options;

/** How far from the edges that it is near to the middle of a stamp may be. */
export const insetLimits = { least: millimetres(1), most: millimetres(300) } as const;

/** A place on a flat face where something is stamped, stuck or punched, before anything is glued. */
export const spotChoiceSchema = z.object({
  addition: z.literal('spot'),
  id: z.string().min(1).max(40),
  on: faceChoiceSchema,
  use: spotUseSchema,
  at: placeOnFaceSchema,
  /** How far its middle is from the edges that it is near to. */
  inset: lengthBetween(insetLimits.least, insetLimits.most),
});
export type SpotChoice = z.infer<typeof spotChoiceSchema>;

function asked({ on }: SpotChoice, { faces }: Undressed): FlatFace | undefined {
  return faces.chosen(on)[0];
}

/** The middle of a stamp on its face: `x` counts as its inside is drawn, so left and right change places. */
function placeOn({ at, inset }: SpotChoice, { outline }: FlatFace): Point {
  const { left, right, bottom, top } = boundsOf(outline);
  const off = toMillimetres(inset);
  return {
    x: at.includes('left') ? right - off : at.includes('right') ? left + off : (left + right) / 2,
    y: at.includes('top') ? top - off : at.includes('bottom') ? bottom + off : (bottom + top) / 2,
  };
}

/** The uppermost of what lies on a face, or the part itself, and how it lies in the closed box. */
function uppermost(
  box: FoldingBox,
  face: FlatFace,
): { part: FoldingPart; frame: Frame } | undefined {
  const worn = box.parts.filter(
    ({ part: { worn: on } }) =>
      on?.part === face.part &&
      on.isInside !== true &&
      on.spot.column === face.spot.column &&
      on.spot.row === face.spot.row,
  );
  const part = worn.at(-1) ?? box.parts.find((each) => each.part.id === face.part);
  if (!part) return undefined;
  const at = worn.length > 0 ? part.root : part.pattern.faceAt(face.spot);
  return { part, frame: part.faces[at] ?? part.closed };
}

/** Which way something goes on a piece that lies with its outside up, turned over like a page. */
function towards(frame: Frame, { axes }: FlatFace): Towards {
  const [x, y] = [-dot(axes.up, frame.right), dot(axes.up, frame.up)];
  const across = x > 0.38 ? 'right' : x < -0.38 ? 'left' : undefined;
  const along = y > 0.38 ? 'top' : y < -0.38 ? 'bottom' : undefined;
  if (along && across) return `${along} ${across}`;
  return along ?? across ?? 'top';
}

function isPlain({ columns, rows, cutouts, patches }: ScoreGrid): boolean {
  return columns.length === 1 && rows.length === 1 && cutouts.length === 0 && patches.length === 0;
}

/** Nobody sets a stamp down nearer than to a mark. */
function markOf(unit: Unit): Length {
  return unit === 'inch' ? inchFraction(1, 16) : millimetres(1);
}

function refused(choice: SpotChoice, face: FlatFace, brief: DressBrief): Refusal {
  const { left, right, bottom, top } = boundsOf(face.outline);
  const least = Math.min(right - left, top - bottom);
  const nearest = roundDown(nanometres(Math.floor((least / 2) * 1e6)), markOf(brief.unit));
  const said = formatWithUnit(choice.inset, brief.unit);
  const isOnCard = (tried: SpotChoice) => {
    const place = placeOn(tried, face);
    return (
      isWithinOutline(face.outline, place) &&
      !face.openings.some((opening) => isInOpening(opening, place))
    );
  };
  // In a corner of a face that slants nearer to the edges is no better.
  const isBetter = nearest >= insetLimits.least && isOnCard({ ...choice, inset: nearest });
  const others = [
    ...(isBetter ? [`${formatWithUnit(nearest, brief.unit)} from the edge`] : []),
    ...(isOnCard({ ...choice, at: 'middle' }) ? ['in the middle'] : []),
  ];
  const other = `Put it ${others.length > 0 ? others.join(', or ') : 'elsewhere on the face'}.`;
  return {
    field: `${brief.field}.inset`,
    message: `A spot ${said} from the edge is beside the ${faceSaid(face.name)}. ${other}`,
    ...(isBetter && { nearest }),
  };
}

function wear(choice: SpotChoice, bare: Undressed, brief: DressBrief) {
  const nothing = { ok: true as const, worn: { pieces: [], parts: [], stacks: [] } };
  const face = asked(choice, bare);
  if (!face) return nothing;
  const middle = placeOn(choice, face);
  if (!isWithinOutline(face.outline, middle))
    return { ok: false as const, refusal: refused(choice, face, brief) };
  if (face.openings.some((opening) => isInOpening(opening, middle)))
    return {
      ok: false as const,
      refusal: {
        field: `${brief.field}.at`,
        message: `There is an opening in the ${faceSaid(face.name)}, where the spot would be. Put it elsewhere on the face.`,
      },
    };
  const found = uppermost(wornBox(bare), face);
  if (!found) return nothing;
  const { part, frame } = found;
  const { right, up, at } = face.axes;
  const place = seenFrom(frame, add(at, add(scale(right, middle.x), scale(up, middle.y))));
  const { grid } = part.piece;
  const { width } = cutSizeOf(grid);
  const mark = markOf(cutUnit(brief.kit));
  const marked = (millimetresOff: number) =>
    roundToGrid(nanometres(Math.max(0, Math.round(millimetresOff * 1e6))), mark);
  const spot = {
    id: choice.id,
    piece: part.piece.id,
    use: choice.use,
    fromLeft: marked(toMillimetres(width) - place.x),
    fromTop: marked(-place.y),
    top: towards(frame, face),
    isPlain: isPlain(grid),
  };
  return { ...nothing, worn: { ...nothing.worn, spots: [spot] } };
}

function leftOff(choice: SpotChoice, box: Undressed): readonly LeftOff[] {
  return asked(choice, box) ? [] : [{ id: choice.id, why: 'no such face' }];
}

/** A spot that is stamped, that a sticker goes on, or where a shape is punched out. */
export const spot: Addition<SpotChoice> = {
  room: () => noRoomTaken,
  // A stamp goes on what covers its face.
  goesRound: 'on it',
  takes: () => [],
  leftOff,
  wear,
};
