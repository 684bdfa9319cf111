import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { nanometres, type Length } from '../length/index.ts';
import { distanceTo, greatestCommonDivisor, valuesAround } from './lattice.ts';
import { addCosts, compareCosts, looseness, noCost, ownMisfit } from './marks-cost.ts';
import type { Fit, MarksCost } from './marks-problem.ts';
import { leastOffGrid } from './off-grid.ts';
import { OffGridBound } from './off-grid-bound.ts';
import { meansOf, type Grooves } from './on-mark.ts';
import { boundPair, meetsWanted, wantedOf } from './pair-bound.ts';
import { pitchChoices } from './pitch-choice.ts';

const small = fc.integer({ min: 1, max: 40 });
const length = (least: number, most: number): fc.Arbitrary<Length> =>
  fc.integer({ min: least, max: most }).map(nanometres);

/** Grooves so coarse that most lengths are on none. */
const anyGrooves: fc.Arbitrary<Grooves> = fc
  .record({
    pitch: length(2, 7),
    reach: length(10, 60),
    shim: fc.option(length(1, 4), { nil: undefined }),
  })
  .map(({ pitch, reach, shim }) => ({ pitch, reach, ...(shim !== undefined && { shim }) }));

/** Whether a score so far from an edge can be made, by counting grooves one after the other. */
function isMade(reading: number, { pitch, reach, shim = nanometres(0) }: Grooves): boolean {
  for (let groove = 0; groove <= reach; groove += pitch)
    if (groove === reading || (shim > 0 && groove - shim === reading)) return true;
  return false;
}

/** How many scores of a chain can be made from neither edge. */
function offBySearch(sizes: readonly number[], grooves: Grooves): number {
  const whole = sizes.reduce((sum, each) => sum + each, 0);
  const starts = sizes.slice(0, -1).map((_, i) => sizes.slice(0, i + 1).reduce((a, b) => a + b, 0));
  return starts.filter((at) => !isMade(at, grooves) && !isMade(whole - at, grooves)).length;
}

describe('a reading', () => {
  it('is made at a groove, or with the shim, or not at all', () => {
    fc.assert(
      fc.property(small, anyGrooves, (reading, grooves) => {
        const means = meansOf(reading, grooves);
        expect(means !== 'none').toBe(isMade(reading, grooves));
        const { shim, ...bare } = grooves;
        // The shim is only laid in where no groove does it.
        expect(means === 'groove').toBe(isMade(reading, bare));
        if (means === 'shim') expect(shim).toBeDefined();
      }),
    );
  });
});

describe('the least number of scores off the grooves', () => {
  const sizes = fc.array(small, { minLength: 2, maxLength: 6 });

  it('is what trying either edge comes to, once every section is decided', () => {
    fc.assert(
      fc.property(sizes, anyGrooves, (all, grooves) => {
        expect(leastOffGrid({ sizes: all, grooves })).toBe(offBySearch(all, grooves));
      }),
    );
  });

  it('is never more than what any size of the open sections comes to', () => {
    fc.assert(
      fc.property(
        sizes,
        fc.array(fc.boolean()),
        fc.array(small),
        anyGrooves,
        (all, open, others, grooves) => {
          const some = all.map((size, i) => (open[i] ? undefined : size));
          const filled = all.map((size, i) => (open[i] ? (others[i] ?? size) : size));
          const bound = leastOffGrid({ sizes: some, grooves });
          expect(bound).toBeLessThanOrEqual(offBySearch(filled, grooves));
          // A piece that is beyond the reach of the grooves from both ends is known to be so early.
          expect(bound).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });

  const _ = undefined;
  it.each([
    // Beyond the grooves from one edge, and between two of them from the other.
    { sizes: [_, 30, 3], off: 1 },
    { sizes: [_, 30, 5], off: 0 },
    // What is open may bring a score onto a groove from its own side only.
    { sizes: [7, _, _], off: 0 },
    { sizes: [7, _, 25], off: 1 },
    { sizes: [_, 3, 4], off: 0 },
    { sizes: [3, _, 4], off: 0 },
    { sizes: [3, 30, _, 25], off: 3 },
  ])('of $sizes on every fifth up to twenty is $off', ({ sizes: some, off }) => {
    const grooves = { pitch: nanometres(5), reach: nanometres(20) };
    expect(leastOffGrid({ sizes: some, grooves })).toBe(off);
  });

  it('with one section open, is that of the best size that the trimmer can cut', () => {
    fc.assert(
      fc.property(
        sizes,
        fc.nat(),
        length(1, 3),
        anyGrooves,
        length(5, 20),
        small,
        fc.boolean(),
        (all, which, step, grooves, least, more, isCut) => {
          const at = which % all.length;
          const others = all.reduce((sum, size, i) => (i === at ? sum : sum + size), 0);
          const tools = { ...grooves, step, edges: 'both' as const };
          const most = least + more + 60;
          const cut = nanometres(others + least + 3);
          const chain = {
            ids: ['any'],
            sections: all.map((_, i) => i),
            longest: Infinity,
            cut: isCut ? cut : undefined,
          };
          const bound = new OffGridBound(chain, tools, () => ({ least, most, isOnPitch: false }));
          const values = all.map((size, i) => (i === at ? undefined : size));
          const tried: number[] = [];
          for (let value: number = least; value <= most; value++)
            if (isCut ? others + value === cut : (others + value) % step === 0)
              tried.push(
                offBySearch(
                  all.map((size, i) => (i === at ? value : size)),
                  grooves,
                ),
              );
          expect(bound.of(values)).toBe(Math.min(...tried));
          // Asked again, and for other sizes in between, it says the same.
          const decided = all.map((size, i) => (i === at ? least : size));
          expect(bound.of(decided)).toBe(offBySearch(decided, grooves));
          expect(bound.of(values)).toBe(Math.min(...tried));
        },
      ),
    );
  });
});

describe('the least that two sections’ fits must cost', () => {
  const mm = (least: number, most: number) =>
    fc.integer({ min: least * 10, max: most * 10 }).map((tenths) => nanometres(tenths * 100_000));
  const anyFit: fc.Arbitrary<Fit> = fc
    .record({
      layers: mm(0, 2),
      least: mm(0, 0.5),
      target: mm(0, 0.5),
      most: mm(0, 0.5),
      slack: mm(0, 2),
    })
    .map(({ layers, least, target, most, slack }) => ({
      id: 'any',
      group: 'lid',
      outer: 'lid',
      inner: 'base',
      innerTimes: 1,
      layers,
      gap: {
        least,
        target: nanometres(least + target),
        most: nanometres(least + target + most),
      },
      slack,
    }));

  /** What one difference costs, by the words of the trade: jammed, rattling both ways, or held. */
  function costAt(fits: readonly Fit[], difference: number, heavy: 'tight' | 'loose') {
    let [own, deviation, closest] = [0, 0, Infinity];
    for (const { layers, gap, slack } of fits) {
      const came = difference - layers;
      const tight = Math.max(0, gap.least - came) * (heavy === 'tight' ? 1000 : 1);
      const rattles = Math.max(0, came - gap.most - slack) * (heavy === 'loose' ? 1000 : 1);
      own += tight + rattles;
      deviation += Math.abs(came - gap.target);
      closest = Math.min(closest, Math.max(0, came - gap.most) * (heavy === 'loose' ? 1000 : 1));
    }
    return { own, deviation, misfit: own + closest };
  }

  it('is that of the best difference on the marks, on a ruler that is coarse', () => {
    fc.assert(
      fc.property(
        fc.array(anyFit, { minLength: 1, maxLength: 2 }),
        fc.integer({ min: 5, max: 30 }),
        fc.integer({ min: 0, max: 29 }),
        fc.constantFrom('loose' as const, 'tight' as const),
        fc.constantFrom(0, 200_000, 1e12),
        (fits, pitch, odd, lean, allowed) => {
          const apart = { step: pitch * 100_000, residue: (odd % pitch) * 100_000 };
          const reach = { least: -6_000_000, most: 9_000_000 };
          const heavy = lean === 'loose' ? 'tight' : 'loose';
          const costs: ReturnType<typeof costAt>[] = [];
          for (let at = -3000; at <= 3000; at++) {
            const difference = apart.residue + at * apart.step;
            if (difference >= reach.least && difference <= reach.most)
              costs.push(costAt(fits, difference, heavy));
          }
          const least = (of: readonly number[]) => Math.min(...of);
          const bound = boundPair(fits, { apart, reach, lean, allowed });
          expect(bound.own).toBe(least(costs.map(({ own }) => own)));
          expect(bound.closest).toBe(least(costs.map(({ misfit }) => misfit)));
          expect(bound.deviation).toBeLessThanOrEqual(
            least(costs.filter(({ own }) => own <= allowed).map(({ deviation }) => deviation)),
          );
          expect(bound.heldDeviation).toBeLessThanOrEqual(
            least(
              costs.filter(({ misfit }) => misfit <= allowed).map(({ deviation }) => deviation),
            ),
          );
          expect(bound.heldDeviation).toBeGreaterThanOrEqual(bound.deviation);
        },
      ),
    );
  });

  it('is nothing on a ruler so fine that some gap is as good as perfect', () => {
    fc.assert(
      fc.property(anyFit, (fit) => {
        const reach = { least: -Infinity, most: Infinity };
        const wide = fit.gap.most - fit.gap.least;
        const apart = { step: Math.floor(wide / 25) || 1, residue: 0 };
        if (apart.step * 24 >= wide) return;
        const bound = boundPair([fit], { apart, reach, lean: 'loose', allowed: 0 });
        expect(bound).toEqual({ own: 0, closest: 0, deviation: 0, heldDeviation: 0 });
      }),
    );
  });

  it('knows whether the two can stand at a difference that is wanted', () => {
    fc.assert(
      fc.property(anyFit, mm(-4, 4), mm(0, 4), (fit, least, more) => {
        const reach = { least, most: least + more };
        const [from, to] = [fit.layers + fit.gap.least, fit.layers + fit.gap.most];
        expect(meetsWanted(wantedOf([fit]), reach)).toBe(reach.most >= from && reach.least <= to);
      }),
    );
  });

  it('costs nothing in its range, a little beyond it, and a thousand times on the side leant away from', () => {
    fc.assert(
      fc.property(anyFit, mm(-3, 6), fc.boolean(), ({ gap, slack }, came, isLoose) => {
        const lean = isLoose ? 'loose' : 'tight';
        const own = ownMisfit(came, { gap, slack }, lean);
        const { own: expected } = costAt(
          [fitOf({ gap, slack })],
          came,
          isLoose ? 'tight' : 'loose',
        );
        expect(own).toBe(expected);
        const ofAll = (gaps: readonly number[]) =>
          looseness(
            gaps.map((each) => ({ gap, came: each })),
            (fit) => fit.came,
            lean,
          );
        const held = ofAll([came]);
        expect(held).toBe(Math.max(0, came - gap.most) * (isLoose ? 1 : 1000));
        // One direction that holds is enough.
        expect(ofAll([came, gap.target])).toBe(0);
        expect(ofAll([])).toBe(0);
      }),
    );
  });

  function fitOf(range: Pick<Fit, 'gap' | 'slack'>): Fit {
    const zero = nanometres(0);
    return { id: '', group: '', outer: '', inner: '', innerTimes: 1, layers: zero, ...range };
  }
});

describe('costs', () => {
  const parts = ['unfit', 'offGrid', 'shims', 'turns', 'deviation', 'settings', 'size'] as const;
  const anyCost: fc.Arbitrary<MarksCost> = fc.record({
    unfit: fc.nat(2),
    offGrid: fc.nat(2),
    shims: fc.nat(2),
    turns: fc.nat(2),
    deviation: fc.nat(2),
    settings: fc.nat(2),
    size: fc.nat(2),
  });

  it('are compared part by part, the fit first and the card last', () => {
    fc.assert(
      fc.property(anyCost, anyCost, (one, other) => {
        const first = parts.find((part) => one[part] !== other[part]);
        const expected = first ? Math.sign(one[first] - other[first]) : 0;
        expect(Math.sign(compareCosts(one, other))).toBe(expected);
      }),
    );
  });

  it('add up part by part', () => {
    fc.assert(
      fc.property(anyCost, anyCost, (one, other) => {
        const sum = addCosts(one, other);
        for (const part of parts) expect(sum[part]).toBe(one[part] + other[part]);
        expect(addCosts(one, noCost)).toEqual(one);
      }),
    );
  });
});

describe('a lattice', () => {
  it('has its values on both sides of a range, and none beyond them', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 20 }),
        fc.nat(40),
        fc.nat(60),
        (step, residue, width) => {
          const from = residue - 17;
          const values = valuesAround({ step, residue }, from, from + width);
          for (const value of values) expect(Math.abs(value - residue) % step).toBe(0);
          const [first = NaN, last = NaN] = [values[0], values.at(-1)];
          expect(first).toBeLessThanOrEqual(from);
          expect(first).toBeGreaterThan(from - step);
          expect(last).toBeGreaterThanOrEqual(from + width);
          expect(last).toBeLessThan(from + width + step);
          expect(values).toHaveLength((last - first) / step + 1);
        },
      ),
    );
    expect(valuesAround({ step: 0, residue: 7 }, 100, 200)).toEqual([7]);
  });

  it('is so far from a target as its nearest value', () => {
    fc.assert(
      fc.property(
        fc.nat(20),
        fc.nat(40),
        fc.integer({ min: -90, max: 90 }),
        (step, residue, target) => {
          const near = valuesAround({ step, residue }, target, target);
          const expected = Math.min(...near.map((value) => Math.abs(value - target)));
          expect(distanceTo({ step, residue }, target)).toBe(expected);
        },
      ),
    );
  });

  it('shares with another one what divides them both', () => {
    fc.assert(
      fc.property(fc.integer({ min: -60, max: 60 }), fc.nat(60), (a, b) => {
        const largest = [...Array(61).keys()]
          .reverse()
          .find((each) => each > 0 && a % each === 0 && b % each === 0);
        const expected = a === 0 && b === 0 ? 0 : largest;
        expect(greatestCommonDivisor(a, b)).toBe(expected);
      }),
    );
  });
});

describe('the sections that must be whole grooves', () => {
  const chains = fc.array(
    fc.array(fc.constantFrom('a', 'b', 'c', 'd'), { minLength: 1, maxLength: 4 }),
    { minLength: 1, maxLength: 3 },
  );

  it('are, for every chain, all but one that takes what is left; and no more than are needed', () => {
    fc.assert(
      fc.property(chains, (lists) => {
        const choices = pitchChoices(lists.map((sections, i) => ({ id: `${i}`, sections })));
        const leavesOne = (set: ReadonlySet<string>) =>
          lists.every((sections) => sections.filter((id) => !set.has(id)).length <= 1);
        for (const choice of choices) expect(leavesOne(choice)).toBe(true);
        // Whatever set leaves no chain more than one odd section contains a choice.
        const names = [...new Set<string>(lists.flat())];
        for (let bits = 0; bits < 2 ** names.length; bits++) {
          const set = new Set(names.filter((_, i) => (bits >> i) & 1));
          const isEnough = choices.some((choice) => [...choice].every((id) => set.has(id)));
          expect(isEnough).toBe(leavesOne(set));
        }
        // None contains another.
        for (const one of choices)
          for (const other of choices)
            if (one !== other) expect([...one].every((id) => other.has(id))).toBe(false);
      }),
    );
  });
});
