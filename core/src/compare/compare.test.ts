import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  alikeGifts,
  allStyles,
  chosenBy,
  compareStyles,
  extentsOf,
  frontierOf,
  furthest,
  giftLimits,
  largestEachWay,
  largestGift,
  nanometres,
  orders,
  planBox,
  planChanges,
  requestIn,
  scaledGift,
  squareGifts,
  usualRequest,
  wishes,
  type Compared,
  type PlanRequest,
  type StyleSummary,
} from '../index.ts';
import { requestsIn, sundial } from '../testing/requests.ts';

const usual = usualRequest(sundial, 'inch');

function stylesNamed(...ids: readonly string[]): readonly StyleSummary[] {
  return allStyles.filter(({ id }) => ids.includes(id));
}

function fits(request: PlanRequest, gift: PlanRequest['gift']): boolean {
  return planBox({ ...request, gift }).ok;
}

describe('the largest gift each way', () => {
  it('still has a box, and a little more has none', () => {
    fc.assert(
      fc.property(requestsIn(stylesNamed('diamond-wrap', 'web-corner', 'lidded')), (request) => {
        const largest = largestEachWay(request);
        const size = extentsOf(request.gift);
        const family = alikeGifts(request.gift);
        /** Whether a gift has a box, and whether that is made on a punch board. */
        const made = (across: number, high: number) => {
          const gift = family(nanometres(Math.round(across)), nanometres(Math.round(high)));
          const result = planBox({ ...request, gift });
          if (!result.ok) return 'no box';
          const isPunched = result.plan.pieces.some(({ punchBoard }) => punchBoard !== undefined);
          return isPunched ? 'on a punch board' : 'by hand';
        };
        const now = made(size.across, size.high);
        expect(largest !== undefined).toBe(now !== 'no box');
        if (!largest) return;
        expect(made(largest.across, size.high)).toBe(now);
        expect(made(size.across, largest.high)).toBe(now);
        // Looked for by halving: so near its end that a fifth more is too much, or as large as gifts are.
        const { most } = giftLimits;
        if (largest.across * 1.2 < most)
          expect(made(largest.across * 1.2 + 3e6, size.high)).not.toBe(now);
      }),
      { numRuns: 25 },
    );
  });
});

describe('comparing kinds of box', () => {
  const all = compareStyles(usual);

  it('plans every kind on the same paper, or says what would make it fit', () => {
    expect(all.map(({ style }) => style.id)).toEqual(allStyles.map(({ id }) => id));
    for (const compared of all) {
      const result = planBox(requestIn(usual, compared.choice));
      expect(result.ok).toBe(compared.ok);
      if (!compared.ok) {
        expect(compared.problems.length).toBeGreaterThan(0);
        for (const { message } of compared.problems) expect(message).toMatch(/[A-Z].*\.$/);
        continue;
      }
      const { figures, plan } = compared;
      expect(figures.sheets).toBe(plan.sheets.reduce((sum, { sheets }) => sum + sheets, 0));
      expect(figures.used).toBeGreaterThan(0);
      expect(figures.used).toBeLessThanOrEqual(1);
      expect(figures.offGrid).toBe(plan.offGrid);
      expect(figures.scores).toBeGreaterThanOrEqual(
        plan.marks.flatMap(({ readings }) => readings).length,
      );
      // What holds with no glue has nothing to glue in space either.
      const glued = plan.assembly.stacks.some(({ holds }) => holds === 'glue');
      expect(figures.glue > 0).toBe(glued);
    }
  });

  it('takes more minutes for more to do', () => {
    const [one] = all.flatMap((each) => (each.ok && each.style.id === 'lidded' ? [each] : []));
    const [many] = all.flatMap((each) => (each.ok && each.style.id === 'tower' ? [each] : []));
    if (!one || !many) throw new Error('Both of them fit');
    expect(many.figures.minutes).toBeGreaterThan(one.figures.minutes);
  });
});

describe('choosing among the kinds', () => {
  const gifts = fc.constantFrom(
    ...[0.5, 1, 2, 4].map((by) => compareStyles({ ...usual, gift: scaledGift(sundial, by) })),
  );

  it('leaves what meets every wish, in order, and loses nothing that does', () => {
    fc.assert(
      fc.property(
        gifts,
        fc.uniqueArray(fc.constantFrom(...wishes)),
        fc.constantFrom(...orders),
        (compared, wanted, order) => {
          const left = chosenBy(compared, new Set(wanted), order);
          const names = (list: readonly Compared[]) => list.map(({ style }) => style.id);
          // Wish after wish comes to the same as all at once, whatever is asked for first.
          const oneByOne = wanted.reduce(
            (list, wish) => chosenBy(list, new Set([wish]), order),
            chosenBy(compared, new Set(), order),
          );
          expect(names(oneByOne)).toEqual(names(left));
          for (const wish of wanted)
            for (const each of compared) {
              const alone = chosenBy([each], new Set([wish]), order);
              if (alone.length === 0) expect(left).not.toContain(each);
            }
          if (wanted.length === 0) expect(left).toHaveLength(compared.length);
          const figures = left.flatMap((each) => (each.ok ? [each.figures] : []));
          const by: readonly number[] = {
            'as listed': figures.map(() => 0),
            paper: figures.map(({ sheets, used }) => sheets + used),
            work: figures.map(({ minutes }) => minutes),
            glue: figures.map(({ glue }) => glue),
          }[order];
          expect([...by].sort((a, b) => a - b)).toEqual(by);
          // What can't hold the gift comes after all that can.
          expect(left.slice(0, figures.length).every(({ ok }) => ok)).toBe(true);
        },
      ),
    );
  });
});

describe('the limits of a sheet', () => {
  // Kinds whose pieces grow with the gift and with nothing else.
  const styles = stylesNamed('lidded', 'tuck-end', 'web-corner', 'shell', 'pinch-top');

  it('are the last gifts that fit, and a little more does not', () => {
    for (const style of styles) {
      const request = { ...usual, style: style.usual };
      for (const family of [alikeGifts(sundial), squareGifts()]) {
        const points = frontierOf(request, family, 8);
        expect(points.length, style.id).toBeGreaterThan(4);
        for (const { across, low, high } of points) {
          expect(fits(request, family(across, high)), style.id).toBe(true);
          expect(fits(request, family(across, low)), style.id).toBe(true);
          const more = nanometres(Math.round(high * 1.04 + 1_600_000));
          expect(fits(request, family(across, more)), style.id).toBe(false);
        }
        const widths = points.map(({ across }) => across);
        expect([...widths].sort((a, b) => a - b)).toEqual(widths);
      }
    }
  });

  it('hold the largest gift of the same proportions, and how far today’s can grow', () => {
    const any = fc.constantFrom(...styles).chain((style) => requestsIn([style]));
    fc.assert(
      fc.property(any, (request) => {
        if (!planBox(request).ok || request.gift.shape !== 'block') return;
        const { gift } = request;
        const family = alikeGifts(gift);
        const at = extentsOf(gift);
        const most = furthest(request, family, at);
        expect(most.across).toBeGreaterThanOrEqual(at.across);
        expect(most.high).toBeGreaterThanOrEqual(at.high);
        expect(fits(request, family(most.across, at.high))).toBe(true);
        expect(fits(request, family(at.across, most.high))).toBe(true);
        const largest = largestGift(request);
        if (!largest) throw new Error('At least today’s gift fits');
        expect(largest.across).toBeGreaterThanOrEqual(at.across);
        expect(fits(request, scaledGift(gift, largest.across / at.across))).toBe(true);
      }),
      { numRuns: 12 },
    );
  });

  it('are empty where nothing of any size can be boxed', () => {
    const [ring] = stylesNamed('ring-seat');
    if (!ring) throw new Error('No ring-seat box');
    expect(frontierOf({ ...usual, style: ring.usual }, squareGifts())).toEqual([]);
  });
});

describe('what changes for another gift', () => {
  it('is nothing for the same gift, and every difference for another', () => {
    const styles = stylesNamed('lidded', 'drawer', 'tuck-end');
    const pairs = fc
      .constantFrom(...styles)
      .chain((style) => fc.tuple(requestsIn([style]), fc.integer({ min: -8, max: 8 })));
    fc.assert(
      fc.property(pairs, ([request, by]) => {
        const before = planBox(request);
        const grown = scaledGift(request.gift, 1 + by / 40);
        const other = { ...request, gift: grown };
        const after = planBox(other);
        if (!before.ok || !after.ok) return;
        const changes = planChanges(
          { plan: before.plan, request },
          { plan: after.plan, request: other },
        );
        const { pieces, gone, kept } = changes;
        expect(gone).toEqual([]);
        expect(kept).toEqual(['kind of box', 'options', 'papers']);
        for (const { piece, was, sameSize, sameScores } of pieces) {
          const old = before.plan.pieces.find(({ id }) => id === piece);
          const now = after.plan.pieces.find(({ id }) => id === piece);
          const sum = (sections: readonly number[] = []) => sections.reduce((a, b) => a + b, 0);
          expect(was?.width).toBe(sum(old?.grid.columns));
          expect(sameSize).toBe(
            sum(old?.grid.columns) === sum(now?.grid.columns) &&
              sum(old?.grid.rows) === sum(now?.grid.rows),
          );
          if (by === 0) expect(sameSize && sameScores).toBe(true);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('names what is new and what is gone when the kind of box changes too', () => {
    const of = (id: string) => {
      const [style] = stylesNamed(id);
      const request = { ...usual, style: style?.usual ?? usual.style };
      const result = planBox(request);
      if (!result.ok) throw new Error('The sundial fits');
      return { plan: result.plan, request };
    };
    const { pieces, gone, kept } = planChanges(of('lidded'), of('drawer'));
    expect(kept).toEqual(['papers']);
    expect(gone).toEqual(['Base', 'Lid']);
    expect(pieces.every(({ was }) => was === undefined)).toBe(true);
  });
});
