import { describe, expect, it } from 'vitest';
import { allStyles } from '../index.ts';
import { frameFor } from '../planning/frame-for.ts';
import { problemOf } from '../planning/put-to-solver.ts';
import { drawn } from '../testing/approved-boxes.ts';
import { requestsIn } from '../testing/requests.ts';
import { componentsOf } from './components.ts';
import type { MarksProblem } from './marks-problem.ts';
import type { SearchAim } from './marks-search.ts';
import type { SearchGrid } from './partial-choice.ts';
import { searchOver, type Budget, type Found } from './search-over.ts';
import { clipToSheets } from './sheet-limits.ts';

const searches: readonly (readonly [SearchGrid, SearchAim, Budget])[] = [
  ['on grooves', 'best holding', { toFind: 1500, toImprove: 1500 }],
  ['on grooves', 'best', { toFind: 300, toImprove: 60 }],
  ['off grooves', 'any holding', { toFind: 100, toImprove: 100 }],
  ['off grooves', 'best', { toFind: 100, toImprove: 40 }],
];

/** What each search looks at, and what its best choice costs. */
function workOn(problem: MarksProblem): readonly string[] {
  const search = searchOver(problem);
  const told = ({ best, looked }: Found) =>
    `${looked} looked at, ${best ? Object.values(best.cost).join(' ') : 'nothing'}`;
  const onGrooves = search('on grooves', { toFind: 1500, toImprove: 1500 }, 'best');
  const improved = search('off grooves', { toFind: 300, toImprove: 300 }, 'best', onGrooves.best);
  return [
    ...searches.map(
      ([where, aim, budget]) => `  ${where}, ${aim}: ${told(search(where, budget, aim))}`,
    ),
    `  off grooves, from the best on them: ${told(improved)}`,
  ];
}

/*
 * A bound that leaves out too little finds the same marks, only later: this is how many choices the search looks
 * at for some boxes of each kind. Fewer are better; where the change is meant, take it over with
 * `npx vitest run --root . -u core/src/marks/search-over`.
 */
describe('the search over the marks', () => {
  it('looks at no more choices than it did', async () => {
    const lines = allStyles.flatMap((style) =>
      drawn(requestsIn([style]), { seed: 1_127, numRuns: 5 }).flatMap((request, nth) => {
        const answer = frameFor(request);
        if (!answer.ok) return [];
        const asked = problemOf(answer.frame, request);
        const whole = clipToSheets(asked);
        const parts = whole ? componentsOf(whole) : [];
        return parts.flatMap((part, i) => [
          `${style.id} ${nth + 1}, part ${i + 1}`,
          ...workOn(part),
        ]);
      }),
    );
    await expect(`${lines.join('\n')}\n`).toMatchFileSnapshot('approved/search.txt');
  });
});
