import {
  explainLengthFault,
  inches,
  parseLength,
  type Length,
  type Unit,
} from '../length/index.ts';
import type { Finish } from './paper.ts';
import { thicknessOf, weightSchema, type Weight } from './weight.ts';

/** A thickness as it was typed: as a length, or as a weight that card of common bulk has. */
export type ParsedThickness =
  | { readonly ok: true; readonly thickness: Length; readonly weight?: Weight }
  | { readonly ok: false; readonly message: string };

/** How the weight of a square metre is written on packs and on tables. */
const perSquareMetre = /^(\d{1,4})\s*(gsm|g\s*\/\s*m(²|2|\^2)|g\s*m-2|gr?|grams?)\.?$/i;
/** A point, or mil, is a thousandth of an inch. */
const points = /^(\d{1,3}(?:\.\d+)?)\s*(pts?|points?|mils?)\.?$/i;
/** A weight in pounds says nothing before it is said of how large a ream. */
const pounds = /^\d+\s*(lbs?|pounds?|#)\b/i;

/**
 * Reads a thickness as people type it: `0.3`, `0.3 mm`, `0.012 in`, `12 pt`, `300 gsm`, `300 g/m²`. A bare number is a
 * length in `unit`, up to 10 of them: what is more is a weight, for no card is so thick.
 */
export function parseThickness(
  text: string,
  { unit, finish }: { readonly unit: Unit; readonly finish: Finish },
): ParsedThickness {
  const typed = text.trim();
  const bare = /^\d{2,4}$/.test(typed);
  const grams = perSquareMetre.exec(typed)?.[1] ?? (bare ? typed : undefined);
  if (grams !== undefined) {
    const weight = weightSchema.safeParse(Number(grams));
    if (weight.success)
      return { ok: true, thickness: thicknessOf(weight.data, finish), weight: weight.data };
    return { ok: false, message: 'Card weighs 30 to 1000 gsm. Type a weight like 300 gsm.' };
  }
  const inPoints = points.exec(typed)?.[1];
  if (inPoints !== undefined) return { ok: true, thickness: inches(Number(inPoints) / 1000) };
  if (pounds.test(typed))
    return {
      ok: false,
      message: 'Pounds differ from one sort of card to the next. Type the gsm on the pack.',
    };
  const length = parseLength(typed, unit);
  if (length.ok) return { ok: true, thickness: length.length };
  return {
    ok: false,
    message:
      length.fault === 'not a length' || length.fault === 'empty'
        ? 'Type how thick the card is, like 0.3 mm, or its weight, like 300 gsm.'
        : explainLengthFault(length.fault, unit),
  };
}
