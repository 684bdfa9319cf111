import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { learnedGap, millimetres, nanometres, type Felt, type Tolerance } from '../index.ts';

const length = (least: number, most: number) =>
  fc.integer({ min: least * 1000, max: most * 1000 }).map((micron) => nanometres(micron * 1000));

/** Any range of gaps, in order. */
const anyRange: fc.Arbitrary<Tolerance> = fc
  .tuple(length(0, 3), length(0, 3), length(0, 3))
  .map((three) => {
    const [least = nanometres(0), target = least, most = target] = [...three].sort((a, b) => a - b);
    return { least, target, most };
  });

const lessons = fc.tuple(anyRange, length(-0.5, 4));

/** What a paper's gaps are after a box came out so. */
function after([range, came]: [Tolerance, Tolerance['most']], felt: Felt): Tolerance {
  return learnedGap(range, came, felt);
}

describe('a gap that a trial box has taught', () => {
  it('is a range in order, with nothing below zero', () => {
    const felt = fc.constantFrom<Felt>('too tight', 'just right', 'too loose');
    fc.assert(
      fc.property(lessons, felt, (lesson, how) => {
        const { least, target, most } = after(lesson, how);
        expect(least).toBeGreaterThanOrEqual(0);
        expect(target).toBeGreaterThanOrEqual(least);
        expect(most).toBeGreaterThanOrEqual(target);
      }),
    );
  });

  it('aims at what was just right, and takes it in without losing what held before', () => {
    fc.assert(
      fc.property(lessons, ([range, came]) => {
        const learned = after([range, came], 'just right');
        expect(learned.target).toBe(Math.max(came, 0));
        expect(learned.least).toBeLessThanOrEqual(range.least);
        expect(learned.most).toBeGreaterThanOrEqual(Math.max(range.most, came));
      }),
    );
  });

  it('never again takes a gap that was too tight, and aims a quarter of a millimetre above it', () => {
    fc.assert(
      fc.property(lessons, ([range, came]) => {
        const learned = after([range, came], 'too tight');
        expect(learned.least).toBeGreaterThan(came);
        expect(learned.target - came).toBeGreaterThanOrEqual(250_000);
        // What was wider than that is wanted as before.
        expect(learned.least).toBeGreaterThanOrEqual(range.least);
        expect(learned.target).toBeGreaterThanOrEqual(range.target);
        expect(learned.most - learned.target).toBeGreaterThanOrEqual(250_000);
      }),
    );
  });

  it('never again takes a gap that was too loose, and aims below it', () => {
    fc.assert(
      fc.property(lessons, ([range, came]) => {
        const learned = after([range, came], 'too loose');
        // Next to nothing can’t be made closer.
        if (came <= millimetres(0.2)) return;
        if (range.most > millimetres(0.1)) expect(learned.most).toBeLessThan(came);
        expect(learned.most).toBeLessThanOrEqual(range.most);
        expect(learned.target).toBeLessThanOrEqual(range.target);
        expect(learned.least).toBeLessThanOrEqual(range.least);
      }),
    );
  });

  it('learns nothing from a lid that was loose at next to no gap', () => {
    const range = { least: millimetres(0), target: millimetres(0.05), most: millimetres(0.1) };
    expect(learnedGap(range, millimetres(0.15), 'too loose')).toEqual(range);
  });

  it.each([
    ['just right', 0.6, [0.25, 0.6, 0.8]],
    ['just right', 1, [0.25, 1, 1]],
    ['just right', 0.1, [0.1, 0.1, 0.8]],
    ['too tight', 0.4, [0.5, 0.65, 0.9]],
    ['too tight', 1, [1.1, 1.25, 1.5]],
    ['too loose', 0.7, [0.25, 0.45, 0.6]],
    ['too loose', 0.5, [0.15, 0.25, 0.4]],
  ] as const)('of 0.25 to 0.8 mm that was %s at %d mm', (felt, came, [least, target, most]) => {
    const lid = { least: millimetres(0.25), target: millimetres(0.45), most: millimetres(0.8) };
    expect(learnedGap(lid, millimetres(came), felt)).toEqual({
      least: millimetres(least),
      target: millimetres(target),
      most: millimetres(most),
    });
  });
});
