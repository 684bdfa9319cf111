import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inches, inchFraction, millimetres, nanometres } from '../length/index.ts';
import {
  clearDepth,
  clearInside,
  foldToFoldFor,
  judgeGap,
  judgePair,
  outside,
  readChain,
  wallFor,
} from './index.ts';

const length = fc.integer({ min: 1, max: 900_000_000 }).map(nanometres);
const card = fc.integer({ min: 50_000, max: 1_000_000 }).map(nanometres);
const range = {
  least: millimetres(0.25),
  target: millimetres(0.45),
  most: millimetres(0.8),
};

describe('the layer rule', () => {
  it('gives back the clear inside that was asked for, and never a short wall', () => {
    fc.assert(
      fc.property(length, card, length, (clear, thickness, layers) => {
        const folds = foldToFoldFor(clear, thickness, layers);
        expect(clearInside(folds, thickness, layers)).toBe(clear);
        // What lies outside is wider than what is clear inside by both walls and all layers.
        expect(outside(folds, thickness, layers) - clear).toBe(2 * thickness + 2 * layers);
        const depth = clearDepth(wallFor(clear, thickness), thickness);
        expect(depth).toBeGreaterThanOrEqual(clear - 1);
        expect(depth).toBeLessThanOrEqual(clear + 1);
      }),
    );
  });
});

describe('how a lid slides', () => {
  it('changes from tight to held to loose as the gap grows, and only once each', () => {
    const order = { tight: 0, holds: 1, loose: 2 };
    fc.assert(
      fc.property(
        fc.integer({ min: -2_000_000, max: 3_000_000 }),
        fc.integer({ min: 0, max: 2_000_000 }),
        (gap, more) => {
          const narrow = order[judgeGap(nanometres(gap), range)];
          expect(order[judgeGap(nanometres(gap + more), range)]).toBeGreaterThanOrEqual(narrow);
        },
      ),
    );
  });

  it.each([
    [[0.39, 0.99], 'holds'],
    [[0.39, 2.41], 'loose'],
    [[0.9, 1.2], 'loose'],
    [[0.24, 0.4], 'tight'],
    [[-0.01, 5], 'tight'],
  ] as const)('in two directions, %j mm, it is %s', (gaps, state) => {
    expect(judgePair(gaps.map((gap) => ({ gap: millimetres(gap), range })))).toBe(state);
  });
});

describe('reading scores', () => {
  const tools = { pitch: inchFraction(1, 8), reach: inches(12), edges: 'both' as const };

  it('leaves the odd remainder between two readings from either edge', () => {
    const chain = [inchFraction(3, 4), inchFraction(41, 16), inchFraction(3, 4)];
    const { cut, scores } = readChain('lid', chain, tools);
    expect(cut).toBe(inchFraction(65, 16));
    expect(scores.map(({ from, reading, onGroove }) => [from, reading, onGroove])).toEqual([
      ['start', inchFraction(3, 4), true],
      ['end', inchFraction(3, 4), true],
    ]);
  });

  it('turns the piece once, reads most scores on grooves, and never beyond the far edge', () => {
    const sections = fc.array(
      fc.integer({ min: 1, max: 60 }).map((n) => inchFraction(n, 16)),
      { minLength: 2, maxLength: 6 },
    );
    fc.assert(
      fc.property(sections, (list) => {
        const { cut, scores } = readChain('any', list, tools);
        expect(scores.map(({ from }) => (from === 'start' ? 's' : 'e')).join('')).toMatch(/^s*e*$/);
        for (const { position, from, reading } of scores)
          expect(from === 'start' ? reading : cut - reading).toBe(position);
        const fromOneEdge = (start: boolean) =>
          scores.filter(({ position }) => {
            const at = start ? position : cut - position;
            return at % tools.pitch !== 0 || at > tools.reach;
          }).length;
        const off = scores.filter(({ onGroove }) => !onGroove).length;
        expect(off).toBeLessThanOrEqual(Math.min(fromOneEdge(true), fromOneEdge(false)));
      }),
    );
  });
});
