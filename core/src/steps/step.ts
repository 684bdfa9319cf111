import { z } from 'zod';
import { lengthSchema } from '../length/index.ts';
import { cellRoleSchema, punchBoardSchema, sideSchema } from '../piece/index.ts';

/** How far a piece is turned on the table before a pass, clockwise seen from above. */
export const turnSchema = z.enum(['none', 'quarter', 'half', 'three quarters']);
export type Turn = z.infer<typeof turnSchema>;

/** How the card lies: the face that will be inside the box up; a print or foil down. */
const faceSchema = z.enum(['inside up', 'print down', 'foil down']);
export type FaceUp = z.infer<typeof faceSchema>;

/** Thin card is scored lightly, so that it isn't cut through. */
const lightly = z.literal(true).optional();

const common = {
  piece: z.string(),
  name: z.string(),
  copies: z.int().positive(),
};

/** Cut a piece to size on the trimmer. */
export const cutStepSchema = z.object({
  kind: z.literal('cut'),
  ...common,
  paper: z.string(),
  width: lengthSchema,
  height: lengthSchema,
});
export type CutStep = z.infer<typeof cutStepSchema>;

/** One score: which edge of the piece, as drawn, lies against the fence. */
const passSchema = z.object({
  edge: sideSchema,
  turn: turnSchema,
  line: z.string(),
  /** The only stretch that is scored, along the line from the top or the left; the whole line without it. */
  part: z.object({ from: lengthSchema, to: lengthSchema }).optional(),
  /** Where the score is longer than the grooves: as far as they go, or what is left from the other end. */
  stretch: z.enum(['to the end', 'the rest']).optional(),
  /** Turned over end to end, the same edge at the fence: the score is made from the other face. */
  over: z.literal(true).optional(),
});
export type ScorePass = z.infer<typeof passSchema>;

/** All scores of a piece at one reading. */
export const scoreStepSchema = z.object({
  kind: z.literal('score'),
  ...common,
  /** Off the grooves it is the trimmer's scoring tip, or a ruler where there is none. */
  tool: z.enum(['board', 'tip', 'ruler']),
  /** Whether the card is scored there, or only marked on its edges for scores that run aslant. */
  make: z.enum(['score', 'mark']),
  face: faceSchema,
  lightly,
  /** Distance from the edge at the fence. */
  reading: lengthSchema,
  /** For a score on no groove: the nearest groove and how far the score lies beyond it. */
  offGroove: z.object({ nearest: lengthSchema, beyond: lengthSchema }).optional(),
  /** Thickness of the shim between fence and card, where one is needed. */
  shim: lengthSchema.optional(),
  /** Whether the piece is square, so that its edges need no names. */
  square: z.boolean(),
  /** Which sides are the longer ones, where there are any. */
  longSides: z.enum(['left and right', 'top and bottom']),
  passes: z.array(passSchema).min(1),
});
export type ScoreStep = z.infer<typeof scoreStepSchema>;

/** Slit from an edge to a fold, along a line that has been scored. */
export const slitStepSchema = z.object({
  kind: z.literal('slit'),
  ...common,
  slits: z
    .array(
      z.object({
        line: z.string(),
        from: sideSchema,
        length: lengthSchema,
        /** How far in it begins, where it doesn't reach the edge. */
        begins: lengthSchema.optional(),
      }),
    )
    .min(1),
});
export type SlitStep = z.infer<typeof slitStepSchema>;

/** Draw in the free corners of tabs. */
export const taperStepSchema = z.object({
  kind: z.literal('taper'),
  ...common,
  /** What is tapered. */
  role: cellRoleSchema,
  /** Their places among the tapers of the piece. */
  places: z.array(z.int().nonnegative()).min(1),
  inset: lengthSchema,
});
export type TaperStep = z.infer<typeof taperStepSchema>;

/** The end of a slanting line: how far it is from the nearest upright edge and from the nearest level one. */
const slantEndSchema = z.object({ across: lengthSchema, down: lengthSchema });
export type SlantEnd = z.infer<typeof slantEndSchema>;

/** Scores that run aslant along a ruler, all alike but for the corner that they are at. */
export const slantStepSchema = z.object({
  kind: z.literal('slant'),
  ...common,
  face: faceSchema,
  lightly,
  /** How the lines run on the piece as it is drawn; straight where some are level and some upright. */
  run: z.enum(['aslant', 'level', 'upright', 'straight']),
  /** How long each of them is. */
  length: lengthSchema,
  /** Where each begins and ends, where they are alike; else they are told by where they lie. */
  ends: z.object({ from: slantEndSchema, to: slantEndSchema }).optional(),
  /** Each line by the places of its runs among the diagonals of the piece. */
  lines: z.array(z.array(z.int().nonnegative()).min(1)).min(1),
});
export type SlantStep = z.infer<typeof slantStepSchema>;

/** What a punch board is set by: a mark of its ruler or its table, or the lines that the side before left. */
const punchSettingSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('mark'), at: lengthSchema, name: z.string().optional() }),
  z.object({ kind: z.literal('last lines'), lines: z.int().positive() }),
]);

/** Notches and scores on a punch board, on so many sides with a quarter turn between. */
export const punchStepSchema = z.object({
  kind: z.literal('punch'),
  ...common,
  board: punchBoardSchema,
  face: faceSchema,
  lightly,
  setting: punchSettingSchema,
  sides: z.int().positive(),
});
export type PunchStep = z.infer<typeof punchStepSchema>;

/** What is punched, rounded or snipped away elsewhere than along scores. */
export const snipStepSchema = z.object({
  kind: z.literal('snip'),
  ...common,
  shape: z.enum(['hole', 'notch', 'corner', 'trim']),
  use: z.string(),
  /** Their places among the cutouts of the piece. */
  places: z.array(z.int().nonnegative()).min(1),
  /** A hole's or a notch's width, a corner's radius; none for what is cut straight. */
  size: lengthSchema.optional(),
  /** The punch that makes it, by its name; without one it is cut by hand. */
  punch: z.string().optional(),
  /** Where the middle of each is, where they are all alike. */
  from: slantEndSchema.optional(),
});
export type SnipStep = z.infer<typeof snipStepSchema>;

/** One thing that the maker does with one tool setting; its wording is made from it. */
export const stepSchema = z.discriminatedUnion('kind', [
  cutStepSchema,
  scoreStepSchema,
  slitStepSchema,
  taperStepSchema,
  slantStepSchema,
  punchStepSchema,
  snipStepSchema,
]);
export type Step = z.infer<typeof stepSchema>;
