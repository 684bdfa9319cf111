import { z } from 'zod';

declare const nanometre: unique symbol;

/**
 * An exact length: a whole number of nanometres. 1/64 in is 396,875 nm and 0.001 mm is 1,000 nm, so
 * inch and metric figures of one box never drift apart. Differences (a gap, a deviation) may be negative.
 */
export type Length = number & { readonly [nanometre]: true };

/** The longest length that anything in the trade needs: five metres. */
const longest = 5_000_000_000;

function isLength(value: number): value is Length {
  return Number.isSafeInteger(value) && Math.abs(value) <= 1000 * longest;
}

/**
 * Takes a whole number of nanometres as a length.
 * @throws RangeError when the number is not whole or is beyond all use.
 */
export function nanometres(value: number): Length {
  if (!isLength(value)) throw new RangeError(`${value} is not a whole number of nanometres`);
  return value;
}

export const zero: Length = nanometres(0);

const perInch = 25_400_000;
const perMillimetre = 1_000_000;

/** Inches, to the nearest nanometre. Exact for every fraction down to 1/64. */
export function inches(value: number): Length {
  return nanometres(Math.round(value * perInch));
}

/** A fraction of an inch, exact where it can be: `inchFraction(15, 16)`. */
export function inchFraction(numerator: number, denominator: number): Length {
  return nanometres(Math.round((numerator * perInch) / denominator));
}

/** Millimetres, to the nearest nanometre. */
export function millimetres(value: number): Length {
  return nanometres(Math.round(value * perMillimetre));
}

/** The length in millimetres as a float: for drawing only, after the exact part is done. */
export function toMillimetres(length: Length): number {
  return length / perMillimetre;
}

export function plus(...lengths: readonly Length[]): Length {
  let total = 0;
  for (const length of lengths) total += length;
  return nanometres(total);
}

export function minus(length: Length, ...taken: readonly Length[]): Length {
  let total: number = length;
  for (const each of taken) total -= each;
  return nanometres(total);
}

export function times(length: Length, factor: number): Length {
  return nanometres(Math.round(length * factor));
}

/** Half, to the nearest nanometre. */
export function half(length: Length): Length {
  return times(length, 0.5);
}

export function absolute(length: Length): Length {
  return length < 0 ? times(length, -1) : length;
}

export function largest(first: Length, ...rest: readonly Length[]): Length {
  return rest.reduce((most, each) => (each > most ? each : most), first);
}

export function smallest(first: Length, ...rest: readonly Length[]): Length {
  return rest.reduce((least, each) => (each < least ? each : least), first);
}

/** A length as it stands in stored documents and requests: whole nanometres within the given limits. */
export function lengthBetween(least: Length, most: Length) {
  return z.int().min(least).max(most).transform(nanometres);
}

/** Any exact length in a plan: whole nanometres, below zero where it is a difference. */
export const lengthSchema = z
  .int()
  .min(-1000 * longest)
  .max(1000 * longest)
  .transform(nanometres);
