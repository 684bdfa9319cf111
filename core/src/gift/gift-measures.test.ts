import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  commonDrawers,
  extentsOf,
  giftLimits,
  giftSchema,
  inRows,
  itemOf,
  measuresOf,
  mostInSet,
  nanometres,
  reshape,
  rowsOf,
  setItems,
  withAnother,
  withItem,
  withoutItem,
  type Gift,
  type GiftItem,
} from '../index.ts';
import { tenthsBetween } from '../testing/lengths.ts';

const sides = {
  across: tenthsBetween(3, 400),
  deep: tenthsBetween(3, 400),
  high: tenthsBetween(3, 400),
};
const round = { diameter: tenthsBetween(3, 300), length: tenthsBetween(3, 400) };

/** One thing of every shape that the gift panel knows. */
const anyItem: fc.Arbitrary<GiftItem> = fc.oneof(
  fc.record({ shape: fc.constant('block' as const), ...sides }),
  fc.record({ shape: fc.constant('lumpy' as const), ...sides }),
  fc.record({
    shape: fc.constant('cylinder' as const),
    ...round,
    lies: fc.constantFrom('standing' as const, 'lying' as const),
  }),
  fc.record({ shape: fc.constant('ball' as const), diameter: round.diameter }),
  fc.record({
    shape: fc.constant('card' as const),
    across: sides.across,
    deep: sides.deep,
    thick: tenthsBetween(0.2, 50),
  }),
  fc.record({
    shape: fc.constant('bottle' as const),
    diameter: tenthsBetween(20, 90),
    body: tenthsBetween(20, 200),
    shoulder: tenthsBetween(0, 40),
    neck: tenthsBetween(5, 60),
    neckDiameter: tenthsBetween(3, 20),
    lies: fc.constantFrom('standing' as const, 'lying' as const),
  }),
);
const anySet = fc
  .array(anyItem, { minLength: 2, maxLength: mostInSet })
  .map((items): Gift => ({ shape: 'set', items }));
const rows = fc.record({
  across: fc.integer({ min: 1, max: 6 }),
  deep: fc.integer({ min: 1, max: 6 }),
  high: fc.integer({ min: 1, max: 4 }),
});
const shapes = fc.constantFrom<GiftItem['shape'][]>(
  'block',
  'lumpy',
  'cylinder',
  'ball',
  'card',
  'bottle',
);

describe('common things', () => {
  const things = commonDrawers.flatMap((drawer) => drawer.things);

  it.each(things)('$name is a gift that can be taken as it is', ({ gift }) => {
    expect(giftSchema.parse(gift)).toEqual(gift);
  });

  it('have names of their own', () => {
    expect(new Set(things.map(({ name }) => name)).size).toBe(things.length);
  });
});

describe('the measures of a gift', () => {
  it('are all that it has, each once, and each changes itself alone', () => {
    fc.assert(
      fc.property(anyItem, tenthsBetween(5, 50), (item, other) => {
        const lengths = Object.values(item).filter((value) => typeof value === 'number');
        const measures = measuresOf(item);
        expect(measures).toHaveLength(lengths.length);
        expect(new Set(measures.map(({ label }) => label)).size).toBe(measures.length);
        for (const measure of measures) {
          const { name, length: own, take, least = other, most = giftLimits.most } = measure;
          expect(take(own)).toEqual(item);
          // A bottle keeps its height when its neck becomes longer, and its neck when it becomes higher.
          const changed = nanometres(Math.min(Math.max(other, least), most));
          const after = take(changed);
          expect(giftSchema.safeParse(after).success).toBe(true);
          const said = (all: typeof measures) => all.map(({ label, length }) => [label, length]);
          expect(said(measuresOf(after))).toEqual(
            said(
              measures.map((each) => (each.name === name ? { ...each, length: changed } : each)),
            ),
          );
        }
      }),
    );
  });

  it('belong to the thing in hand, in a set or in rows as well', () => {
    fc.assert(
      fc.property(fc.oneof(anyItem, anySet), anyItem, rows, fc.nat(), (gift, other, many, pick) => {
        const at = pick % setItems(gift).length;
        expect(itemOf(withItem(gift, at, other), at)).toEqual(other);
        const item = itemOf(gift, at);
        if (item) expect(withItem(gift, at, item)).toEqual(gift);
        if (gift.shape === 'set') return;
        const arranged = inRows(gift, many);
        expect(rowsOf(arranged)).toMatchObject(many);
        expect(itemOf(arranged, 0)).toEqual(gift);
        expect(inRows(arranged, { across: 1, deep: 1, high: 1 })).toEqual(gift);
      }),
    );
  });

  it('come and go with the things of a set, down to the only one', () => {
    fc.assert(
      fc.property(fc.oneof(anyItem, anySet), fc.nat(), (gift, pick) => {
        const items = setItems(gift);
        const more = withAnother(gift);
        expect(setItems(more)).toEqual([...items, items.at(-1)]);
        expect(withoutItem(more, items.length)).toEqual(gift);
        const at = pick % items.length;
        expect(setItems(withoutItem(more, at))).toHaveLength(items.length);
      }),
    );
  });
});

describe('a gift in another shape', () => {
  it('is one that a box can be planned for, no smaller than it was', () => {
    fc.assert(
      fc.property(anyItem, shapes, (item, shape) => {
        const shaped = reshape(item, shape);
        expect(shaped.shape).toBe(shape);
        expect(giftSchema.safeParse(shaped).error?.issues ?? []).toEqual([]);
        const [was, is] = [extentsOf(item), extentsOf(shaped)];
        const hair = nanometres(3);
        for (const direction of ['across', 'deep', 'high'] as const)
          // Nothing flat is as thick as any thing, and it says so in its measure.
          if (!(shape === 'card' && direction === 'high'))
            expect(is[direction] + hair, direction).toBeGreaterThanOrEqual(was[direction]);
      }),
    );
  });
});
