import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { millimetres, nanometres } from '../length/index.ts';
import { tenthsBetween } from '../testing/lengths.ts';
import { solveMarks, type Fit, type MarksCost, type MarksProblem } from './index.ts';

/*
 * The independent search: it tries every value of every section on the finest grid that matters and
 * every score from either edge, and knows nothing of bounds, lattices or whole grooves. What a fit costs it reckons
 * from what makers say: a lid that can't go on is a thousand times worse than one that is as much too loose,
 * or the other way round, and one direction that holds makes up for 1.6 mm in the other.
 */

const slack = 1_600_000;

function unfitOf(
  fits: readonly Fit[],
  gaps: readonly number[],
  lean: MarksProblem['lean'],
): number {
  const [tight, loose] = lean === 'loose' ? [1000, 1] : [1, 1000];
  const each = fits.map(({ gap: { least, most } }, i) => {
    const gap = gaps[i] ?? 0;
    return {
      own: tight * Math.max(0, least - gap) + loose * Math.max(0, gap - most - slack),
      held: loose * Math.max(0, gap - most),
    };
  });
  const own = each.reduce((sum, fit) => sum + fit.own, 0);
  return each.length === 0 ? 0 : own + Math.min(...each.map(({ held }) => held));
}

/** Below zero when the first cost is better: fits before grooves, grooves before card. */
function compareCosts(one: MarksCost, other: MarksCost): number {
  const parts = ['unfit', 'offGrid', 'shims', 'turns', 'deviation', 'settings', 'size'] as const;
  const differs = parts.find((part) => one[part] !== other[part]);
  return differs ? one[differs] - other[differs] : 0;
}

const grain = 500_000;

function everyValue(problem: MarksProblem): readonly (readonly number[])[] {
  return problem.sections.reduce<readonly (readonly number[])[]>(
    (lists, { least, most }) => {
      const values: number[] = [];
      for (let value = Math.ceil(least / grain) * grain; value <= most; value += grain)
        values.push(value);
      return lists.flatMap((list) => values.map((value) => [...list, value]));
    },
    [[]],
  );
}

/** Every way to say of so many scores which are read from the first edge. */
function eitherWay(count: number): readonly (readonly boolean[])[] {
  return Array.from({ length: 2 ** count }, (_, way) =>
    Array.from({ length: count }, (__, i) => Math.floor(way / 2 ** i) % 2 === 0),
  );
}

function costOf(
  problem: MarksProblem,
  values: readonly number[],
  turns: 'one turn' | 'either edge',
): MarksCost | undefined {
  const { step, pitch, reach, shim, edges } = problem.tools;
  const at = (id: string) =>
    values[problem.sections.findIndex((section) => section.id === id)] ?? 0;
  const sums = new Map<string, number>();
  const figures = new Set<number>();
  let offGrid = 0;
  let shims = 0;
  let turnings = 0;
  for (const chain of problem.chains) {
    const sizes = chain.sections.map(at);
    const cut = sizes.reduce((sum, each) => sum + each, 0);
    if (chain.cut === undefined ? cut % step !== 0 : cut !== chain.cut) return undefined;
    sums.set(chain.id, cut);
    const starts = sizes
      .slice(0, -1)
      .map((_, i) => sizes.slice(0, i + 1).reduce((a, b) => a + b, 0));
    const readings = (from: readonly boolean[]) =>
      starts.map((start, i) => (from[i] || edges === 'first' ? start : cut - start));
    const turnedOnce = sizes.map((_, turn) => readings(starts.map((__, i) => i < turn)));
    const ways = turns === 'one turn' ? turnedOnce : eitherWay(starts.length).map(readings);
    const isOn = (groove: number) => groove <= reach && groove % pitch === 0;
    const isShimmed = (reading: number) =>
      !isOn(reading) && shim !== undefined && isOn(reading + shim);
    const shimsIn = (list: readonly number[]) => list.filter(isShimmed).length;
    const off = (list: readonly number[]) =>
      list.filter((reading) => !isOn(reading) && !isShimmed(reading)).length;
    const total = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);
    const [best = []] = [...ways].sort(
      (a, b) => off(a) - off(b) || shimsIn(a) - shimsIn(b) || total(a) - total(b),
    );
    offGrid += off(best);
    shims += shimsIn(best);
    // Turned once, as many are on grooves, or else the piece is turned for single scores.
    const once = turnedOnce.some((way) => off(way) === off(best) && shimsIn(way) === shimsIn(best));
    if (!once) turnings++;
    best.forEach((reading) => figures.add(reading));
  }
  const isMade = problem.spans.every(
    ({ sections, is }) => sections.map(at).reduce((a, b) => a + b, 0) === is,
  );
  if (!isMade) return undefined;
  if (problem.smaller.some(({ less, more, by }) => at(less) + by > at(more))) return undefined;
  for (const { across, down, width, height, mayTurn } of problem.limits) {
    const [x, y] = [sums.get(across) ?? 0, sums.get(down) ?? 0];
    if (!(x <= width && y <= height) && !(mayTurn && x <= height && y <= width)) return undefined;
  }
  const gaps = problem.fits.map((fit) => at(fit.outer) - at(fit.inner) - fit.layers);
  const ranges = problem.fits.map((fit) => fit.gap);
  return {
    unfit: unfitOf(problem.fits, gaps, problem.lean),
    offGrid,
    shims,
    turns: turnings,
    deviation:
      problem.sections.reduce(
        (sum, { target, weight }, i) => sum + weight * Math.abs((values[i] ?? 0) - target),
        0,
      ) + gaps.reduce((sum, gap, i) => sum + Math.abs(gap - (ranges[i]?.target ?? 0)), 0),
    settings: figures.size,
    size: [...sums.values()].reduce((a, b) => a + b, 0),
  };
}

/** Small problems: a tray with its lid, square or not, or a chain of four panels and a seam. */
const smallProblem: fc.Arbitrary<MarksProblem> = fc
  .record({
    wall: tenthsBetween(8, 12),
    across: tenthsBetween(20, 30),
    deep: tenthsBetween(20, 30),
    over: tenthsBetween(0.4, 2.4),
    step: fc.constantFrom(0.5, 1, 1.5),
    pitch: fc.constantFrom(1, 2, 2.5, 5),
    reach: fc.constantFrom(15, 300),
    sheet: tenthsBetween(40, 60),
    lean: fc.constantFrom('loose' as const, 'tight' as const),
    shape: fc.constantFrom('tray', 'square tray', 'tube'),
    shim: fc.constantFrom(undefined, undefined, 0.5, 1, 1.5),
    edges: fc.constantFrom('both' as const, 'both' as const, 'first' as const),
    made: fc.constantFrom('nothing', 'nothing', 'cut', 'scored'),
    off: fc.integer({ min: -2, max: 4 }),
  })
  .map(({ wall, across, deep, over, step, pitch, reach, sheet, lean, shape, ...more }) => {
    const { shim, edges, made, off } = more;
    // Cut a little off, or scored at the first mark a little off.
    const onGrain = (length: number) => nanometres((Math.round(length / grain) + off) * grain);
    const section = (id: string, target: number, weight: number, width: number) => ({
      id,
      least: nanometres(target - 1_000_000),
      target: nanometres(target),
      most: nanometres(target + width * 1_000_000),
      weight,
    });
    const common = {
      tools: {
        step: millimetres(step),
        pitch: millimetres(pitch),
        reach: millimetres(reach),
        edges,
        ...(shim !== undefined && { shim: millimetres(shim) }),
      },
      lean,
      smaller: [],
      fits: [],
    };
    if (shape === 'tube')
      return {
        ...common,
        sections: [
          section('w', across, 1, 3),
          section('d', deep, 1, 3),
          section('seam', wall, 0.25, 3),
        ],
        chains: [
          {
            id: 'tube',
            sections: ['w', 'd', 'w', 'd', 'seam'],
            ...(made === 'cut' && { cut: onGrain(2 * across + 2 * deep + wall) }),
          },
        ],
        spans: made === 'scored' ? [{ sections: ['w', 'd'], is: onGrain(across + deep) }] : [],
        limits: [],
      };
    const square = shape === 'square tray';
    const fit = (id: string, outer: string, inner: string, layers: number) => ({
      id,
      group: 'lid',
      outer,
      inner,
      innerTimes: 1,
      layers: millimetres(layers),
      gap: { least: millimetres(0.25), target: millimetres(0.45), most: millimetres(0.8) },
      slack: nanometres(slack),
    });
    const ways = square ? ['x', 'x'] : ['x', 'y'];
    return {
      ...common,
      sections: [
        section('wall', wall, 1, 2),
        section('base x', across, 1, 2),
        section('lid x', across + over, 0, 3),
        ...(square ? [] : [section('lid y', deep + over, 0, 3)]),
        ...(square ? [] : [section('base y', deep, 1, 2)]),
      ],
      chains: ['base', 'lid'].flatMap((piece) =>
        ways.map((way, i) => ({
          id: `${piece} ${i}`,
          sections: ['wall', `${piece} ${way}`, 'wall'],
          ...(made === 'cut' &&
            piece === 'base' && { cut: onGrain(2 * wall + (way === 'x' ? across : deep)) }),
        })),
      ),
      spans:
        made === 'scored' ? [{ sections: ['wall', 'base x'], is: onGrain(wall + across) }] : [],
      fits: [
        fit('one', 'lid x', 'base x', over / 1_000_000 - 0.45),
        fit('other', `lid ${ways[1] ?? 'x'}`, `base ${ways[1] ?? 'x'}`, over / 1_000_000),
      ],
      limits: [
        {
          across: 'base 0',
          down: 'base 1',
          width: sheet,
          height: millimetres(48),
          mayTurn: true,
        },
      ],
    };
  });

/** A tube that came off the marks: every score is on a groove where they are read from either edge by turns. */
const cutOffMarks: MarksProblem = {
  tools: {
    step: millimetres(1),
    pitch: millimetres(2),
    reach: millimetres(300),
    edges: 'both',
  },
  lean: 'loose',
  smaller: [],
  fits: [],
  sections: [
    {
      id: 'w',
      least: millimetres(28.1),
      target: millimetres(29.1),
      most: millimetres(32.1),
      weight: 1,
    },
    { id: 'd', least: millimetres(19), target: millimetres(20), most: millimetres(23), weight: 1 },
    {
      id: 'seam',
      least: millimetres(7),
      target: millimetres(8),
      most: millimetres(11),
      weight: 0.25,
    },
  ],
  chains: [{ id: 'tube', sections: ['w', 'd', 'w', 'd', 'seam'], cut: millimetres(106.5) }],
  spans: [],
  limits: [],
};

/** A tray that is scored at one mark, on a board whose grooves the trimmer's marks miss. */
const scoredBetweenMarks: MarksProblem = {
  tools: {
    step: millimetres(1.5),
    pitch: millimetres(1),
    reach: millimetres(300),
    edges: 'both',
  },
  lean: 'loose',
  smaller: [],
  fits: [0.85, 1.3].map((layers, i) => ({
    id: `fit ${i}`,
    group: 'lid',
    outer: 'lid x',
    inner: 'base x',
    innerTimes: 1,
    layers: millimetres(layers),
    gap: { least: millimetres(0.25), target: millimetres(0.45), most: millimetres(0.8) },
    slack: nanometres(slack),
  })),
  sections: [
    {
      id: 'wall',
      least: millimetres(9),
      target: millimetres(10),
      most: millimetres(12),
      weight: 1,
    },
    {
      id: 'base x',
      least: millimetres(19.3),
      target: millimetres(20.3),
      most: millimetres(22.3),
      weight: 1,
    },
    {
      id: 'lid x',
      least: millimetres(20.6),
      target: millimetres(21.6),
      most: millimetres(24.6),
      weight: 0,
    },
  ],
  chains: ['base', 'lid'].map((piece) => ({ id: piece, sections: ['wall', `${piece} x`, 'wall'] })),
  spans: [{ sections: ['wall', 'base x'], is: millimetres(32) }],
  limits: [
    {
      across: 'base',
      down: 'base',
      width: millimetres(43.5),
      height: millimetres(48),
      mayTurn: true,
    },
  ],
};

/** The part of a cost that says whether the box is good: what fits, and what is scored along a ruler. */
function toMake({ unfit, offGrid, shims }: MarksCost): MarksCost {
  return { unfit, offGrid, shims, turns: 0, deviation: 0, settings: 0, size: 0 };
}

describe('the marks solver', () => {
  it('is never worse than trying everything', () => {
    fc.assert(
      fc.property(smallProblem, (problem) => {
        // Turned once, to the last tenth of a millimetre; and fits and grooves with every score from either edge.
        let turnedOnce: MarksCost | undefined;
        let either: MarksCost | undefined;
        for (const values of everyValue(problem)) {
          const cost = costOf(problem, values, 'either edge');
          // Off the grooves a maker reads the trimmer's ruler.
          const readable = values.every((value) => value % problem.tools.step === 0);
          if (!cost || (cost.offGrid > 0 && !readable)) continue;
          if (!either || compareCosts(cost, either) < 0) either = toMake(cost);
          const once = costOf(problem, values, 'one turn');
          if (!once || (once.offGrid > 0 && !readable)) continue;
          if (!turnedOnce || compareCosts(once, turnedOnce) < 0) turnedOnce = once;
        }
        const solution = solveMarks(problem);
        const values = problem.sections.map(({ id }) => solution?.sections.get(id) ?? 0);
        // What it says that its choice costs is what the choice costs.
        if (solution) expect(costOf(problem, values, 'either edge')).toEqual(solution.cost);
        for (const best of [turnedOnce, either]) {
          if (!best) continue;
          expect(solution).toBeDefined();
          if (!solution) continue;
          const cost = best === either ? toMake(solution.cost) : solution.cost;
          expect(compareCosts(cost, best)).toBeLessThanOrEqual(0);
        }
      }),
      { numRuns: 90, examples: [[cutOffMarks], [scoredBetweenMarks]] },
    );
  });
});
