import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  extentsOf,
  inchFraction,
  largestGift,
  nanometres,
  neatGiftThatFits,
  planBox,
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
    fc.assert(
      fc.property(
        anyRequest,
        fc.double({ min: 0.6, max: 4, noNaN: true }),
        fc.double({ min: 0.6, max: 4, noNaN: true }),
        (request, wide, tall) => {
          if (!planBox(request).ok) return;
          const now = extentsOf(request.gift);
          const to = { across: times(now.across, wide), high: times(now.high, tall) };
          const { gift, isStopped } = stretchedAsFarAsItFits(request, request.gift, to, mark);
          if (gift) expect(planBox({ ...request, gift }).ok).toBe(true);
          // Nothing stands in the way of what there is a box for.
          const free = stretchedAsFarAsItFits(request, request.gift, now, mark);
          if (gift && !isStopped) seen.free++;
          else if (gift) seen.stopped++;
          else seen.nowhere++;
          if (free.gift) expect(planBox({ ...request, gift: free.gift }).ok).toBe(true);
          expect(isStopped && gift === undefined).toBe(gift === undefined);
        },
      ),
      { numRuns: 60 },
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
