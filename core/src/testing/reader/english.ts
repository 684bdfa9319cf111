/*
 * A reader of what a maker is told, who knows English and the tools on the table, and nothing of how the
 * sentences came about.
 */

const numbers = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];

/** A count in words or in figures. */
export function countOf(text: string): number {
  const at = numbers.indexOf(text.toLowerCase());
  const count = at >= 0 ? at : Number(text);
  if (!Number.isInteger(count)) throw new Error(`“${text}” is no number`);
  return count;
}

const perInch = 25.4;

function amount(text: string): number {
  const [, whole = '0', numerator = '0', denominator = '1'] =
    /^(?:(\d+(?:\.\d+)?)(?: |$))?(?:(\d+)\/(\d+))?$/.exec(text) ?? [];
  if (whole === '0' && numerator === '0' && text !== '0') throw new Error(`“${text}” is no figure`);
  return Number(whole) + Number(numerator) / Number(denominator);
}

/** A figure with a unit: `1 3/8 in`, `126 mm`. In millimetres. */
export function lengthOf(text: string): number {
  const [, figure, unit] = /^(.+?) (in|mm)$/.exec(text.trim()) ?? [];
  if (figure === undefined) throw new Error(`“${text}” is no length`);
  return amount(figure) * (unit === 'in' ? perInch : 1);
}

/** Figures in a row, their unit once at the end: `1/2, 2 3/4 and 4 in`. In millimetres. */
export function lengthsOf(text: string): readonly number[] {
  const parts = text.split(/, | and /);
  const last = parts[parts.length - 1] ?? '';
  const unit = last.endsWith(' mm') ? 'mm' : 'in';
  return parts.map((part) => lengthOf(/ (?:in|mm)$/.test(part) ? part : `${part} ${unit}`));
}

/** Words in a row: `the top and the bottom`. */
export function wordsOf(text: string): readonly string[] {
  return text.split(/, | and /).map((word) => word.replace(/^the /, ''));
}

/** A figure in a sentence, and several of them. */
export const figure = String.raw`[\d/. ]+ (?:in|mm)`;
export const figures = String.raw`[\d/., ]+(?: (?:in|mm))?(?:(?:, | and )[\d/. ]+(?: (?:in|mm))?)*`;
