import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  cutSizeOf,
  extentsOf,
  minus,
  papersOf,
  planBox,
  plus,
  sizeSums,
  sizeSumInWords,
  times,
  usualRequest,
  zero,
} from '../index.ts';
import { inchFraction, inches } from '../length/index.ts';
import { anyRequest } from '../testing/requests.ts';

describe('what a cut size is the sum of', () => {
  it('comes to the cut size, and each reason to its part, with the gift and the room of the plan', () => {
    fc.assert(
      fc.property(anyRequest, (request) => {
        const result = planBox(request);
        const sums = sizeSums(request);
        expect(sums !== undefined).toBe(result.ok);
        if (!result.ok || !sums) return;
        const { plan } = result;
        const gift = extentsOf(plan.gift);
        const thickest = Math.max(...papersOf(request).map(({ thickness }) => thickness));
        for (const { piece: id, across, down } of sums) {
          const piece = plan.pieces.find((each) => each.id === id);
          if (!piece) throw new Error(`${id} is no piece of the plan`);
          const { width, height } = cutSizeOf(piece.grid);
          expect(plus(...across.map(({ length }) => length))).toBe(width);
          expect(plus(...down.map(({ length }) => length))).toBe(height);
          for (const { length, reason } of [...across, ...down]) {
            if (!reason || reason.kind === 'option') continue;
            if (reason.kind === 'round the gift' || reason.kind === 'gift') {
              expect(reason.gift).toBe(gift[reason.direction]);
              expect(reason.room).toBe(plan.room[reason.direction]);
            }
            if (reason.kind === 'round the gift') continue;
            if (reason.kind === 'gift') {
              const { direction, room, card } = reason;
              const air = direction === 'high' ? room : times(room, 2);
              // Half of an odd number of nanometres is no whole one.
              expect(Math.abs(minus(length, reason.gift, air, card))).toBeLessThanOrEqual(1);
              // Nothing but card stands between the folds and the room: no more than some layers of it.
              expect(card).toBeGreaterThanOrEqual(0);
              expect(card).toBeLessThanOrEqual(14 * thickest);
            } else {
              const { kind, section, card, gap } = reason;
              const more = plus(card, gap);
              expect(minus(length, section)).toBe(kind === 'over' ? more : minus(zero, more));
              const names = plan.pieces.map(({ name }) => name);
              if (reason.other !== undefined) expect(names).toContain(reason.other);
            }
          }
        }
      }),
      { numRuns: 150 },
    );
  });

  it('is told as it would be reckoned by hand', () => {
    // A brass sundial of 2 5/16 in, 9/16 in high.
    const side = plus(inches(2), inchFraction(5, 16));
    const gift = { shape: 'block', across: side, deep: side, high: inchFraction(9, 16) } as const;
    const request = usualRequest(gift, 'inch');
    const [base, lid] = sizeSums(request) ?? [];
    if (!base || !lid) throw new Error('It has a base and a lid');
    expect(sizeSumInWords(base, request)).toEqual([
      'Across: wall 5/8 + floor 2 1/2 + wall 5/8 = 3 3/4 in.',
      'Down: wall 5/8 + floor 2 1/2 + wall 5/8 = 3 3/4 in.',
      'Wall of 5/8 in: the gift’s 9/16 in + about 1/16 in over it + 0.15 mm for the card.',
      'Floor of 2 1/2 in: the gift’s 2 5/16 in + about 5/64 in at front and back + 0.9 mm for the card.',
    ]);
    expect(sizeSumInWords(lid, request).at(-1)).toBe(
      'Lid panel of 2 9/16 in: the base’s 2 1/2 in + 1.2 mm of card + 0.39 mm of air.',
    );
  });
});
