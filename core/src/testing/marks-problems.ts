import fc from 'fast-check';
import { nanometres, zero, type Length } from '../length/index.ts';
import type { MarksProblem, Section } from '../marks/index.ts';

/** A whole number of nanometres: little problems are counted in those. */
export const wholeLength = (least: number, most: number): fc.Arbitrary<Length> =>
  fc.integer({ min: least, max: most }).map(nanometres);

/** What the sections of little problems are called. */
export const names = ['a', 'b', 'c', 'd'] as const;

const anySection = (id: string): fc.Arbitrary<Section> =>
  fc
    .record({
      least: wholeLength(3, 20),
      target: fc.nat(4),
      most: fc.nat(9),
      weight: fc.constantFrom(0, 1),
    })
    .map(({ least, target, most, weight }) => ({
      id,
      least,
      target: nanometres(least + target),
      most: nanometres(least + Math.max(target, most)),
      weight,
    }));

type Pair = readonly [string, string];

const some = fc.array(fc.constantFrom(...names), { minLength: 1, maxLength: 3 });

/** Little problems of every shape: sections tied by fits, by order, by sheets and by what is made. */
export const anyProblem: fc.Arbitrary<MarksProblem> = fc
  .record({
    sections: fc.tuple(...names.map(anySection)),
    across: some,
    down: some,
    pair: fc.option(fc.constantFrom<Pair[]>(['a', 'b'], ['b', 'c'], ['c', 'a']), {
      nil: undefined,
    }),
    times: fc.constantFrom(1, 2, Math.SQRT2),
    layers: wholeLength(0, 3),
    slack: wholeLength(0, 2),
    gap: fc.tuple(fc.nat(3), fc.nat(3), fc.nat(3)),
    smaller: fc.option(fc.constantFrom<Pair[]>(['a', 'd'], ['d', 'b']), { nil: undefined }),
    by: wholeLength(0, 3),
    // A sheet holds a piece at its least, just so or with some room; now and then it does not.
    wider: fc.integer({ min: -2, max: 14 }),
    higher: fc.integer({ min: -2, max: 14 }),
    isTurned: fc.boolean(),
    mayTurn: fc.boolean(),
    hasSheet: fc.boolean(),
    scored: fc.option(fc.integer({ min: 1, max: 2 }), { nil: undefined }),
    is: wholeLength(8, 60),
    step: wholeLength(1, 3),
    pitch: wholeLength(1, 5),
    lean: fc.constantFrom('loose' as const, 'tight' as const),
  })
  .map(({ sections, across, down, pair, times, layers, slack, gap, smaller, by, ...more }) => {
    const [least, target, most] = [gap[0], gap[0] + gap[1], gap[0] + gap[1] + gap[2]];
    const { wider, higher, isTurned, mayTurn, hasSheet, scored, is, step, pitch, lean } = more;
    const leastOf = (ids: readonly string[]) =>
      ids.reduce((sum, id) => sum + (sections.find((each) => each.id === id)?.least ?? 0), 0);
    const sides = [leastOf(across) + wider, leastOf(down) + higher].map(nanometres);
    const [width = zero, height = zero] = isTurned ? sides.reverse() : sides;
    return {
      sections,
      chains: [
        { id: 'across', sections: across },
        { id: 'down', sections: down },
      ],
      fits:
        pair === undefined
          ? []
          : [
              {
                id: 'fit',
                group: 'lid',
                outer: pair[0],
                inner: pair[1],
                innerTimes: times,
                layers,
                gap: {
                  least: nanometres(least),
                  target: nanometres(target),
                  most: nanometres(most),
                },
                slack,
              },
            ],
      smaller: smaller === undefined ? [] : [{ less: smaller[0], more: smaller[1], by }],
      limits: hasSheet ? [{ across: 'across', down: 'down', width, height, mayTurn }] : [],
      // What is scored already comes to a length from the first edge on.
      spans: scored === undefined ? [] : [{ sections: across.slice(0, scored), is }],
      tools: { step, pitch, reach: nanometres(1000), edges: 'both' as const },
      lean,
    };
  });
