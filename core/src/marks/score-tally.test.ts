import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { nanometres, type Length } from '../length/index.ts';
import { wholeLength } from '../testing/marks-problems.ts';
import { readChain } from './readings.ts';
import { tallyScores } from './score-tally.ts';

/** How a maker could read a chain who turns it once at the most: how many scores each way of doing so spoils. */
function spoiltTurnedOnce(sections: readonly Length[], worth: (position: number) => number) {
  const cut = sections.reduce((sum, size) => sum + size, 0);
  const positions = sections.slice(0, -1).map((_, i) => {
    return sections.slice(0, i + 1).reduce((sum, size) => sum + size, 0);
  });
  const best = positions.map((at) => Math.max(worth(at), worth(cut - at)));
  const spoilt = [...positions, cut].map(
    (_, turn) =>
      positions.filter((at, i) => worth(i < turn ? at : cut - at) < (best[i] ?? 0)).length,
  );
  return Math.min(...spoilt);
}

describe('the tally of scores', () => {
  it('counts what reading them would tell, and the chains that one turn can’t read as well', () => {
    const chain = fc.array(wholeLength(1, 14), { minLength: 1, maxLength: 6 });
    fc.assert(
      fc.property(
        fc.tuple(chain, chain),
        wholeLength(2, 5),
        wholeLength(5, 40),
        fc.option(wholeLength(1, 2), { nil: undefined }),
        fc.constantFrom('both' as const, 'first' as const),
        fc.integer({ min: 1, max: 3 }),
        (lists, pitch, reach, shim, edges, copies) => {
          const tools = {
            step: nanometres(1),
            pitch,
            reach,
            edges,
            ...(shim !== undefined && { shim }),
          };
          const scores = lists.flatMap((list) => readChain('any', list, tools).scores);
          const worth = (at: number) => {
            if (at <= reach && at % pitch === 0) return 2;
            const isShimmed = shim !== undefined && at + shim <= reach && (at + shim) % pitch === 0;
            return isShimmed ? 1 : 0;
          };
          const [first] = lists;
          const tally = tallyScores(
            lists.map((list, i) => ({
              ids: Array.from({ length: copies }, (_, copy) => `${i} ${copy}`),
              sections: list.map((_, at) => i * first.length + at),
              longest: Infinity,
              cut: undefined,
            })),
            lists.flat(),
            tools,
          );
          expect(tally).toEqual({
            offGrid: copies * scores.filter(({ onGroove }) => !onGroove).length,
            shims: copies * scores.filter(({ shimmed }) => shimmed).length,
            turns:
              edges === 'first'
                ? 0
                : copies * lists.filter((list) => spoiltTurnedOnce(list, worth) > 0).length,
          });
        },
      ),
    );
  });
});
