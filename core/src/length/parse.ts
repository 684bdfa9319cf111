import { nanometres, type Length } from './length.ts';
import type { Unit } from './unit.ts';

/** Why a typed length was refused. */
export type LengthFault = 'empty' | 'not a length' | 'zero' | 'negative' | 'enormous';

export type ParsedLength =
  | { readonly ok: true; readonly length: Length }
  | { readonly ok: false; readonly fault: LengthFault };

const vulgar: Readonly<Record<string, string>> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
  '⅙': '1/6',
  '⅚': '5/6',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** Nanometres in one of each unit, by every spelling that is read. */
const unitSizes: readonly (readonly [RegExp, bigint])[] = [
  [/^(in|ins|inch|inches|"|'')\.?$/, 25_400_000n],
  [/^(mm|millimetres?|millimeters?)\.?$/, 1_000_000n],
  [/^(cm|centimetres?|centimeters?)\.?$/, 10_000_000n],
  [/^(m|metres?|meters?)\.?$/, 1_000_000_000n],
];

/** Two metres: no gift and no sheet is longer, and a slip of the finger often is. */
const enormous = 2_000_000_000n;

interface Ratio {
  readonly top: bigint;
  readonly bottom: bigint;
}

/** Brings typed signs to plain ones: `4⅞″` becomes `4 7/8"`. */
function plainSigns(text: string): string {
  return text
    .replace(/[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]/g, (sign) => ` ${vulgar[sign] ?? sign}`)
    .replace(/[\u2044\u2215]/g, '/')
    .replace(/[\u2032\u2019\u2018]/g, "'")
    .replace(/[\u2033\u201c\u201d]/g, '"')
    .replace(/[\u2010-\u2014\u2212]/g, '-')
    .replace(/\u00a0|\u2009|\u202f/g, ' ')
    .toLowerCase()
    .trim();
}

function readDecimal(text: string): Ratio {
  const [whole = '', decimals = ''] = text.replace(',', '.').split('.');
  return {
    top: BigInt(`${whole}${decimals}` || '0'),
    bottom: 10n ** BigInt(decimals.length),
  };
}

/** A whole number, a decimal, a fraction or a mixed number as an exact ratio. */
function readNumber(text: string): Ratio | undefined {
  if (/^(\d{1,9}([.,]\d{0,9})?|[.,]\d{1,9})$/.test(text)) return readDecimal(text);
  const mixed = /^(?:(\d{1,6})(?:\s+and\s+|\s*-\s*|\s+))?(\d{1,4})\s*\/\s*(\d{1,4})$/.exec(text);
  if (!mixed) return undefined;
  const whole = BigInt(mixed[1] ?? '0');
  const bottom = BigInt(mixed[3] ?? '1');
  if (bottom === 0n) return undefined;
  return { top: whole * bottom + BigInt(mixed[2] ?? '0'), bottom };
}

/**
 * Reads a length as people type it: `4 7/8`, `4-7/8`, `4⅞`, `4.875"`, `12.4cm`, `12,4 cm`, `124 mm`,
 * `4 7/8 in`. A bare number is in `unit`. The result is exact to the nanometre.
 */
export function parseLength(text: string, unit: Unit): ParsedLength {
  const plain = plainSigns(text);
  if (plain === '') return { ok: false, fault: 'empty' };
  const parts = /^(-?)\s*([\d.,/\s-]*?(?:\s+and\s+[\d/\s]+?)?)\s*((?:[a-z"'][a-z"'.]*)?)$/.exec(
    plain,
  );
  const number = parts && readNumber((parts[2] ?? '').trim());
  if (!parts || !number) return { ok: false, fault: 'not a length' };
  const spelling = parts[3] ?? '';
  const size =
    spelling === ''
      ? unit === 'inch'
        ? 25_400_000n
        : 1_000_000n
      : unitSizes.find(([spellings]) => spellings.test(spelling))?.[1];
  if (size === undefined) return { ok: false, fault: 'not a length' };
  if (number.top === 0n) return { ok: false, fault: 'zero' };
  if (parts[1] === '-') return { ok: false, fault: 'negative' };
  const scaled = number.top * size;
  const rounded = (2n * scaled + number.bottom) / (2n * number.bottom);
  if (rounded === 0n) return { ok: false, fault: 'zero' };
  if (rounded > enormous) return { ok: false, fault: 'enormous' };
  return { ok: true, length: nanometres(Number(rounded)) };
}

/** A sentence for the maker: what is wrong with the typed length, and the way out. */
export function explainLengthFault(fault: LengthFault, unit: Unit): string {
  const like = unit === 'inch' ? '4 7/8 or 124 mm' : '124 or 4 7/8 in';
  switch (fault) {
    case 'empty':
      return `Type a length, like ${like}.`;
    case 'not a length':
      return `This is not a length. Type one like ${like}.`;
    case 'zero':
      return `A length must be more than nothing. Type one like ${like}.`;
    case 'negative':
      return 'A length can’t be below zero. Leave out the minus.';
    case 'enormous':
      return unit === 'inch'
        ? 'That is over 78 in. Check the unit.'
        : 'That is over 2000 mm. Check the unit.';
  }
}
