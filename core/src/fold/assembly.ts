import { z } from 'zod';
import { ribbonSchema } from './ribbon.ts';
import { stampSpotSchema } from './stamp-spot.ts';
import { tagSchema } from './tag.ts';

const vectorSchema = z.object({ x: z.number(), y: z.number(), z: z.number() });

/**
 * A spot on a piece in counted sections from its top left corner: 1.5, 0.5 is the middle of the second cell
 * of the first row.
 */
const gridSpotSchema = z.object({ column: z.number(), row: z.number() });
export type GridSpot = z.infer<typeof gridSpotSchema>;

const faceRefSchema = z.object({ part: z.string(), spot: gridSpotSchema });
/** A face of a part, by a spot in it. */
export type FaceRef = z.infer<typeof faceRefSchema>;

const partSchema = z.object({
  /** Its own name: a piece that is cut twice makes two parts. */
  id: z.string(),
  piece: z.string(),
  /** The face that the others fold about, and the point of it that is placed. */
  root: gridSpotSchema,
  /** How it lies in the closed box: where its right, its upward direction and that point go. */
  right: vectorSchema,
  up: vectorSchema,
  at: vectorSchema,
  /** Where it is drawn away to when the box is opened, from its closed place; none for what stays. */
  opens: vectorSchema.optional(),
  /** The stage at which it is put in its place. */
  joins: z.int().min(0),
  /** The face that it is worn on, on its inside or its outside, and moves with from the first. */
  worn: faceRefSchema.extend({ isInside: z.literal(true).optional() }).optional(),
  /** Whether it is a handle that is worn, and no part of the box itself. */
  isHandle: z.literal(true).optional(),
  /**
   * How it goes round the closed box: round the walls, or their foot, over the top from left to right, or from front to
   * back; or round the walls of its base, before the lid goes on.
   */
  wraps: z.enum(['walls', 'foot', 'across', 'deep', 'under lid']).optional(),
  /**
   * The piece that it is laid in: on its floor, stood against the inside of its wall on a side or between the things, or
   * on legs, under the gift or round the things that stand through it.
   */
  lies: z
    .object({
      in: z.string(),
      against: z
        .enum([
          'floor',
          'front',
          'back',
          'left',
          'right',
          'top',
          'bottom',
          'things',
          'legs',
          'legs round things',
        ])
        .default('floor'),
    })
    .optional(),
});
export type Part = z.infer<typeof partSchema>;

const stackSchema = z.object({
  face: faceRefSchema,
  on: faceRefSchema,
  /** On which of the partner's faces it lies: the one drawn, or its back. */
  side: z.enum(['inside', 'outside']),
  /**
   * Whether adhesive holds it there, or it is tucked in; what rests there comes to lie on its partner by
   * itself, as the fins of a ridge do, and over no more of it than the marks leave.
   */
  holds: z.enum(['glue', 'tuck', 'rest']),
  /** How far it bows to get there, in millimetres, where the marks leave it that far off. */
  bows: z.number().nonnegative().optional(),
});
/** A face that lies on another one in the closed box. */
export type Stack = z.infer<typeof stackSchema>;

const cavitySchema = z.object({
  /** Corners of the clear floor, anticlockwise from above, in the box's own millimetres. */
  floor: z.array(z.object({ x: z.number(), y: z.number() })).min(3),
  /** Corners of its top, in the same order: the cavity is what lies between. */
  top: z.array(z.object({ x: z.number(), y: z.number() })).min(3),
  bottom: z.number(),
  high: z.number(),
});
/** The room inside a box: straight-sided, from a floor to a top of as many corners. */
export type Cavity = z.infer<typeof cavitySchema>;

/**
 * How the pieces of a box go together. The box stands on the clear floor of its cavity: the origin is the
 * middle of that floor, x runs to the right, y to the back, z up.
 */
export const assemblySchema = z.object({
  parts: z.array(partSchema).min(1),
  stacks: z.array(stackSchema),
  cavity: cavitySchema,
  /** The stage at which the gift goes in. Stages are counted over the whole box. */
  giftEnters: z.int().min(0),
  /** What is tied or stuck round it in the end. */
  ribbons: z.array(ribbonSchema).optional(),
  /** What hangs on it; their pieces are no parts of the box. */
  tags: z.array(tagSchema).optional(),
  /** What is stamped or stuck on while the pieces are flat. */
  spots: z.array(stampSpotSchema).optional(),
  /** How the pleats of its top are closed, where it has any: which walls are pushed in, or all drawn in. */
  closes: z
    .enum(['pinched sides', 'pinched front and back', 'gathered', 'gathered to a neck'])
    .optional(),
});
export type Assembly = z.infer<typeof assemblySchema>;
