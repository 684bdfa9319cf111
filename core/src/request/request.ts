import { z } from 'zod';
import { additionSchema } from '../additions/index.ts';
import { giftSchema, roomSchema } from '../gift/index.ts';
import { unitSchema } from '../length/index.ts';
import { mostOwnSteps, ownStepSchema } from '../make/index.ts';
import { papersSchema } from '../paper/index.ts';
import { sideSchema } from '../piece/index.ts';
import { styleChoiceSchema } from '../styles/index.ts';
import { kitSchema } from '../tools/index.ts';
import { finishedSizeSchema } from './finished-size.ts';
import { madeWaySchema } from './made.ts';

/** The most things that one box wears. */
export const mostAdditions = 12;

/** More pieces than any box has. */
const mostTurned = 80;

/** What a plan is asked for. Lengths are whole nanometres. */
export const planRequestSchema = z.object({
  version: z.literal(1),
  /** The ruler that the maker reads; sentences are worded in it. */
  unit: unitSchema,
  gift: giftSchema,
  room: roomSchema,
  style: styleChoiceSchema,
  /** One for each piece that the style may give its own; the last one does for the rest. */
  papers: papersSchema,
  kit: kitSchema,
  /** Which side to err on when the tools allow no lid that slides with a light tug. */
  lean: z.enum(['loose', 'tight']),
  /** What the finished box is to measure, where that is what its maker knows; the gift follows from it. */
  finished: finishedSizeSchema.optional(),
  /** What has been cut and scored already, as it came out. */
  made: z.array(madeWaySchema).max(80).default([]),
  /** What the box wears besides its own pieces, in the order in which it is put on. */
  additions: z
    .array(additionSchema)
    .max(mostAdditions, { error: `A box wears ${mostAdditions} things at the most.` })
    .default([]),
  /** Pieces whose print the maker has turned: the edge, as drawn, that its top comes to. */
  printTops: z
    .record(z.string().min(1).max(80), sideSchema)
    .refine((tops) => Object.keys(tops).length <= mostTurned, {
      error: `Turn the print of ${mostTurned} pieces at the most.`,
    })
    .default({}),
  /** What the maker does besides, or wants to remember, between the steps of the job. */
  ownSteps: z
    .array(ownStepSchema)
    .max(mostOwnSteps, {
      error: `A box has ${mostOwnSteps} steps and notes of your own at the most.`,
    })
    .default([]),
});
export type PlanRequest = z.infer<typeof planRequestSchema>;

/** The longest name of a project. */
export const longestName = 80;

const nameSchema = z
  .string()
  .trim()
  .min(1, { error: 'Give the box a name.' })
  .max(longestName, { error: `Keep the name to ${longestName} characters.` });

/** A project as it is stored and exchanged. */
export const projectDocumentSchema = z.object({
  version: z.literal(1),
  name: nameSchema,
  box: planRequestSchema,
  /** The box that this one was made from for another gift, to show what has changed. */
  basis: z.object({ name: nameSchema, box: planRequestSchema }).optional(),
});
export type ProjectDocument = z.infer<typeof projectDocumentSchema>;
