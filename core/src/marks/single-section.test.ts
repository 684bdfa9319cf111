import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { nanometres } from '../length/index.ts';
import { wholeLength } from '../testing/marks-problems.ts';
import { solveMarks } from './index.ts';
import type { MarksProblem } from './marks-problem.ts';

/** A plate with nothing to score, which may be as wide as high, on a sheet that it may not fit. */
const anyPlate = fc
  .record({
    least: wholeLength(3, 20),
    more: fc.tuple(fc.nat(6), fc.nat(6)),
    sides: fc.constantFrom(['across'], ['across', 'down']),
    sheet: fc.tuple(wholeLength(4, 30), wholeLength(4, 30)),
    mayTurn: fc.boolean(),
    step: wholeLength(1, 5),
  })
  .map(({ least, more, sides, sheet: [width, height], mayTurn, step }): MarksProblem => {
    const target = nanometres(least + more[0]);
    return {
      sections: [
        { id: 'side', least, target, most: nanometres(least + more[0] + more[1]), weight: 0.5 },
      ],
      chains: sides.map((id) => ({ id, sections: ['side'] })),
      fits: [],
      smaller: [],
      spans: [],
      limits: [{ across: 'across', down: 'down', width, height, mayTurn }],
      tools: { step, pitch: nanometres(7), reach: nanometres(1000), edges: 'both' },
      lean: 'loose',
    };
  });

describe('a piece with nothing to score', () => {
  it('is cut to the mark nearest to its size that its sheet holds, the smaller of two', () => {
    fc.assert(
      fc.property(anyPlate, (problem) => {
        const { sections, chains, limits, tools } = problem;
        const [section] = sections;
        const [sheet] = limits;
        if (!section || !sheet) throw new Error('There is nothing to cut.');
        const { least, target, most } = section;
        const fits = (size: number) => {
          const [x, y] = [size, chains.length > 1 ? size : 0];
          const isStraight = x <= sheet.width && y <= sheet.height;
          return isStraight || (sheet.mayTurn && x <= sheet.height && y <= sheet.width);
        };
        const marks = Array.from({ length: most - least + 1 }, (_, i) => least + i)
          .filter((size) => size % tools.step === 0 && fits(size))
          .sort((a, b) => Math.abs(a - target) - Math.abs(b - target) || a - b);
        const solution = solveMarks(problem);
        expect(solution?.sections.get('side')).toBe(marks[0]);
        if (solution)
          expect(solution.chains.map(({ cut }) => cut)).toEqual(chains.map(() => marks[0]));
      }),
    );
  });
});
