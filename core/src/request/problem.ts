import type { z } from 'zod';
import type { Sheet } from '../paper/index.ts';
import {
  formatWithUnit,
  inchFraction,
  lengthSchema,
  millimetres,
  roundDown,
  roundUp,
  type Length,
  type Unit,
} from '../length/index.ts';

/** Something that stands in the way of a plan: which field, what is wrong, and the way out. */
export interface Problem {
  /** Path of the field, like `gift.across`. */
  readonly field: string;
  readonly message: string;
  /** The nearest value of the field with which it would work. */
  readonly nearest?: Length;
  /** What a piece needs, where its sheet is too small. */
  readonly needs?: Pick<Sheet, 'width' | 'height'>;
}

/** The option of a kind of box that a problem is about; undefined where it is about something else. */
export function optionInQuestion({ field }: Problem): string | undefined {
  return /^style\.options\.(.+)$/.exec(field)?.[1];
}

const fieldNames: Readonly<Record<string, string>> = {
  'gift.across': 'The gift’s width',
  'gift.deep': 'The gift’s depth',
  'gift.high': 'The gift’s height',
  'gift.diameter': 'The gift’s diameter',
  'gift.length': 'The gift’s length',
  'gift.shape': 'The gift’s shape',
  'room.across.target': 'The room at the sides',
  'room.deep.target': 'The room at front and back',
  'room.high.target': 'The room over the top',
  'finished.across': 'The finished width',
  'finished.deep': 'The finished depth',
  'finished.high': 'The finished height',
  'papers.0.thickness': 'The thickness of the first paper',
  'papers.1.thickness': 'The thickness of the second paper',
  'papers.2.thickness': 'The thickness of the third paper',
  'kit.board.pitch': 'The pitch of the board’s grooves',
  'kit.trimmer.step': 'The step of the trimmer’s ruler',
  unit: 'The unit',
  lean: 'The lid’s lean',
  version: 'The version',
  name: 'The name',
};

/** What a field is called in a sentence. A field without a name of its own goes by its path. */
export function nameOfField(path: string): string {
  return fieldNames[path.replace(/^(document\.)?(box\.)?/, '')] ?? `“${path}”`;
}

function isLengthIssue(issue: z.core.$ZodIssue): boolean {
  return 'origin' in issue && (issue.origin === 'int' || issue.origin === 'number');
}

/** How a limit is rounded to a mark that the ruler has: so that what is told is inside it. */
type LimitRounding = typeof roundUp | typeof roundDown;

/** A limit as a length on the maker's ruler; a number that no ruler has is told as it is. */
function limitInWords(limit: number | bigint, unit: Unit, round: LimitRounding): string {
  const parsed = lengthSchema.safeParse(Number(limit));
  if (!parsed.success) return `${String(limit)} nanometres`;
  const marks = unit === 'inch' ? [inchFraction(1, 16), inchFraction(1, 64)] : [millimetres(0.01)];
  // Near enough to be told as the limit; a very small one is told as it is.
  const isNear = (length: Length) => Math.abs(length - parsed.data) * 10 <= parsed.data;
  const told = marks.map((mark) => round(parsed.data, mark)).find(isNear);
  return formatWithUnit(told ?? parsed.data, unit);
}

function explain(issue: z.core.$ZodIssue, path: string, unit: Unit): string {
  // A schema that has a sentence of its own knows best.
  if (issue.code === 'custom' || issue.message.endsWith('.')) return issue.message;
  const name = nameOfField(path);
  if (issue.code === 'too_small' && isLengthIssue(issue))
    return `${name} must be at least ${limitInWords(issue.minimum, unit, roundUp)}. Type a larger one.`;
  if (issue.code === 'too_big' && isLengthIssue(issue))
    return `${name} can be at most ${limitInWords(issue.maximum, unit, roundDown)}. Type a smaller one.`;
  if (issue.code === 'invalid_value')
    return `${name} must be ${issue.values.map((value) => `“${String(value)}”`).join(' or ')}.`;
  if (issue.code === 'invalid_type')
    return issue.message.endsWith('received undefined')
      ? `${name} is missing.`
      : `${name} must be ${issue.expected === 'int' ? 'a whole number of nanometres' : `of type ${issue.expected}`}.`;
  return `${name} is not right: ${issue.message}.`;
}

/** The most sentences that are told of one document: who reads twenty doesn't read a thousand. */
const mostProblems = 20;

/** A refused document as sentences, one for each field, twenty at the most. */
export function problemsFrom(error: z.ZodError, unit: Unit): readonly Problem[] {
  const byField = new Map<string, Problem>();
  for (const issue of error.issues) {
    if (byField.size >= mostProblems) break;
    const field = issue.path.map(String).join('.');
    if (!byField.has(field)) byField.set(field, { field, message: explain(issue, field, unit) });
  }
  return [...byField.values()];
}
