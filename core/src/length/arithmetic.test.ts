import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import {
  absolute,
  half,
  inches,
  inchFraction,
  isOnGrid,
  largest,
  lengthBetween,
  lengthSchema,
  millimetres,
  minus,
  nanometres,
  plus,
  roundDown,
  roundToGrid,
  roundUp,
  smallest,
  times,
  toleranceSchema,
  toMillimetres,
  unitSchema,
  zero,
} from './index.ts';

const whole = fc.integer({ min: -2_000_000_000, max: 2_000_000_000 }).map(nanometres);

describe('exact lengths', () => {
  it('add up, and come apart again', () => {
    fc.assert(
      fc.property(whole, fc.array(whole, { maxLength: 5 }), (first, more) => {
        const sum = plus(first, ...more);
        expect(sum).toBe(more.reduce((total: number, each) => total + each, first));
        expect(minus(sum, ...more)).toBe(first);
        expect(minus(first, first)).toBe(zero);
      }),
    );
  });

  it('are multiplied and halved to the nearest nanometre', () => {
    fc.assert(
      fc.property(whole, fc.integer({ min: -9, max: 9 }), (length, factor) => {
        // Nought has no sign here.
        expect(times(length, factor) + 0).toBe(length * factor + 0);
        expect(Math.abs(half(length) * 2 - length)).toBeLessThanOrEqual(1);
        expect(absolute(length)).toBe(Math.abs(length));
      }),
    );
    expect(half(nanometres(5))).toBe(3);
    expect(times(nanometres(10), 1 / 3)).toBe(3);
  });

  it('know the larger and the smaller of any number of them', () => {
    fc.assert(
      fc.property(whole, fc.array(whole, { maxLength: 5 }), (first, more) => {
        expect(largest(first, ...more)).toBe(Math.max(first, ...more));
        expect(smallest(first, ...more)).toBe(Math.min(first, ...more));
      }),
    );
  });

  it('are the same in inches, fractions and millimetres', () => {
    expect(inches(1)).toBe(25_400_000);
    expect(inchFraction(15, 16)).toBe(inches(0.9375));
    expect(inchFraction(1, 64)).toBe(396_875);
    expect(millimetres(25.4)).toBe(inches(1));
    expect(millimetres(-0.0125)).toBe(-12_500);
    expect(toMillimetres(inches(1))).toBe(25.4);
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5000 }),
        fc.constantFrom(2, 4, 8, 16, 32, 64),
        (n, d) => {
          expect(inchFraction(n, d) * d).toBe(n * 25_400_000);
        },
      ),
    );
  });

  it.each([0.5, NaN, Infinity, 5_000_000_000_001, -5_000_000_000_001])('are never %d', (value) => {
    expect(() => nanometres(value)).toThrow(RangeError);
  });

  it('reach far beyond every box', () => {
    expect(nanometres(5_000_000_000_000)).toBe(5_000_000_000_000);
    expect(nanometres(-5_000_000_000_000)).toBe(-5_000_000_000_000);
    expect(() => nanometres(1.5)).toThrow('1.5 is not a whole number of nanometres');
  });
});

describe('a grid', () => {
  it.each([isOnGrid, roundDown, roundUp, roundToGrid])('has a step above nothing (%o)', (does) => {
    expect(() => does(inches(1), zero)).toThrow('A grid needs a step above zero');
    expect(() => does(inches(1), nanometres(-1))).toThrow(RangeError);
    expect(() => does(inches(1), nanometres(1))).not.toThrow();
  });

  it('rounds what is halfway up', () => {
    const step = millimetres(1);
    expect(roundToGrid(millimetres(2.5), step)).toBe(millimetres(3));
    expect(roundToGrid(millimetres(2.499), step)).toBe(millimetres(2));
    expect(roundDown(millimetres(2.999), step)).toBe(millimetres(2));
    expect(roundUp(millimetres(2.001), step)).toBe(millimetres(3));
    expect(roundDown(millimetres(-0.5), step)).toBe(millimetres(-1));
  });
});

describe('a length in a document', () => {
  const limits = lengthBetween(millimetres(3), millimetres(10));

  it('is a whole number of nanometres within its limits', () => {
    fc.assert(
      fc.property(fc.integer({ min: -20_000_000, max: 20_000_000 }), (value) => {
        const isWithin = value >= 3_000_000 && value <= 10_000_000;
        expect(limits.safeParse(value).success).toBe(isWithin);
      }),
    );
    for (const wrong of [3_000_000.5, '4000000', null, NaN])
      expect(limits.safeParse(wrong).success).toBe(false);
    expect(limits.parse(3_000_000)).toBe(millimetres(3));
    expect(lengthSchema.parse(-7)).toBe(-7);
    expect(lengthSchema.safeParse(0.5).success).toBe(false);
  });

  it('has a unit that is one of two', () => {
    expect(z.array(unitSchema).parse(['inch', 'mm'])).toEqual(['inch', 'mm']);
    expect(unitSchema.safeParse('cm').success).toBe(false);
  });

  it('that may be between two others has them in order, and none above two centimetres', () => {
    const length = fc.integer({ min: 0, max: 21_000_000 });
    fc.assert(
      fc.property(length, length, length, (least, target, most) => {
        const parsed = toleranceSchema.safeParse({ least, target, most });
        const isOrdered = least <= target && target <= most;
        expect(parsed.success).toBe(isOrdered && most <= 20_000_000);
        if (!parsed.success && most <= 20_000_000 && least <= 20_000_000 && target <= 20_000_000)
          expect(parsed.error.issues[0]?.message).toBe(
            'The least gap, the best gap and the most must stand in that order.',
          );
      }),
    );
    expect(toleranceSchema.safeParse({ least: 1, target: 1, most: 1 }).success).toBe(true);
  });
});
