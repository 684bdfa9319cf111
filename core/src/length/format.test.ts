import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  formatGap,
  formatLength,
  formatShown,
  formatSize,
  formatWithUnit,
  inches,
  inchFraction,
  measureParts,
  millimetres,
  nanometres,
  shownParts,
} from './index.ts';

/** A written fraction or whole number of inches as sixty-fourths, by the test's own reading. */
function sixtyFourths(text: string): number {
  const sign = text.startsWith('−') ? -1 : 1;
  const [first = '', second] = text.replace('−', '').split(' ');
  const value = (part: string) => {
    const [over = 0, under = 1] = part.split('/').map(Number);
    return (over * 64) / under;
  };
  return sign * (value(first) + (second === undefined ? 0 : value(second)));
}

describe('a length on an inch ruler', () => {
  it('is a fraction in lowest terms, less than one over the whole inches', () => {
    fc.assert(
      fc.property(fc.integer({ min: -2000, max: 2000 }), (count) => {
        const parts = measureParts(inchFraction(count, 64), 'inch');
        if (parts.kind !== 'fraction') throw new Error('Every 1/64 in is a fraction');
        const { sign, whole, numerator, denominator } = parts;
        const size = (whole * denominator + numerator) * (64 / denominator);
        expect(sign === '−' ? -size : size).toBe(count);
        expect(numerator).toBeLessThan(denominator);
        expect([1, 2, 4, 8, 16, 32, 64]).toContain(denominator);
        if (denominator > 1) expect(numerator % 2).toBe(1);
        else expect(numerator).toBe(0);
        expect(sixtyFourths(formatLength(inchFraction(count, 64), 'inch'))).toBe(count);
      }),
    );
  });

  it.each([
    [0, '0', '0 in'],
    [1 / 64, '1/64', '1/64 in'],
    [0.5, '1/2', '1/2 in'],
    [1, '1', '1 in'],
    [2.3125, '2 5/16', '2 5/16 in'],
    [-0.375, '−3/8', '−3/8 in'],
    [-3.75, '−3 3/4', '−3 3/4 in'],
  ])('of %d is %s', (length, plain, withUnit) => {
    expect(formatLength(inches(length), 'inch')).toBe(plain);
    expect(formatWithUnit(inches(length), 'inch')).toBe(withUnit);
  });

  it('that is exact in millimetres only stays in millimetres', () => {
    expect(measureParts(millimetres(74), 'inch')).toEqual({
      kind: 'decimal',
      text: '74',
      unit: 'mm',
      exact: true,
    });
    expect(formatLength(millimetres(74), 'inch')).toBe('74 mm');
    expect(formatWithUnit(millimetres(0.39), 'inch')).toBe('0.39 mm');
  });

  it('that was set on an inch ruler is shown as about so much in millimetres, and told exactly', () => {
    expect(shownParts(inchFraction(37, 16), 'mm')).toMatchObject({ text: '58.7', exact: false });
    expect(formatShown(inchFraction(37, 16), 'mm')).toBe('58.7');
    expect(formatWithUnit(inchFraction(37, 16), 'mm')).toBe('58.7375 mm');
    // A whole inch is a figure of both, and what was measured in millimetres stays as it was.
    expect(shownParts(inches(2), 'mm')).toMatchObject({ text: '50.8', exact: true });
    expect(formatShown(millimetres(74), 'inch')).toBe('74 mm');
    expect(formatShown(inchFraction(37, 16), 'inch')).toBe('2 5/16');
  });

  it('that is exact in neither is about so much', () => {
    const odd = nanometres(12_345_678);
    expect(measureParts(odd, 'inch')).toEqual({
      kind: 'decimal',
      text: '0.486',
      unit: 'inch',
      exact: false,
    });
    expect(formatLength(odd, 'inch')).toBe('0.486');
    expect(formatWithUnit(odd, 'inch')).toBe('0.486 in');
  });
});

describe('a length on a millimetre ruler', () => {
  it.each([
    [101_600_000, '101.6', true],
    [58_737_500, '58.7375', true],
    [58_737_510, '58.74', false],
    [1_000_000, '1', true],
    [10_000_000, '10', true],
    [100, '0.0001', true],
    [0, '0', true],
    [-12_500, '−0.0125', true],
    [-1, '0', false],
    [4_999, '0', false],
    [5_001, '0.01', false],
    [-5_001, '−0.01', false],
  ])('of %d nm is %s', (length, text, exact) => {
    const parts = measureParts(nanometres(length), 'mm');
    expect(parts).toEqual({ kind: 'decimal', text, unit: 'mm', exact });
    expect(formatLength(nanometres(length), 'mm')).toBe(text);
    expect(formatWithUnit(nanometres(length), 'mm')).toBe(`${text} mm`);
  });

  it('is rounded once, and never off by more than half of what is shown', () => {
    fc.assert(
      fc.property(fc.integer({ min: -3_000_000_000, max: 3_000_000_000 }), (length) => {
        const text = formatGap(nanometres(length));
        expect(text).toMatch(/^−?\d+(\.\d?[1-9])? mm$/);
        const shown = Number(text.replace('−', '-').replace(' mm', ''));
        expect(Math.abs(shown * 1e6 - length)).toBeLessThanOrEqual(5000.5);
      }),
    );
  });
});

describe('a size', () => {
  it('is told with one unit, width first', () => {
    expect(formatSize(inches(3.75), inches(4), 'inch')).toBe('3 3/4 × 4 in');
    expect(formatSize(millimetres(95), millimetres(60.5), 'mm')).toBe('95 × 60.5 mm');
  });
});
