import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  allStyles,
  genericCornerBoards,
  genericDiagonalBoards,
  half,
  planBox,
  plus,
  times,
  type GapState,
  type Kit,
  type Paper,
  type PlanRequest,
  type PlanResult,
} from '../index.ts';
import { casesWanted } from '../testing/cases.ts';
import { inWords, requestsIn } from '../testing/requests.ts';

type Better = (request: PlanRequest) => PlanRequest;

function onKit(change: (kit: Kit) => Kit): Better {
  return (request) => ({ ...request, kit: change(request.kit) });
}

function larger(paper: Paper): Paper {
  const { sheet } = paper;
  const by = 1.2;
  return {
    ...paper,
    sheet: { ...sheet, width: times(sheet.width, by), height: times(sheet.height, by) },
  };
}

/** What a maker may get beside what they have; none of it takes anything away. */
const improvements: readonly (readonly [string, Better])[] = [
  [
    'a trimmer with marks between its marks',
    onKit((kit) => ({ ...kit, trimmer: { ...kit.trimmer, step: half(kit.trimmer.step) } })),
  ],
  [
    'a board with grooves between its grooves',
    onKit((kit) => ({ ...kit, board: { ...kit.board, pitch: half(kit.board.pitch) } })),
  ],
  [
    'a board that reaches further',
    onKit((kit) => ({
      ...kit,
      board: { ...kit.board, reach: plus(kit.board.reach, times(kit.board.pitch, 20)) },
    })),
  ],
  [
    'a shim',
    onKit((kit) => ({
      ...kit,
      board: { ...kit.board, shim: kit.board.shim ?? half(kit.board.pitch) },
    })),
  ],
  [
    'larger sheets',
    ({ papers: [first, ...rest], ...request }) => ({
      ...request,
      papers: [larger(first), ...rest.map(larger)],
    }),
  ],
];

/** Other tools are used in place of those before, so that a box may come out otherwise; but it comes out. */
const others: readonly (readonly [string, Better])[] = [
  ['every board and trimmer', onKit((kit) => ({ ...kit, without: [] }))],
  ['a scoring tip', onKit((kit) => ({ ...kit, trimmer: { ...kit.trimmer, scoringTip: true } }))],
  ...genericDiagonalBoards.map((board): readonly [string, Better] => [
    board.name,
    onKit((kit) => ({ ...kit, diagonalBoard: kit.diagonalBoard ?? board })),
  ]),
  ...genericCornerBoards.map((board): readonly [string, Better] => [
    board.name,
    onKit((kit) => ({ ...kit, cornerBoard: kit.cornerBoard ?? board })),
  ]),
];

const worstFirst: readonly GapState[] = ['tight', 'loose', 'holds'];

/** The worst fit of a plan, by rank. */
function fitOf(result: PlanResult): number {
  if (!result.ok) return -1;
  return Math.min(
    worstFirst.length - 1,
    ...result.plan.pairs.map(({ state }) => worstFirst.indexOf(state)),
  );
}

/**
 * The trays of a tower hang together with its wrapper and its cap, more than can be looked at to the end: there a
 * better fit may be missed among more marks, but no plan.
 */
const isLookedAtToTheEnd = (request: PlanRequest) => request.style.style !== 'tower';

// A figure is held to the nearest mark, which is another one on other tools.
const requests = requestsIn(allStyles.map(inWords));

describe('who gets better tools', () => {
  it.each(improvements)('is never worse off with %s', (_, improve) => {
    let planned = 0;
    fc.assert(
      fc.property(requests, (request) => {
        const before = planBox(request);
        if (!before.ok) return;
        planned++;
        const after = planBox(improve(request));
        expect(after.ok ? [] : after.problems).toEqual([]);
        if (isLookedAtToTheEnd(request)) expect(fitOf(after)).toBeGreaterThanOrEqual(fitOf(before));
      }),
      { numRuns: 200 },
    );
    expect(planned).toBeGreaterThanOrEqual(casesWanted(70));
  });

  it.each(others)('is never refused a box for having %s', (_, improve) => {
    fc.assert(
      fc.property(requests, (request) => {
        const before = planBox(request);
        if (!before.ok) return;
        const after = planBox(improve(request));
        expect(after.ok ? [] : after.problems).toEqual([]);
      }),
      { numRuns: 100 },
    );
  });
});
