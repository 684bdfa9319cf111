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

/** What a body may be at the most: beyond it not even its parts are looked at. */
const longestList = 4000;
const deepest = 30;

/** What makes a body one that is not gone through, whatever it means; undefined for one of a good form. */
function faultOfForm(body: unknown): string | undefined {
  let level: readonly unknown[] = [body];
  // Level by level, since a body may be nested deeper than functions can be.
  for (let depth = 0; level.length > 0; depth++) {
    if (depth > deepest) return `The body is nested more than ${deepest} deep. Send a flatter one.`;
    if (level.some((value) => Array.isArray(value) && value.length > longestList))
      return `A list in the body has more than ${longestList} parts. Send fewer.`;
    level = level.flatMap((value): readonly unknown[] =>
      typeof value === 'object' && value !== null ? Object.values(value) : [],
    );
  }
  return undefined;
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
  const fault = faultOfForm(body);
  if (fault !== undefined) throw new HttpProblem('bad-fields', fault);
  const parsed = schema.safeParse(body);
  if (parsed.success) return parsed.data;
  const errors = problemsFrom(parsed.error, wordingUnit(body));
  throw new HttpProblem('bad-fields', errors.map(({ message }) => message).join(' '), { errors });
}
