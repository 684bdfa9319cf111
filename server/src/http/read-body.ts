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

/** The longest list that anything in a body may be: beyond it not even its parts are looked at. */
const longestList = 4000;

/** Whether every list in a value is one that can be gone through in no time. */
function hasShortLists(value: unknown): boolean {
  if (typeof value !== 'object' || value === null) return true;
  if (Array.isArray(value) && value.length > longestList) return false;
  return Object.values(value).every(hasShortLists);
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
  if (!hasShortLists(body))
    throw new HttpProblem(
      'bad-fields',
      `A list in the body has more than ${longestList} parts. Send fewer.`,
    );
  const parsed = schema.safeParse(body);
  if (parsed.success) return parsed.data;
  const errors = problemsFrom(parsed.error, wordingUnit(body));
  throw new HttpProblem('bad-fields', errors.map(({ message }) => message).join(' '), { errors });
}
