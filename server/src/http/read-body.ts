import { problemsFrom, type Unit } from '@rangoli/core';
import type { Request } from 'express';
import { z } from 'zod';
import { HttpProblem } from './problem.ts';

const unitOfBody = z.object({
  document: z.object({ box: z.object({ unit: z.enum(['inch', 'mm']) }) }),
});

function wordingUnit(body: unknown): Unit {
  const parsed = unitOfBody.safeParse(body);
  return parsed.success ? parsed.data.document.box.unit : 'mm';
}

/**
 * The parsed JSON body.
 * @throws HttpProblem that names every wrong field.
 */
export function readBody<Schema extends z.ZodType>(
  request: Request,
  schema: Schema,
): z.output<Schema> {
  const body: unknown = request.body;
  if (body === undefined)
    throw new HttpProblem('wrong-type', 'Send the body as JSON, with the type application/json.');
  const parsed = schema.safeParse(body);
  if (parsed.success) return parsed.data;
  const errors = problemsFrom(parsed.error, wordingUnit(body));
  throw new HttpProblem('bad-fields', errors.map(({ message }) => message).join(' '), { errors });
}
