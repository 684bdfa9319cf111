import { z } from 'zod';
import type { Tag } from '../fold/index.ts';
import type { Refusal } from '../forms/index.ts';
import {
  absolute,
  formatWithUnit,
  half,
  inchFraction,
  largest,
  lengthBetween,
  millimetres,
  minus,
  nanometres,
  ordinalInWords,
  plus,
  roundDown,
  roundToGrid,
  roundUp,
  smallest,
  times,
  zero,
  type Length,
  type Unit,
} from '../length/index.ts';
import { punchFor } from '../make/index.ts';
import { paperSchema } from '../paper/index.ts';
import type { Cutout, Piece, ScoreGrid } from '../piece/index.ts';
import { cutUnit, type Kit, type Punch } from '../tools/index.ts';
import type { Addition, DressBrief } from './addition.ts';
import { capitalised } from './panel-names.ts';
import { leastPanel } from './panel-shape.ts';
import { noRoomTaken } from './room-taken.ts';

/** How large a tag may be, and how far its layers keep in. */
export const tagLimits = {
  least: millimetres(12),
  most: millimetres(200),
  mostLayers: 4,
  mostMargin: millimetres(30),
} as const;

/** A tag of one to four layers, that hangs on the box by a thread. */
export const tagChoiceSchema = z.object({
  addition: z.literal('tag'),
  id: z.string().min(1).max(40),
  /** With its corners as they are cut, with both upper ones cut off, all rounded, one end punched to a shape, or round. */
  shape: z.enum(['straight', 'clipped', 'rounded', 'shaped end', 'round']),
  width: lengthBetween(tagLimits.least, tagLimits.most),
  /** How high it is, folded where it is folded; a round one is as high as it is wide. */
  height: lengthBetween(tagLimits.least, tagLimits.most),
  /** Whether it opens like a card, its fold at the top. */
  isFolded: z.boolean(),
  /** Whether a hole is punched for its thread. */
  hasHole: z.boolean(),
  /** The tag itself first. */
  layers: z
    .array(
      z.object({
        /** How far it keeps in from every edge of what it lies on; none for the first. */
        margin: lengthBetween(zero, tagLimits.mostMargin),
        paper: paperSchema,
        /** Whether it stands off on foam. */
        standsOff: z.boolean(),
      }),
    )
    .min(1)
    .max(tagLimits.mostLayers),
});
export type TagChoice = z.infer<typeof tagChoiceSchema>;

/** A layer as it is cut. */
interface Layer {
  readonly width: Length;
  readonly height: Length;
  /** How much of both upper corners is cut off; none of a straight one. */
  readonly clip: Length;
}

/** How far a corner is rounded that no punch rounds. */
const byHand = millimetres(6);

/** How far the corners of a layer are rounded: as the maker’s punch does, where the layer is not too small for that. */
function roundingFor({ width, height }: Pick<Layer, 'width' | 'height'>, kit: Kit): Length {
  const owned = kit.punches.filter(({ shape }) => shape === 'corner').map(({ size }) => size);
  const most = times(smallest(width, height), 0.3);
  const fitting = owned.filter((size) => size <= most);
  return fitting.length > 0 ? largest(zero, ...fitting) : smallest(byHand, most);
}

/** The punch that shapes the end of a strip nearly so wide; undefined where the maker has none. */
function endPunchFor(width: Length, { punches }: Kit): Punch | undefined {
  return punches
    .filter(({ shape }) => shape === 'end')
    .sort((a, b) => absolute(minus(a.size, width)) - absolute(minus(b.size, width)))[0];
}

/** So much of the width is cut off a clipped corner. */
const clipShare = 0.25;

/** Where an edge is moved in, a corner cut at half a right angle loses less: 2 − √2 of that. */
const clipLoss = 2 - Math.SQRT2;

/** Nobody marks a corner nearer than this. */
function markOf(unit: Unit): Length {
  return unit === 'inch' ? inchFraction(1, 16) : millimetres(1);
}

/** Its layers, each within the one before; undefined from where nothing is left. */
function layersOf(choice: TagChoice, { step, kit }: DressBrief): readonly (Layer | undefined)[] {
  const { layers } = choice;
  const shape = shapeOf(choice);
  const mark = markOf(cutUnit(kit));
  const punched = shape === 'shaped end' ? endPunchFor(choice.width, kit)?.size : undefined;
  const width = largest(step, roundDown(punched ?? choice.width, step));
  const height = shape === 'round' ? width : largest(step, roundDown(choice.height, step));
  const clip = shape === 'clipped' ? roundToGrid(times(width, clipShare), mark) : zero;
  let within = zero;
  return layers.map(({ margin }, i): Layer | undefined => {
    if (i > 0) within = plus(within, margin);
    if (i === 0) return { width, height, clip: smallest(clip, half(height)) };
    const less = times(within, 2);
    const inner = { width: minus(width, less), height: minus(height, less) };
    if (inner.width < leastPanel || inner.height < leastPanel) return undefined;
    const cut = {
      width: roundDown(inner.width, step),
      height: roundDown(shape === 'round' ? inner.width : inner.height, step),
    };
    const own = roundToGrid(nanometres(Math.max(0, Math.round(clip - within * clipLoss))), mark);
    return cut.width < leastPanel || cut.height < leastPanel
      ? undefined
      : { ...cut, clip: shape === 'clipped' ? own : zero };
  });
}

/** What is cut off a layer. */
function cutoutsOf(layer: Layer, shape: TagChoice['shape'], kit: Kit): readonly Cutout[] {
  const { width, height, clip } = layer;
  if (shape === 'round' || shape === 'rounded') {
    const radius = shape === 'round' ? half(width) : roundingFor(layer, kit);
    const use = shape === 'round' ? 'disc' : 'tag corner';
    const corners = [
      { x: zero, y: zero, along: 1, down: 1 },
      { x: width, y: zero, along: -1, down: 1 },
      { x: width, y: height, along: -1, down: -1 },
      { x: zero, y: height, along: 1, down: -1 },
    ];
    return corners.map(({ x, y, along, down }) => ({
      shape: 'corner',
      use,
      at: { x, y },
      along: times(radius, along),
      down: times(radius, down),
    }));
  }
  if (clip === zero) return [];
  const tip = (x: Length, inwards: 1 | -1): Cutout => ({
    shape: 'trim',
    use: 'tag corner',
    corners: [
      { x, y: zero },
      { x: plus(x, times(clip, inwards)), y: zero },
      { x, y: clip },
    ],
  });
  return [tip(zero, 1), tip(width, -1)];
}

/** A layer as a grid; a folded tag has its back above its fold. */
function gridOf(
  layer: Layer,
  { shape, isFolded, kit }: Pick<TagChoice, 'shape' | 'isFolded'> & { readonly kit: Kit },
): ScoreGrid {
  const { width, height } = layer;
  const rows = isFolded ? [height, height] : [height];
  return {
    columns: [width],
    rows,
    roles: rows.map(() => ['panel']),
    lines: isFolded
      ? [
          {
            axis: 'row',
            index: 1,
            spans: [
              {
                make: 'score',
                from: 0,
                to: 1,
                fold: { sense: 'mountain', angle: 180, stage: 0 },
              },
            ],
          },
        ]
      : [],
    diagonals: [],
    tapers: [],
    cutouts: [...cutoutsOf(layer, shape, kit)],
    patches: [],
  };
}

/** Whether a tag opens: a round one does not, it would hang by a point of its fold. */
function opens({ isFolded, shape }: TagChoice): boolean {
  return isFolded && shape !== 'round';
}

/** Its shape as it is cut: what is folded keeps its upper corners, which are its fold. */
function shapeOf(choice: TagChoice): TagChoice['shape'] {
  return opens(choice) ? 'straight' : choice.shape;
}

/** Where a thread goes through it, clear of the upper edges of its layers, and the punch for that. */
function holeOf({ layers }: TagChoice, { width, height }: Layer, { kit }: DressBrief): Tag['hole'] {
  const unit = cutUnit(kit);
  const mark = markOf(unit);
  const usual = unit === 'inch' ? inchFraction(1, 8) : millimetres(3);
  const punch = punchFor('hole', 'hanging hole', usual, kit.punches);
  const across = punch?.size ?? usual;
  const wanted = unit === 'inch' ? inchFraction(5, 16) : millimetres(8);
  const [, ...margins] = layers.map(({ margin }) => margin);
  const clear = roundUp(plus(...margins, half(across), mark), mark);
  // A small tag keeps as much card above the hole as is left beside it.
  const most = roundDown(times(smallest(width, height), 0.4), mark);
  const least = roundUp(plus(half(across), millimetres(1.5)), mark);
  const fromTop = largest(smallest(largest(wanted, clear), most), least);
  return { fromTop, across, ...(punch && { punch: punch.name }) };
}

/** By what its top is known before anything is on it. */
function topOf(choice: TagChoice, { width, height, clip }: Layer): Tag['top'] {
  if (opens(choice)) return 'fold';
  if (choice.shape === 'round') return 'rim';
  if (clip > 0) return 'cut corners';
  if (choice.shape === 'shaped end') return 'shaped end';
  if (width === height) return 'any edge';
  return width < height ? 'shorter edge' : 'longer edge';
}

function nameOf(at: number): string {
  return at === 0 ? 'Tag' : capitalised(`${ordinalInWords(at + 1)} tag layer`);
}

/** A margin that leaves nothing of its layer, with the widest that leaves something. */
function refused(choice: TagChoice, at: number, brief: DressBrief): Refusal {
  const { field, step, unit } = brief;
  const margins = choice.layers.slice(1, at).map(({ margin }) => margin);
  const before = plus(zero, ...margins);
  const [base] = layersOf(choice, brief);
  const narrow = base ? smallest(base.width, base.height) : zero;
  const left = minus(minus(narrow, times(before, 2)), plus(leastPanel, step));
  const widest = roundDown(half(largest(left, zero)), step);
  const said = formatWithUnit(choice.layers[at]?.margin ?? zero, unit);
  const way =
    widest > 0
      ? `A margin of ${formatWithUnit(widest, unit)} will do.`
      : 'Make the tag larger, or take that layer off.';
  return {
    field: `${field}.layers.${at}.margin`,
    message: `A margin of ${said} leaves nothing of the ${nameOf(at).toLowerCase()}. ${way}`,
    ...(widest > 0 && { nearest: widest }),
  };
}

function wear(choice: TagChoice, _: unknown, brief: DressBrief) {
  const layers = layersOf(choice, brief);
  const missing = layers.indexOf(undefined);
  if (missing >= 0) return { ok: false as const, refusal: refused(choice, missing, brief) };
  const { id, hasHole } = choice;
  const shape = shapeOf(choice);
  const endPunch = shape === 'shaped end' ? endPunchFor(choice.width, brief.kit) : undefined;
  if (shape === 'shaped end' && !endPunch)
    return {
      ok: false as const,
      refusal: {
        field: `${brief.field}.shape`,
        message:
          'There is no punch for shaped ends among your tools. Add yours to them, or cut the top corners off.',
      },
    };
  const isFolded = opens(choice);
  const pieces = layers.flatMap((layer, i): readonly Piece[] =>
    layer
      ? [
          {
            id: `${id} tag ${i + 1}`,
            name: nameOf(i),
            paper: brief.firstPaper + i,
            copies: 1,
            grid: gridOf(layer, { shape, isFolded: isFolded && i === 0, kit: brief.kit }),
          },
        ]
      : [],
  );
  const [first, ...more] = pieces;
  const [base] = layers;
  if (!first || !base) throw new Error('A tag has one layer at the least');
  const tag: Tag = {
    id,
    piece: first.id,
    isFolded,
    top: topOf(choice, base),
    ...(endPunch && { endPunch: { name: endPunch.name, across: base.width } }),
    layers: more.map((piece, i) => ({
      piece: piece.id,
      standsOff: choice.layers[i + 1]?.standsOff ?? false,
    })),
    ...(hasHole && { hole: holeOf(choice, base, brief) }),
  };
  return { ok: true as const, worn: { pieces, parts: [], stacks: [], tags: [tag] } };
}

/** A tag. */
export const tag: Addition<TagChoice> = {
  room: () => noRoomTaken,
  goesRound: 'over all',
  takes: () => [],
  leftOff: () => [],
  wear,
};
