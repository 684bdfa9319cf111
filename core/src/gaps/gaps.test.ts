import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { millimetres, nanometres } from '../length/index.ts';
import {
  clearDepth,
  clearInside,
  foldToFoldFor,
  judgeGap,
  judgePair,
  outside,
  wallFor,
  drawerGap,
  handleGap,
  hingedFrontGap,
  hingedSidesGap,
  lidGap,
  linerGap,
  stackGap,
  tuckGap,
} from './index.ts';

const length = fc.integer({ min: 1, max: 900_000_000 }).map(nanometres);
const card = fc.integer({ min: 50_000, max: 1_000_000 }).map(nanometres);
const range = {
  least: millimetres(0.25),
  target: millimetres(0.45),
  most: millimetres(0.8),
};

describe('the ranges', () => {
  it('want something between the least and the most that they allow, and all of it holds', () => {
    const ranges = [
      lidGap,
      drawerGap,
      linerGap,
      hingedSidesGap,
      hingedFrontGap,
      handleGap,
      tuckGap,
      stackGap,
    ];
    for (const { least, target, most } of ranges) {
      expect([
        judgeGap(least, { least, target, most }),
        judgeGap(most, { least, target, most }),
      ]).toEqual(['holds', 'holds']);
      expect(least).toBeLessThan(target);
      expect(target).toBeLessThan(most);
      // A hair less would push card into card, a hair more is what somebody would call loose.
      expect(least).toBeGreaterThanOrEqual(0);
    }
  });

  it('keep a drawer looser than a lid, which is held by its tug', () => {
    expect(drawerGap.target).toBeGreaterThan(lidGap.most);
  });
});

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
    [[0.39, 2.41], 'holds'],
    [[0.39, 2.42], 'loose'],
    [[0.9, 1.2], 'loose'],
    [[0.24, 0.4], 'holds'],
    [[0.23, 0.4], 'tight'],
    [[-0.01, 5], 'tight'],
  ] as const)('in two directions, %j mm, it is %s', (gaps, state) => {
    expect(judgePair(gaps.map((gap) => ({ gap: millimetres(gap), range })))).toBe(state);
  });
});
