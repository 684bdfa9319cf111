import { z } from 'zod';

/** What a tool is known by in the kit; empty for one that stands in a box only. */
export const toolIdSchema = z.string().max(60).default('');

/** What the maker calls a tool. */
export const toolNameSchema = z
  .string()
  .trim()
  .min(1, { error: 'Give the tool a name.' })
  .max(60, { error: 'Keep the name to 60 characters.' });
