import { z } from 'zod';
import { add, scale, type Part, type Stack } from '../fold/index.ts';
import type { Refusal, Worn } from '../forms/index.ts';
import {
  formatWithUnit,
  lengthBetween,
  millimetres,
  plus,
  toMillimetres,
  zero,
  type Length,
} from '../length/index.ts';
import { paperSchema } from '../paper/index.ts';
import type { Piece, Point } from '../piece/index.ts';
import type { Addition, DressBrief, LaidBrief, LaidCard, LeftOff, Undressed } from './addition.ts';
import { faceChoiceSchema } from './face-choice.ts';
import { uncovered, type FlatFace } from './flat-faces.ts';
import { widened } from './openings.ts';
import { boundsOf } from './outline.ts';
import { faceSaid, panelName } from './panel-names.ts';
import { noRoomTaken } from './room-taken.ts';
import {
  isCutAlike,
  leastPanel,
  panelGrid,
  panelShape,
  widestMargin,
  type PanelShape,
} from './panel-shape.ts';

/** The most layers of one panel. */
export const mostLayers = 6;

/** How far a layer may keep in from what it lies on. */
export const marginLimits = { least: zero, most: millimetres(100) } as const;

const layerSchema = z.object({
  /** How far it keeps in from every edge of what it lies on. */
  margin: lengthBetween(marginLimits.least, marginLimits.most),
  paper: paperSchema,
});

/** A cover in layers, glued on one flat face or on all the walls of a piece. */
export const panelSchema = z.object({
  addition: z.literal('panel'),
  id: z.string().min(1).max(40),
  on: z.discriminatedUnion('which', [
    z.object({ which: z.literal('face'), face: faceChoiceSchema }),
    /** All walls of a piece, one panel each. */
    z.object({ which: z.literal('walls'), piece: z.string().min(1).max(40) }),
  ]),
  /** The lowest first. */
  layers: z.array(layerSchema).min(1).max(mostLayers),
  /** Where something goes over the face: it goes over the panel too and is made larger, or the panel ends below it. */
  underCover: z.enum(['counted', 'ends']),
});
export type PanelChoice = z.infer<typeof panelSchema>;

/** The walls that a panel for all of them is cut for: of a box of another kind those of its first piece with any. */
function wallsOf(faces: readonly FlatFace[], piece: string): readonly FlatFace[] {
  const walls = faces.filter(({ name }) => name.role === 'wall' && !name.isOnLid);
  const own = walls.filter(({ name }) => name.piece === piece);
  if (own.length > 0 || faces.some(({ name }) => name.piece === piece)) return own;
  return walls.filter(({ name }) => name.piece === walls[0]?.name.piece);
}

/** The faces that are asked for. */
function asked({ on }: PanelChoice, { faces }: Undressed): readonly FlatFace[] {
  return on.which === 'walls' ? wallsOf(faces.all(), on.piece) : faces.chosen(on.face);
}

function isTaken({ taken }: Undressed, face: FlatFace): boolean {
  return taken.some(({ part, name }) => part === face.part && name.at === face.name.at);
}

/** The faces that it is put on. */
function takes(choice: PanelChoice, box: Undressed): readonly FlatFace[] {
  return asked(choice, box).filter((face) => !isTaken(box, face));
}

function leftOff(choice: PanelChoice, box: Undressed): readonly LeftOff[] {
  const all = asked(choice, box);
  const { id } = choice;
  if (all.length === 0) return [{ id, why: 'no such face' }];
  return all.some((each) => isTaken(box, each)) ? [{ id, why: 'worn already' }] : [];
}

function thicknessOf({ layers }: PanelChoice): Length {
  return plus(...layers.map(({ paper }) => paper.thickness));
}

/** What of a face a panel may take: all of it, or what nothing goes over. */
function roomOn(face: FlatFace, { underCover }: PanelChoice): readonly Point[] {
  return underCover === 'counted' ? face.outline : uncovered(face);
}

/** A panel on one face, layer by layer. */
interface OnFace {
  readonly face: FlatFace;
  readonly shapes: readonly PanelShape[];
}

type Cut =
  { readonly ok: true; readonly on: OnFace } | { readonly ok: false; readonly refusal: Refusal };

/** Why a layer is not to be cut, with the margin that would do. */
function tooWide(
  face: FlatFace,
  outline: readonly Point[],
  {
    layer,
    margin,
    step,
    unit,
    field,
  }: DressBrief & { readonly layer: number; readonly margin: Length },
): Refusal {
  const widest = outline.length < 3 ? undefined : widestMargin(outline, step);
  const where = `the ${faceSaid(face.name)}`;
  const least = formatWithUnit(leastPanel, unit);
  const at = `${field}.layers.${layer}.margin`;
  if (widest === undefined)
    return {
      field,
      message: `There is no room for a panel on ${where}: nothing that is ${least} wide would be left of it. Take it off there.`,
    };
  return {
    field: at,
    message: `A margin of ${formatWithUnit(margin, unit)} leaves too little of the panel on ${where}. A margin of ${formatWithUnit(widest, unit)} is the widest that will do.`,
    nearest: widest,
  };
}

function cut(face: FlatFace, choice: PanelChoice, brief: DressBrief): Cut {
  const room = roomOn(face, choice);
  if (room.length < 3)
    return {
      ok: false,
      refusal: {
        field: `${brief.field}.underCover`,
        message: `The ${faceSaid(face.name)} lies wholly under what goes over it, so no panel can end below that. Let the panel go under it, or take it off there.`,
      },
    };
  const shapes: PanelShape[] = [];
  let outline = room;
  let { openings } = face;
  for (const [layer, { margin }] of choice.layers.entries()) {
    const answer = panelShape({ outline, openings, margin, step: brief.step });
    if (!answer.ok && answer.why === 'opening')
      return {
        ok: false,
        refusal: {
          field: brief.field,
          message: `The opening in the ${faceSaid(face.name)} leaves too little card for a panel round it. Make the opening smaller, or take the panel off there.`,
        },
      };
    if (!answer.ok)
      return { ok: false, refusal: tooWide(face, outline, { ...brief, layer, margin }) };
    shapes.push(answer.shape);
    outline = answer.shape.outline;
    // The next keeps so far from what this one was cut out for.
    openings = openings.map((opening) => widened(opening, toMillimetres(margin)));
  }
  return { ok: true, on: { face, shapes } };
}

/** All its panels, or why one can’t be cut. */
function cutAll(
  choice: PanelChoice,
  box: Undressed,
  brief: DressBrief,
):
  | { readonly ok: true; readonly all: readonly OnFace[] }
  | { readonly ok: false; readonly refusal: Refusal } {
  const all: OnFace[] = [];
  for (const face of takes(choice, box)) {
    const answer = cut(face, choice, brief);
    if (!answer.ok) return answer;
    all.push(answer.on);
  }
  return { ok: true, all };
}

/** Panels that are cut alike. */
interface Alike {
  /** The piece of the box that they are on. */
  readonly piece: string;
  /** Those that they lie on: what lies on unlike panels is told by them, however alike it is itself. */
  readonly under?: Alike;
  readonly shape: PanelShape;
  readonly layer: number;
  readonly on: OnFace[];
}

function alikeIn(all: readonly OnFace[]): readonly Alike[] {
  const found: Alike[] = [];
  for (const on of all) {
    const { piece } = on.face.name;
    let under: Alike | undefined;
    on.shapes.forEach((shape, layer) => {
      let alike = found.find(
        (each) =>
          each.piece === piece &&
          each.layer === layer &&
          each.under === under &&
          isCutAlike(each.shape, shape),
      );
      if (alike) alike.on.push(on);
      else found.push((alike = { piece, ...(under && { under }), shape, layer, on: [on] }));
      under = alike;
    });
  }
  return found.sort((a, b) => a.layer - b.layer);
}

/** The card of the layers that a band lies over. */
function cardUnderBand(face: FlatFace, choice: PanelChoice, brief: LaidBrief): Length {
  const { band } = brief;
  if (face.name.piece !== band?.piece) return zero;
  const answer = cut(face, choice, brief);
  if (!answer.ok) return zero;
  return plus(
    zero,
    ...choice.layers.flatMap(({ paper }, layer) => {
      const { bottom, top } = boundsOf(answer.on.shapes[layer]?.outline ?? []);
      return top > band.from && bottom < band.to ? [paper.thickness] : [];
    }),
  );
}

/** What goes over a face goes over all its layers, or over the band on them. */
function laid(choice: PanelChoice, box: Undressed, brief: LaidBrief): readonly LaidCard[] {
  const { underCover } = choice;
  return takes(choice, box)
    .filter(({ covers }) => covers.length > 0)
    .map((face) => ({
      face,
      card: underCover === 'ends' ? cardUnderBand(face, choice, brief) : thicknessOf(choice),
    }))
    .filter(({ card }) => card > zero);
}

function partId(choice: PanelChoice, { face }: OnFace, layer: number): string {
  return `${choice.id} ${layer + 1} on ${face.part} ${face.name.at}`;
}

/** A panel in its place on the closed box. */
function partOf(
  id: string,
  piece: string,
  { face }: OnFace,
  { on, bounds }: PanelShape,
  carrier: Part,
): Part {
  const { right, up, at } = face.axes;
  return {
    id,
    piece,
    root: {
      column: (on.x - bounds.left) / (bounds.right - bounds.left),
      row: (bounds.top - on.y) / (bounds.top - bounds.bottom),
    },
    right,
    up,
    at: add(at, add(scale(right, on.x), scale(up, on.y))),
    joins: carrier.joins,
    worn: { part: face.part, spot: face.spot },
    ...(carrier.opens && { opens: carrier.opens }),
  };
}

function rootOf(part: Part): Stack['face'] {
  return { part: part.id, spot: part.root };
}

function wear(choice: PanelChoice, box: Undressed, brief: DressBrief) {
  const answer = cutAll(choice, box, brief);
  if (!answer.ok) return answer;
  const { all } = answer;
  const { pieces: own, assembly } = box.drawn;
  const pieces: Piece[] = [];
  const parts: Part[] = [];
  const stacks: Stack[] = [];
  const lastOn = new Map<OnFace, Part>();
  alikeIn(all).forEach(({ shape, layer, on }, i) => {
    const piece = `${choice.id} ${i + 1}`;
    const carried = own.find(({ id }) => id === on[0]?.face.name.piece);
    pieces.push({
      id: piece,
      name: panelName({
        faces: on.map(({ face }) => face),
        piece: own.length > 1 ? carried?.name : undefined,
        layer,
        layers: choice.layers.length,
      }),
      paper: brief.firstPaper + layer,
      copies: on.length,
      grid: panelGrid(shape),
    });
    for (const each of on) {
      const { face } = each;
      const carrier = assembly.parts.find(({ id }) => id === face.part);
      const own = each.shapes[layer] ?? shape;
      if (!carrier) continue;
      const part = partOf(partId(choice, each, layer), piece, each, own, carrier);
      const before = lastOn.get(each);
      parts.push(part);
      stacks.push({
        face: rootOf(part),
        on: before ? rootOf(before) : { part: face.part, spot: face.spot },
        side: 'outside',
        holds: 'glue',
      });
      if (!before)
        stacks.push(
          ...face.uneven.map(({ side, ...on }): Stack => ({
            face: rootOf(part),
            on,
            side,
            holds: 'rest',
          })),
        );
      lastOn.set(each, part);
    }
  });
  // What closes over a face closes over its panel too.
  for (const [{ face }, part] of lastOn)
    stacks.push(
      ...face.closes.map((over): Stack => ({
        face: over,
        on: rootOf(part),
        side: 'outside',
        holds: 'rest',
      })),
    );
  const worn: Worn = { pieces, parts, stacks };
  return { ok: true as const, worn };
}

/** Covers in layers on flat faces. */
export const panel: Addition<PanelChoice> = {
  room: () => noRoomTaken,
  takes,
  leftOff,
  isCutToFace: true,
  goesUnder: ({ underCover }) => underCover === 'counted',
  laid,
  wear,
};
