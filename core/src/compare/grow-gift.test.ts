import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  extentsOf,
  inchFraction,
  millimetres,
  largestGift,
  nanometres,
  neatGiftThatFits,
  planBox,
  roundToGrid,
  spareFor,
  stretchedAsFarAsItFits,
  times,
} from '../index.ts';
import { anyRequest } from '../testing/requests.ts';

const mark = inchFraction(1, 16);
const anyWay = fc.integer({ min: 0, max: 400_000_000 }).map(nanometres);

describe('a gift that is made larger by hand', () => {
  it('goes as far as there is a box for it, and along the limit from there', () => {
    const seen = { free: 0, stopped: 0, nowhere: 0 };
    const share = fc.double({ min: 0.6, max: 4, noNaN: true });
    const gift = {
      shape: 'block',
      across: millimetres(60),
      deep: millimetres(50),
      high: millimetres(30),
    } as const;
    fc.assert(
      fc.property(anyRequest, share, share, (drawn, wide, tall) => {
        const request = { ...drawn, gift };
        if (!planBox(request).ok) return;
        const to = { across: times(gift.across, wide), high: times(gift.high, tall) };
        const { gift: found, isStopped } = stretchedAsFarAsItFits(request, gift, to, mark);
        // What was asked for, worked out here: a footprint in proportion, on whole marks.
        const asked = {
          shape: 'block',
          across: roundToGrid(to.across, mark),
          deep: roundToGrid(times(gift.deep, wide), mark),
          high: roundToGrid(to.high, mark),
        } as const;
        expect(isStopped).toBe(!planBox({ ...request, gift: asked }).ok);
        if (!found) {
          seen.nowhere++;
          return;
        }
        expect(planBox({ ...request, gift: found }).ok).toBe(true);
        const size = extentsOf(found);
        const isAsWide = Math.abs(size.across - to.across) <= mark / 2 + 2;
        const isAsHigh = Math.abs(size.high - to.high) <= mark / 2 + 2;
        // On the limit it goes on one way, and stays the other way.
        expect(isStopped ? isAsWide || isAsHigh : isAsWide && isAsHigh).toBe(true);
        seen[isStopped ? 'stopped' : 'free']++;
      }),
      { numRuns: 80 },
    );
    expect(Math.min(seen.free, seen.stopped)).toBeGreaterThan(0);
  });

  it('has no more to spare than takes it to the limit, in whole marks, and none beyond it', () => {
    fc.assert(
      fc.property(anyRequest, anyWay, anyWay, (request, across, high) => {
        if (!planBox(request).ok) return;
        const size = extentsOf(request.gift);
        const far = { across, high };
        const spare = spareFor(far, size, mark);
        for (const way of ['across', 'high'] as const) {
          expect(spare[way]).toBeGreaterThanOrEqual(0);
          expect(spare[way] % mark).toBe(0);
          const left = Math.max(0, far[way] - size[way]);
          expect(left - spare[way]).toBeGreaterThanOrEqual(0);
          expect(left - spare[way]).toBeLessThan(mark);
        }
        const most = largestGift(request);
        const neat = most && neatGiftThatFits(request, request.gift, mark);
        if (neat && neat !== request.gift)
          expect(planBox({ ...request, gift: neat }).ok).toBe(true);
      }),
      { numRuns: 12 },
    );
  });
});
