import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  allStyles,
  cutSizeOf,
  directedRoom,
  giftSchema,
  gridPositions,
  madeAsPlanned,
  nanometres as length,
  planBox,
  planWithLessRoom,
  type GiftItem,
  type MadeWay,
  type Plan,
  type PlanRequest,
} from '../index.ts';
import { casesWanted } from '../testing/cases.ts';
import { anyRequest, requestsIn, shippedKits } from '../testing/requests.ts';

/** Whether two documents say the same. */
function same(one: unknown, other: unknown): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}

/** The card that a box takes, by its sheets: how many, and how much of them is used. */
function cardOf({ sheets }: Plan): { count: number; used: number } {
  return {
    count: sheets.reduce((sum, use) => sum + use.sheets, 0),
    used: sheets.reduce((sum, use) => sum + use.sheets * (1 - use.leftOver), 0),
  };
}

/** A thing that stands as it may, and each way in which it can stand. */
const freeThing: fc.Arbitrary<{ free: GiftItem; ways: readonly GiftItem[] }> = fc
  .tuple(fc.integer({ min: 20, max: 160 }), fc.integer({ min: 20, max: 160 }), fc.nat(160))
  .chain(([across, deep, more]) => {
    const size = {
      across: fc.constant(across * 1_000_000),
      deep: fc.constant(deep * 1_000_000),
      high: fc.constant((12 + more) * 1_000_000),
    };
    return fc.record(size);
  })
  .chain((lengths) => {
    const parse = (item: unknown): GiftItem => {
      const gift = giftSchema.parse(item);
      if (gift.shape === 'several' || gift.shape === 'set') throw new Error('One thing was meant');
      return gift;
    };
    const block = (up: string) => parse({ shape: 'block', ...lengths, up });
    const roll = (lies: string) =>
      parse({ shape: 'cylinder', diameter: lengths.across, length: lengths.high, lies });
    return fc.constantFrom(
      { free: block('free'), ways: ['high', 'deep', 'across'].map(block) },
      { free: roll('free'), ways: ['standing', 'lying'].map(roll) },
    );
  });

describe('a gift that may stand any way up', () => {
  it('is boxed in the way in which all holds, then with the fewest sheets, then the least card', () => {
    const rankOf = ({ pairs }: Plan) =>
      Math.max(0, ...pairs.map(({ state }) => ['holds', 'loose', 'tight'].indexOf(state)));
    let chosen = 0;
    fc.assert(
      fc.property(anyRequest, freeThing, (request, { free, ways }) => {
        const result = planBox({ ...request, gift: free });
        const each = ways.flatMap((gift) => {
          const one = planBox({ ...request, gift });
          return one.ok ? [one.plan] : [];
        });
        expect(result.ok).toBe(each.length > 0);
        if (!result.ok) return;
        const { count, used } = cardOf(result.plan);
        const rank = rankOf(result.plan);
        for (const plan of each) {
          expect(rank).toBeLessThanOrEqual(rankOf(plan));
          if (rank < rankOf(plan)) continue;
          const other = cardOf(plan);
          expect(count).toBeLessThanOrEqual(other.count);
          if (count === other.count) expect(used).toBeLessThanOrEqual(other.used + 1e-9);
        }
        // It is one of them to the last figure, and says which.
        expect(each).toContainEqual(result.plan);
        expect(ways).toContainEqual(result.plan.gift);
        if (each.some((plan) => cardOf(plan).used > used + 1e-9)) chosen++;
      }),
      { numRuns: 300 },
    );
    expect(chosen).toBeGreaterThanOrEqual(casesWanted(10));
  });

  it('is turned with its fellows where several are alike, and one at a time in a set', () => {
    fc.assert(
      fc.property(anyRequest, freeThing, (request, { free, ways }) => {
        const row = (item: GiftItem): PlanRequest['gift'] => ({
          shape: 'several',
          item,
          across: 2,
          deep: 1,
          high: 1,
          packing: 'in rows',
        });
        const several = planBox({ ...request, gift: row(free) });
        if (several.ok) expect(ways.map(row)).toContainEqual(several.plan.gift);
        const pair = planBox({ ...request, gift: { shape: 'set', items: [free, free] } });
        if (!pair.ok || pair.plan.gift.shape !== 'set') return;
        const { items } = pair.plan.gift;
        for (const item of items) expect(ways).toContainEqual(item);
        // The first way is that of whatever isn’t turned.
        expect(items.filter((item) => same(item, ways[0])).length).toBeGreaterThanOrEqual(1);
      }),
      { numRuns: 30 },
    );
  });
});

describe('a sheet that is too small', () => {
  it('is refused to whoever would rather have it tight, as to whoever would rather have it loose', () => {
    let refused = 0;
    const small = fc.integer({ min: 90, max: 200 }).map((width) => length(width * 1e6));
    fc.assert(
      fc.property(anyRequest, small, small, (request, width, height) => {
        const [first, ...rest] = request.papers;
        const onSmall = (paper: typeof first) => ({
          ...paper,
          sheet: { name: 'Small', width, height },
        });
        const asked = {
          ...request,
          papers: [onSmall(first), ...rest.map(onSmall)] satisfies PlanRequest['papers'],
        };
        const loose = planBox({ ...asked, lean: 'loose' });
        const tight = planBox({ ...asked, lean: 'tight' });
        if (loose.ok || !loose.problems.some(({ field }) => field.endsWith('sheet'))) return;
        refused++;
        expect(tight.ok).toBe(false);
      }),
      { numRuns: 300 },
    );
    expect(refused).toBeGreaterThanOrEqual(casesWanted(60));
  });
});

describe('the room that is asked for', () => {
  it('is given each way by every kind of box, however it differs from way to way', () => {
    const wide = fc
      .integer({ min: 0, max: 80 })
      .map((tenths) => directedRoom(length(tenths * 1e5)));
    const room = fc.record({ across: wide, deep: wide, high: wide });
    for (const style of allStyles)
      fc.assert(
        fc.property(requestsIn([style]), room, (request, asked) => {
          const result = planBox({ ...request, room: asked });
          if (!result.ok) return;
          const { room: given } = result.plan;
          // A figure of equal sides is measured square to them, whichever way they look.
          const least = Math.min(asked.across.floor, asked.deep.floor);
          const isRound = style.id === 'many-sided';
          // What a half is short of by rounding is no room, and no maker measures a hundredth of a millimetre.
          const rounding = 10_002;
          for (const way of ['across', 'deep'] as const)
            expect(given[way] + rounding).toBeGreaterThanOrEqual(
              isRound ? least : asked[way].floor,
            );
          expect(given.high + rounding).toBeGreaterThanOrEqual(asked.high.floor);
        }),
        { numRuns: casesWanted(25) },
      );
  });
});

describe('what is cut and scored already', () => {
  /** A planned box, with one of its pieces made as it was planned or a little off. */
  const mishaps = requestsIn(
    allStyles.filter(({ id }) => ['lidded', 'drawer', 'rolled-rim', 'mailer'].includes(id)),
    fc.constantFrom(...shippedKits),
  ).chain((request) =>
    fc.record({
      request: fc.constant(request),
      which: fc.nat(),
      way: fc.constantFrom('across' as const, 'down' as const),
      scored: fc.nat(6),
      off: fc.constantFrom(0, 0, 0, 1_000_000, -1_000_000, 1_587_500),
    }),
  );

  it('stands in the plan as it came out, and the rest is planned round it', () => {
    let kept = 0;
    fc.assert(
      fc.property(mishaps, ({ request, which, way, scored, off }) => {
        const first = planBox(request);
        if (!first.ok) return;
        const { pieces } = first.plan;
        const piece = pieces[which % pieces.length];
        if (!piece) return;
        const planned = madeAsPlanned(first.plan, piece, way, ({ index }) => index <= scored);
        const made: MadeWay = {
          ...planned,
          marks: planned.marks.map((mark) => ({ ...mark, at: length(mark.at + off) })),
        };
        if (made.marks.some(({ at }) => at <= 0 || at >= made.cut)) return;
        const { request: asked, result } = planWithLessRoom({ ...request, made: [made] });
        if (off === 0) expect(result.ok).toBe(true);
        if (!result.ok) return;
        const again = result.plan.pieces.find(({ id }) => id === piece.id);
        if (!again) throw new Error('The piece is gone');
        const { width, height } = cutSizeOf(again.grid);
        expect(way === 'across' ? width : height).toBe(made.cut);
        const sections = way === 'across' ? again.grid.columns : again.grid.rows;
        const positions = gridPositions(sections);
        for (const { at } of made.marks) expect(positions).toContain(at);
        kept += made.marks.length;
        // What is wished for stays; only the least room may have been given up.
        for (const direction of ['across', 'deep', 'high'] as const) {
          expect(asked.room[direction].target).toBe(request.room[direction].target);
          expect(asked.room[direction].floor).toBeLessThanOrEqual(request.room[direction].floor);
          expect(asked.room[direction].floor).toBeGreaterThanOrEqual(0);
        }
      }),
      { numRuns: 80 },
    );
    expect(kept).toBeGreaterThanOrEqual(casesWanted(32));
  });

  it('gives up no more room than it must: with the next larger share there is no box', () => {
    let less = 0;
    fc.assert(
      fc.property(mishaps, fc.integer({ min: 1, max: 9 }), ({ request, which, way }, short) => {
        const first = planBox(request);
        if (!first.ok) return;
        const piece = first.plan.pieces[which % first.plan.pieces.length];
        if (!piece) return;
        const planned = madeAsPlanned(first.plan, piece, way, () => false);
        // Cut a little short, it leaves less room than was asked for.
        const cut = length(planned.cut - short * 1_000_000);
        if (cut <= 0) return;
        const asked = { ...request, made: [{ ...planned, cut }] };
        const { request: given, result } = planWithLessRoom(asked);
        if (!result.ok || same(given, asked)) return;
        less++;
        expect(planBox(asked).ok).toBe(false);
        const shares = (['across', 'deep', 'high'] as const).flatMap((direction) => {
          const floor = request.room[direction].floor;
          return floor < 1000 ? [] : [Math.round((given.room[direction].floor / floor) * 100)];
        });
        expect(new Set(shares).size).toBeLessThanOrEqual(1);
        const [share] = shares;
        if (share === undefined) return;
        expect([75, 50, 25, 0]).toContain(share);
        // With a quarter more of it there is no box.
        if (share === 75) return;
        const some = ({ target, floor }: typeof request.room.high) => ({
          target,
          floor: length(Math.round((floor * (share + 25)) / 100)),
        });
        const { across, deep, high } = request.room;
        const room = { across: some(across), deep: some(deep), high: some(high) };
        expect(planBox({ ...asked, room }).ok).toBe(false);
      }),
      { numRuns: 150 },
    );
    expect(less).toBeGreaterThanOrEqual(casesWanted(1));
  });

  it('that leaves no box at all is said, with the ways out', () => {
    const [request] = fc.sample(requestsIn(allStyles.filter(({ id }) => id === 'lidded')), {
      numRuns: 1,
      seed: 3,
    });
    if (!request) throw new Error('Nothing was drawn');
    const made: MadeWay = { piece: 'base', way: 'across', cut: length(30_000_000), marks: [] };
    const { result } = planWithLessRoom({ ...request, made: [made] });
    expect(result.ok ? [] : result.problems).toEqual([
      {
        field: 'made',
        message:
          'No box goes round this gift with what is cut and scored already. Cut a piece again, or choose another gift.',
      },
    ]);
  });
});
