import { absolute, type Length } from './length.ts';
import type { Unit } from './unit.ts';

/** A length in pieces, so that a screen can draw 15/16 as a real fraction. */
export type MeasureParts =
  | {
      readonly kind: 'fraction';
      readonly sign: '' | '−';
      readonly whole: number;
      readonly numerator: number;
      readonly denominator: number;
    }
  | {
      readonly kind: 'decimal';
      readonly text: string;
      readonly unit: Unit;
      readonly exact: boolean;
    };

const perInch = 25_400_000;
const finest = 64;

function inchParts(length: Length): MeasureParts | undefined {
  const size = absolute(length);
  const sixtyFourth = perInch / finest;
  if (size % sixtyFourth !== 0) return undefined;
  let numerator = size / sixtyFourth;
  let denominator = finest;
  while (denominator > 1 && numerator % 2 === 0) {
    numerator /= 2;
    denominator /= 2;
  }
  const whole = Math.floor(numerator / denominator);
  return {
    kind: 'fraction',
    sign: length < 0 ? '−' : '',
    whole,
    numerator: numerator - whole * denominator,
    denominator,
  };
}

/** A decimal rounded half away from zero from the exact integers, without trailing zeros. */
export function decimalText(length: Length, perUnit: number, decimals: number): string {
  const scale = 10n ** BigInt(decimals);
  const size = BigInt(absolute(length)) * scale;
  const unit = BigInt(perUnit);
  const rounded = (2n * size + unit) / (2n * unit);
  const digits = (rounded % scale).toString().padStart(decimals, '0').replace(/0+$/, '');
  const sign = length < 0 && rounded !== 0n ? '−' : '';
  return `${sign}${rounded / scale}${digits === '' ? '' : `.${digits}`}`;
}

/**
 * A length as its ruler shows it. In inches a length on the 1/64 grid becomes a fraction in lowest
 * terms; one that is exact in millimetres only (a gift measured as 74 mm) stays in millimetres, so that
 * no figure is ever rounded in passing. In millimetres up to four decimals are exact, and two are shown
 * of a longer one, marked as not exact.
 */
export function measureParts(length: Length, unit: Unit): MeasureParts {
  if (unit === 'inch') {
    const fraction = inchParts(length);
    if (fraction) return fraction;
    if (length % 10_000 === 0)
      return {
        kind: 'decimal',
        text: decimalText(length, 1_000_000, 2),
        unit: 'mm',
        exact: true,
      };
    return {
      kind: 'decimal',
      text: decimalText(length, perInch, 3),
      unit: 'inch',
      exact: false,
    };
  }
  const exact = length % 100 === 0;
  return {
    kind: 'decimal',
    text: decimalText(length, 1_000_000, exact ? 4 : 2),
    unit: 'mm',
    exact,
  };
}

/**
 * A length as it is shown where nothing is cut or scored by it, as of a gift or of the room around it. What was set on an
 * inch ruler is about so much in millimetres: one decimal, as no other can be measured.
 */
export function shownParts(length: Length, unit: Unit): MeasureParts {
  const isOfInches = length % (perInch / finest) === 0 && length % 10_000 !== 0;
  return unit === 'mm' && isOfInches
    ? { kind: 'decimal', text: decimalText(length, 1_000_000, 1), unit, exact: false }
    : measureParts(length, unit);
}

/** The same as plain text: what stands in a field. */
export function formatShown(length: Length, unit: Unit): string {
  const parts = shownParts(length, unit);
  return parts.kind === 'decimal' && parts.unit === unit ? parts.text : formatLength(length, unit);
}

/** The length as plain text without a unit unless it is not in the asked unit: `2 5/16`, `74 mm`, `101.6`. */
export function formatLength(length: Length, unit: Unit): string {
  const parts = measureParts(length, unit);
  if (parts.kind === 'decimal')
    return parts.unit === unit ? parts.text : `${parts.text} ${parts.unit}`;
  const fraction = parts.numerator === 0 ? '' : `${parts.numerator}/${parts.denominator}`;
  const whole = parts.whole === 0 && fraction !== '' ? '' : `${parts.whole}`;
  return `${parts.sign}${whole}${whole !== '' && fraction !== '' ? ' ' : ''}${fraction}`;
}

/** The length with its unit: `2 5/16 in`, `101.6 mm`. */
export function formatWithUnit(length: Length, unit: Unit): string {
  const parts = measureParts(length, unit);
  if (parts.kind === 'decimal') return `${parts.text} ${parts.unit === 'inch' ? 'in' : 'mm'}`;
  return `${formatLength(length, unit)} in`;
}

/** A cut size as text: `4 × 4 in`. */
export function formatSize(width: Length, height: Length, unit: Unit): string {
  return `${formatLength(width, unit)} × ${formatWithUnit(height, unit)}`;
}

/** A small clearance in millimetres whatever the ruler, as makers speak of fits: `0.39 mm`. */
export function formatGap(length: Length): string {
  return `${decimalText(length, 1_000_000, 2)} mm`;
}
