import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  clearInsideNeeded,
  directions,
  evenRoom,
  extentsOf,
  footprintsOf,
  inchFraction,
  isOnGrid,
  millimetres,
  neatGift,
  outermostPoints,
  rowsOf,
  scaledGift,
  solidsOf,
  toMillimetres,
  waysUp,
  type Gift,
  type SeveralGift,
} from '../index.ts';
import { anyGift } from '../testing/requests.ts';

const volume = (gift: Gift) =>
  directions.reduce((product, way) => product * toMillimetres(extentsOf(gift)[way]), 1);

describe('a gift', () => {
  it('stands inside its extents, touching every side of them', () => {
    fc.assert(
      fc.property(anyGift, (gift) => {
        const { across, deep, high } = extentsOf(gift);
        const points = outermostPoints(gift);
        const reach = (pick: (point: { x: number; y: number; z: number }) => number) => {
          const values = points.map(pick);
          return [Math.min(...values), Math.max(...values)] as const;
        };
        const [left, right] = reach(({ x }) => x);
        const [front, back] = reach(({ y }) => y);
        const [foot, top] = reach(({ z }) => z);
        // Points on rounds lie between the corners, so that they may fall short of a side by a little.
        const within = (value: number, most: number) => {
          expect(value).toBeLessThanOrEqual(most / 1_000_000 + 1e-3);
          expect(value).toBeGreaterThan((most / 1_000_000) * 0.93 - 1e-3);
        };
        within(right - left, across);
        within(back - front, deep);
        within(top - foot, high);
        expect(foot).toBeGreaterThanOrEqual(-1e-6);
      }),
    );
  });

  it('covers the floor with one place a thing at the most, and stands on no other', () => {
    fc.assert(
      fc.property(anyGift, (gift) => {
        const places = footprintsOf(gift);
        const { across, deep } = rowsOf(gift);
        const most = gift.shape === 'set' ? gift.items.length : across * deep;
        expect(places.length).toBeLessThanOrEqual(most);
        for (const { x, y } of outermostPoints(gift))
          expect(
            places.some((place) =>
              place.kind === 'round'
                ? Math.hypot(x - place.x, y - place.y) <= place.radius + 1e-3
                : Math.abs(x - place.x) <= place.wide / 2 + 1e-3 &&
                  Math.abs(y - place.y) <= place.deep / 2 + 1e-3,
            ),
          ).toBe(true);
      }),
    );
  });

  it('takes no less room one way up than another, and the same in any order', () => {
    fc.assert(
      fc.property(anyGift, (gift) => {
        // Things side by side take the room of the highest and the deepest of them.
        const things = (each: Gift) => (each.shape === 'set' ? each.items : [each]);
        const whole = (each: Gift) => things(each).reduce((sum, item) => sum + volume(item), 0);
        for (const standing of waysUp(gift))
          expect(whole(standing) / whole(gift)).toBeCloseTo(1, 6);
      }),
    );
  });

  it('has its room on both sides, over its top, and never less than the floor', () => {
    fc.assert(
      fc.property(anyGift, fc.integer({ min: 0, max: 80 }), (gift, tenths) => {
        const room = evenRoom(millimetres(tenths / 10));
        const needed = clearInsideNeeded(gift, room);
        const size = extentsOf(gift);
        for (const way of directions) {
          const sides = way === 'high' ? 1 : 2;
          expect(needed[way].target).toBe(size[way] + sides * room[way].target);
          expect(needed[way].least).toBe(size[way] + sides * room[way].floor);
        }
      }),
    );
  });

  it('grows in every measure alike, and can be read off a ruler', () => {
    fc.assert(
      fc.property(anyGift, fc.double({ min: 0.5, max: 3, noNaN: true }), (gift, by) => {
        const [before, after] = [extentsOf(gift), extentsOf(scaledGift(gift, by))];
        for (const way of directions)
          // Every measure is a whole number of nanometres, and there are at most some dozens of them.
          expect(Math.abs(after[way] - by * before[way])).toBeLessThan(100);
        const mark = inchFraction(1, 16);
        const neat = neatGift(gift, mark);
        if (neat.shape === 'block')
          for (const way of directions)
            expect(isOnGrid(neat[way], mark) || neat[way] === millimetres(3)).toBe(true);
      }),
    );
  });
});

describe('rounds in an arrangement', () => {
  const rounds = fc.record({
    shape: fc.constant('several' as const),
    item: fc.record({
      shape: fc.constant('ball' as const),
      diameter: fc.integer({ min: 5, max: 60 }).map(millimetres),
    }),
    across: fc.integer({ min: 1, max: 6 }),
    deep: fc.integer({ min: 1, max: 6 }),
    high: fc.constant(1),
    packing: fc.constantFrom('in rows' as const, 'nested' as const),
  });

  it('never overlap, and nested ones take less depth than rows', () => {
    fc.assert(
      fc.property(rounds, (gift: SeveralGift) => {
        const balls = solidsOf(gift).flatMap((solid) => (solid.kind === 'ball' ? [solid] : []));
        expect(balls).toHaveLength(gift.across * gift.deep);
        balls.forEach((one, i) => {
          for (const other of balls.slice(i + 1))
            expect(
              Math.hypot(one.middle.x - other.middle.x, one.middle.y - other.middle.y),
            ).toBeGreaterThanOrEqual(one.radius + other.radius - 1e-5);
        });
        const rows = extentsOf({ ...gift, packing: 'in rows' });
        const nested = extentsOf({ ...gift, packing: 'nested' });
        if (gift.deep > 1) expect(nested.deep).toBeLessThan(rows.deep);
        else expect(nested).toEqual(rows);
      }),
    );
  });
});
