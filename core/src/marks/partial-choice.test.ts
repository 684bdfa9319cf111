import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { nanometres } from '../length/index.ts';
import { anyProblem, wholeLength } from '../testing/marks-problems.ts';
import type { MarksProblem } from './marks-problem.ts';
import { PartialChoice, type SearchGrid } from './partial-choice.ts';
import { gatherForSearch } from './search-over.ts';

/** Nothing decided yet, with the first way of choosing the sections that are whole grooves. */
function open(problem: MarksProblem, where: SearchGrid) {
  const {
    searched,
    orders: [order],
  } = gatherForSearch(problem);
  if (!order) throw new Error('There is nothing to decide.');
  const choice = new PartialChoice(searched, order, where);
  choice.allow(Infinity);
  return { choice, order };
}

/** A little problem whose first chain may be cut already, with a number for each section. */
const anyCase = fc.record({
  problem: fc
    .tuple(anyProblem, fc.option(wholeLength(15, 70), { nil: undefined }), fc.boolean())
    .map(([problem, cut, isPlain]): MarksProblem => ({
      ...problem,
      // Nothing is made, and on the finest marks every length is on them: only the sheet is in the way.
      ...(isPlain && {
        tools: { ...problem.tools, step: nanometres(1), pitch: nanometres(1) },
        spans: [],
        smaller: [],
      }),
      chains: problem.chains.map((chain, i) =>
        i === 0 && cut !== undefined && !isPlain ? { ...chain, cut } : chain,
      ),
    })),
  picks: fc.array(fc.nat(30), { minLength: 4, maxLength: 4 }),
  first: fc.shuffledSubarray([0, 1, 2, 3]),
  where: fc.constantFrom<SearchGrid>('on grooves', 'off grooves'),
});

/** Lengths that are made already, told section by section. */
function madeLengths({ chains, spans }: MarksProblem) {
  return [
    ...spans,
    ...chains.flatMap(({ sections, cut }) => (cut === undefined ? [] : [{ sections, is: cut }])),
  ];
}

describe('a choice that is made in part', () => {
  it('knows what is left to a section of which all the rest is made, and of no other', () => {
    fc.assert(
      fc.property(anyCase, ({ problem, picks, first, where }) => {
        const { choice } = open(problem, where);
        const decided = new Map<string, number>();
        for (const at of first.slice(0, 3)) {
          const section = problem.sections[at];
          const value = (section?.least ?? 0) + (picks[at] ?? 0);
          if (section) decided.set(section.id, value);
          choice.decide(at, value);
        }
        problem.sections.forEach(({ id, least, most }, at) => {
          if (decided.has(id)) return;
          const left = madeLengths(problem).flatMap(({ sections, is }) => {
            const others = sections.filter((each) => each !== id);
            if (others.length === sections.length) return [];
            if (!others.every((each) => decided.has(each))) return [];
            const rest = is - others.reduce((sum, each) => sum + (decided.get(each) ?? 0), 0);
            return [rest / (sections.length - others.length)];
          });
          const made = choice.madeAlready(at);
          if (least === most) expect(made).toBe(least);
          else if (left.length === 0) expect(made).toBeUndefined();
          else expect(left).toContain(made);
          if (made !== undefined) expect(choice.latticeOf(at)).toEqual({ residue: made, step: 0 });
        });
      }),
    );
  });

  it('once all is decided, stands only on its sheet, on the trimmer’s marks and as it was made', () => {
    fc.assert(
      fc.property(anyCase, ({ problem, picks, where }) => {
        const { choice } = open(problem, where);
        const values = new Map<string, number>(
          problem.sections.map(({ id, least, most }, i) => [
            id,
            least + ((picks[i] ?? 0) % (most - least + 1)),
          ]),
        );
        const isLeft = problem.sections.every(({ id }, at) =>
          choice.decide(at, values.get(id) ?? 0),
        );
        const sumOf = (ids: readonly string[]) =>
          ids.reduce((sum, id) => sum + (values.get(id) ?? 0), 0);
        const cuts = problem.chains.map(({ sections }) => sumOf(sections));
        const [across = 0, down = 0] = cuts;
        const isOnSheet = problem.limits.every(
          ({ width, height, mayTurn }) =>
            (across <= width && down <= height) || (mayTurn && across <= height && down <= width),
        );
        const isOnMarks = problem.chains.every(
          ({ cut }, i) => cut !== undefined || (cuts[i] ?? 0) % problem.tools.step === 0,
        );
        const isAsMade = madeLengths(problem).every(({ sections, is }) => sumOf(sections) === is);
        const isInOrder = problem.smaller.every(
          ({ less, more, by }) => (values.get(less) ?? 0) + by <= (values.get(more) ?? 0),
        );
        if (isLeft) expect([isOnSheet, isOnMarks, isAsMade]).toEqual([true, true, true]);
        // Ranges are rounded to the marks, so only what stands on them all is sure to be left.
        const isOnAll = [...values.values()].every((value) =>
          [problem.tools.step, problem.tools.pitch].every((step) => value % step === 0),
        );
        if (isOnAll && isOnSheet && isOnMarks && isAsMade && isInOrder) expect(isLeft).toBe(true);
      }),
      { numRuns: 1000 },
    );
  });
});
