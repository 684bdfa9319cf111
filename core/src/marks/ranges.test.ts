import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { nanometres, type Length } from '../length/index.ts';
import { anyProblem, names, wholeLength } from '../testing/marks-problems.ts';
import { componentsOf } from './components.ts';
import { solveMarks } from './index.ts';
import { givenLengths, isSettled, spansOf } from './made-already.ts';
import { indexProblem } from './marks-index.ts';
import type { MarksProblem, Section } from './marks-problem.ts';
import { rangeRules } from './range-rules.ts';
import { SectionRanges } from './ranges.ts';
import { clipToSheets, longestChains } from './sheet-limits.ts';

type Values = ReadonlyMap<string, number>;

/** Every whole value of every section in its range. */
function* everyChoice(sections: readonly Section[]): Generator<Values> {
  const [first, ...rest] = sections;
  if (!first) {
    yield new Map();
    return;
  }
  for (const others of everyChoice(rest))
    for (let value: number = first.least; value <= first.most; value++)
      yield new Map([...others, [first.id, value]]);
}

const sumOf = (ids: readonly string[], values: Values) =>
  ids.reduce((sum, id) => sum + (values.get(id) ?? 0), 0);

/** Whether a choice keeps to everything that must hold, whatever the marks. */
function isPossible({ chains, limits, smaller, spans }: MarksProblem, values: Values): boolean {
  const at = (id: string) => values.get(id) ?? 0;
  const cutOf = (id: string) =>
    sumOf(chains.find((chain) => chain.id === id)?.sections ?? [], values);
  return (
    limits.every(({ across, down, width, height, mayTurn }) => {
      const [x, y] = [cutOf(across), cutOf(down)];
      return (x <= width && y <= height) || (mayTurn && x <= height && y <= width);
    }) &&
    smaller.every(({ less, more, by }) => at(less) + by <= at(more)) &&
    spans.every(({ sections, is }) => sumOf(sections, values) === is)
  );
}

describe('the range of a section', () => {
  it('holds every value with which a box is possible, whatever is decided before', () => {
    fc.assert(
      fc.property(anyProblem, fc.constantFrom(0, 1, 2, 3), fc.nat(), (problem, at, pick) => {
        const index = indexProblem(problem);
        const ranges = new SectionRanges(
          problem,
          rangeRules(index),
          problem.sections.map(() => 1),
        );
        const section = problem.sections[at];
        if (!section) return;
        const isAllowed = ranges.allow(Infinity);
        const value = section.least + (pick % (section.most - section.least + 1));
        const isLeft = isAllowed && ranges.decide(at, value);
        let any = false;
        for (const values of everyChoice(problem.sections)) {
          if (values.get(section.id) !== value || !isPossible(problem, values)) continue;
          any = true;
          problem.sections.forEach(({ id }, each) => {
            expect(values.get(id)).toBeGreaterThanOrEqual(ranges.leastOf(each));
            expect(values.get(id)).toBeLessThanOrEqual(ranges.mostOf(each));
          });
        }
        if (any) expect(isLeft).toBe(true);
        // Taken back, every section has the range that it had.
        if (!isAllowed) return;
        ranges.reopen();
        const fresh = new SectionRanges(
          problem,
          rangeRules(index),
          problem.sections.map(() => 1),
        );
        fresh.allow(Infinity);
        problem.sections.forEach((_, each) => {
          expect(ranges.leastOf(each)).toBe(fresh.leastOf(each));
          expect(ranges.mostOf(each)).toBe(fresh.mostOf(each));
        });
      }),
      { numRuns: 60 },
    );
  });

  it('of two that hang together ends where the other one ends', () => {
    const sections = [
      { id: 'less', least: nanometres(5), target: nanometres(8), most: nanometres(30), weight: 1 },
      { id: 'more', least: nanometres(9), target: nanometres(9), most: nanometres(20), weight: 1 },
    ];
    const problem: MarksProblem = {
      sections,
      chains: sections.map(({ id }) => ({ id, sections: [id] })),
      fits: [],
      smaller: [{ less: 'less', more: 'more', by: nanometres(2) }],
      limits: [],
      spans: [],
      tools: {
        step: nanometres(1),
        pitch: nanometres(1),
        reach: nanometres(100),
        edges: 'both',
      },
      lean: 'loose',
    };
    const rules = rangeRules(indexProblem(problem));
    const ranges = new SectionRanges(problem, rules, [1, 1]);
    expect(ranges.allow(Infinity)).toBe(true);
    expect([ranges.leastOf(0), ranges.mostOf(0)]).toEqual([5, 18]);
    expect([ranges.leastOf(1), ranges.mostOf(1)]).toEqual([9, 20]);
    expect(ranges.decide(0, 14)).toBe(true);
    expect([ranges.leastOf(1), ranges.mostOf(1)]).toEqual([16, 20]);
    ranges.reopen();
    expect(ranges.decide(1, 6)).toBe(false);
  });
});

describe('sheets', () => {
  it('cut down every range to what is left beside the others, and take nothing that is possible', () => {
    fc.assert(
      fc.property(anyProblem, (problem) => {
        const clipped = clipToSheets(problem);
        const longest = longestChains(problem);
        for (const { across, down, width, height, mayTurn } of problem.limits) {
          const [one, other] = [across, down].map((name) =>
            problem.chains.find(({ id }) => id === name),
          );
          const isSquare = String(one?.sections) === String(other?.sections);
          const either = isSquare
            ? Math.min(width, height)
            : mayTurn
              ? Math.max(width, height)
              : undefined;
          expect(longest.get(across)).toBe(either ?? width);
          expect(longest.get(down)).toBe(either ?? height);
        }
        if (problem.limits.length === 0) expect(clipped).toEqual(problem);
        for (const values of everyChoice(problem.sections)) {
          if (!isPossible({ ...problem, spans: [], smaller: [] }, values)) continue;
          if (!clipped) throw new Error('A box was possible');
          for (const { id, most } of clipped.sections)
            expect(values.get(id)).toBeLessThanOrEqual(most);
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe('two parts of a problem that share a sheet', () => {
  const side = wholeLength(3, 12);

  it('come to the best that the sheet holds, either way round where it may be turned', () => {
    fc.assert(
      fc.property(
        fc.record({ x: side, y: side, width: side, height: side, mayTurn: fc.boolean() }),
        ({ x, y, width, height, mayTurn }) => {
          const section = (id: string, target: Length): Section => ({
            id,
            least: nanometres(1),
            target,
            most: nanometres(14),
            weight: 1,
          });
          const fine = nanometres(1);
          const solution = solveMarks({
            sections: [section('x', x), section('y', y)],
            chains: [
              { id: 'across', sections: ['x'] },
              { id: 'down', sections: ['y'] },
            ],
            fits: [],
            smaller: [],
            spans: [],
            limits: [{ across: 'across', down: 'down', width, height, mayTurn }],
            tools: { step: fine, pitch: fine, reach: nanometres(99), edges: 'both' },
            lean: 'loose',
          });
          const off = (wide: number, high: number) => Math.max(0, x - wide) + Math.max(0, y - high);
          const straight = off(width, height);
          const best = mayTurn ? Math.min(straight, off(height, width)) : straight;
          expect(solution?.cost.deviation).toBe(best);
          const [wide = 0, high = 0] = ['x', 'y'].map((id) => solution?.sections.get(id));
          const isOn =
            (wide <= width && high <= height) || (mayTurn && wide <= height && high <= width);
          expect(isOn).toBe(true);
        },
      ),
    );
  });
});

describe('parts of a problem that bear on nothing else', () => {
  it('are found whole: each section, chain and fit in one of them, and nothing that ties two', () => {
    fc.assert(
      fc.property(anyProblem, (problem) => {
        const parts = componentsOf(problem);
        const ids = parts.flatMap(({ sections }) => sections.map(({ id }) => id));
        expect([...ids].sort()).toEqual([...names]);
        const partOf = (id: string) =>
          parts.findIndex(({ sections }) => sections.some((each) => each.id === id));
        const ties = [
          ...problem.chains.map(({ sections }) => sections),
          ...problem.fits.map(({ outer, inner }) => [outer, inner]),
          ...problem.smaller.map(({ less, more }) => [less, more]),
        ];
        for (const tie of ties) expect(new Set(tie.map(partOf)).size).toBe(1);
        for (const kind of ['chains', 'fits', 'smaller'] as const)
          expect(parts.flatMap((part): readonly unknown[] => part[kind])).toHaveLength(
            problem[kind].length,
          );
        // Sections that nothing ties together are in parts of their own.
        const merged = new Map(names.map((name): [string, string] => [name, name]));
        for (const tie of names.flatMap(() => ties)) {
          const least = [...tie.map((id) => merged.get(id) ?? id)].sort()[0] ?? '';
          for (const id of tie) merged.set(id, least);
        }
        expect(parts).toHaveLength(new Set(merged.values()).size);
      }),
    );
  });
});

describe('what is made already', () => {
  it('is every length that is given: settled sections, cuts, spans and the shim', () => {
    fc.assert(
      fc.property(anyProblem, wholeLength(20, 80), wholeLength(1, 4), (asked, cut, shim) => {
        const problem: MarksProblem = {
          ...asked,
          chains: asked.chains.map((chain, i) => (i === 0 ? { ...chain, cut } : chain)),
          tools: { ...asked.tools, shim },
        };
        const settled = problem.sections.filter(({ least, most }) => least === most);
        for (const section of problem.sections)
          expect(isSettled(section)).toBe(settled.includes(section));
        expect([...givenLengths(problem)].sort()).toEqual(
          [
            ...settled.map(({ least }) => least),
            cut,
            ...problem.spans.map(({ is }) => is),
            shim,
          ].sort(),
        );
        expect(spansOf(problem)).toEqual([
          ...problem.spans,
          { sections: problem.chains[0]?.sections, is: cut },
        ]);
      }),
    );
  });

  it('has a box round it wherever some sizes on the trimmer’s marks come to one', () => {
    fc.assert(
      fc.property(anyProblem, (problem) => {
        const { step } = problem.tools;
        const isOnMarks = (values: Values) =>
          [...values.values()].every((value) => value % step === 0);
        for (const values of everyChoice(problem.sections)) {
          if (!isOnMarks(values) || !isPossible(problem, values)) continue;
          expect(solveMarks(problem)).toBeDefined();
          return;
        }
      }),
      { numRuns: 200 },
    );
  });

  it('comes out of the solver as it is, and everything else holds round it', () => {
    fc.assert(
      fc.property(anyProblem, (problem) => {
        const solution = solveMarks(problem);
        if (!solution) return;
        const values = new Map<string, number>(solution.sections);
        expect(isPossible(problem, values)).toBe(true);
        for (const { id, least, most } of problem.sections) {
          expect(values.get(id)).toBeGreaterThanOrEqual(least);
          expect(values.get(id)).toBeLessThanOrEqual(most);
        }
        for (const { id, sections } of problem.chains) {
          const chain = solution.chains.find((each) => each.id === id);
          expect(chain?.cut).toBe(sumOf(sections, values));
          expect((chain?.cut ?? 0) % problem.tools.step).toBe(0);
        }
        for (const { id, outer, inner, innerTimes, layers } of problem.fits)
          expect(solution.gaps.get(id)).toBe(
            Math.round((values.get(outer) ?? 0) - innerTimes * (values.get(inner) ?? 0) - layers),
          );
      }),
      { numRuns: 300 },
    );
  });
});
