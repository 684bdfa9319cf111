import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyProblem, wholeLength } from '../testing/marks-problems.ts';
import { casesWanted } from '../testing/cases.ts';
import { allSections, Conflicts, type SectionSet } from './conflicts.ts';
import type { MarksProblem } from './marks-problem.ts';
import { MarksSearch, type SearchAim } from './marks-search.ts';
import type { SearchGrid } from './partial-choice.ts';
import { gatherForSearch } from './search-over.ts';
import { clipToSheets } from './sheet-limits.ts';

/** Holds every section guilty of everything, so that a search goes back one by one. */
class NothingToldApart extends Conflicts {
  override decidedBearingOn(): SectionSet {
    return allSections;
  }
}

interface Sought {
  readonly where: SearchGrid;
  readonly aim: SearchAim;
}

/** What the first order of a problem’s sections comes to at its best, and how many choices were looked at for it. */
function searchedWith(Told: typeof Conflicts, problem: MarksProblem, { where, aim }: Sought) {
  const {
    searched,
    orders: [order],
  } = gatherForSearch(problem);
  if (!order) throw new Error('There is nothing to decide.');
  const told = { ...searched, conflicts: new Told(problem, searched.index) };
  const budget = { left: 1e6, toImprove: 1e6, looked: 0 };
  const best = new MarksSearch(told, order, where, undefined, budget, aim).run();
  return { cost: best?.cost, looked: budget.looked };
}

describe('jumping back to what stands in the way', () => {
  it('leaves out nothing that going back one by one would find', () => {
    let jumped = 0;
    const sought = fc.record({
      where: fc.constantFrom<SearchGrid>('on grooves', 'off grooves'),
      aim: fc.constantFrom<SearchAim>('best holding', 'best leaning', 'best'),
    });
    fc.assert(
      fc.property(anyProblem, wholeLength(1, 9), sought, (asked, step, how) => {
        // Coarse marks leave a section nothing now and then that its range alone would leave something.
        const problem = clipToSheets({ ...asked, tools: { ...asked.tools, step } });
        if (!problem) return;
        const byOne = searchedWith(NothingToldApart, problem, how);
        const jumping = searchedWith(Conflicts, problem, how);
        expect(jumping.cost).toEqual(byOne.cost);
        expect(jumping.looked).toBeLessThanOrEqual(byOne.looked);
        if (jumping.looked < byOne.looked) jumped++;
      }),
      { numRuns: 3000 },
    );
    expect(jumped).toBeGreaterThanOrEqual(casesWanted(5));
  });
});
