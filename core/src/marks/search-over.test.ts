import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { allStyles, planBox, type PlanRequest } from '../index.ts';
import { plus } from '../length/index.ts';
import { frameFor } from '../planning/frame-for.ts';
import { madeAsPlanned } from '../planning/made-as-planned.ts';
import { problemOf } from '../planning/put-to-solver.ts';
import { drawn } from '../testing/approved-boxes.ts';
import { casesWanted } from '../testing/cases.ts';
import { inWords, requestsIn, shippedKits } from '../testing/requests.ts';
import { componentsOf } from './components.ts';
import { noCost } from './marks-cost.ts';
import type { MarksProblem } from './marks-problem.ts';
import type { MarksSolution } from './marks-solution.ts';
import type { SearchAim } from './marks-search.ts';
import type { SearchGrid } from './partial-choice.ts';
import { onThenOff, searchOver, type Budget, type Found } from './search-over.ts';
import { clipToSheets } from './sheet-limits.ts';
import { solveMarks, solveMisfits, type Patience } from './solve-marks.ts';

const searches: readonly (readonly [SearchGrid, SearchAim, Budget])[] = [
  ['on grooves', 'best holding', { toFind: 1500, toImprove: 1500 }],
  ['on grooves', 'best', { toFind: 300, toImprove: 60 }],
  ['off grooves', 'any holding', { toFind: 100, toImprove: 100 }],
  ['off grooves', 'best', { toFind: 100, toImprove: 40 }],
  ['on grooves', 'best holding', { toFind: 5, toImprove: 2 }],
  ['off grooves', 'best', { toFind: 3, toImprove: 1 }],
];

/** What each search looks at, and what its best choice costs. */
function workOn(problem: MarksProblem): readonly string[] {
  const { search } = searchOver(problem);
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

const patiences: readonly Patience[] = ['thorough', 'holding', 'misfit', 'rough'];

/** What the whole problem comes to, solved with each patience, and solved again from a rough solution. */
function solutionsOf(problem: MarksProblem): readonly string[] {
  const told = (solution: MarksSolution | undefined) =>
    solution ? Object.values(solution.cost).join(' ') : 'nothing';
  const rough = solveMarks(problem, 'rough');
  const turned: MarksProblem = { ...problem, lean: problem.lean === 'tight' ? 'loose' : 'tight' };
  return [
    ...patiences.map((patience) => `  solved, ${patience}: ${told(solveMarks(problem, patience))}`),
    ...(rough ? [`  solved again: ${told(solveMisfits(problem, rough, 'misfit'))}`] : []),
    ...(rough ? [`  leaning otherwise: ${told(solveMisfits(turned, rough, 'holding'))}`] : []),
  ];
}

/** The same request when the first piece has been cut a step too long one way, and scored once each way. */
function withFirstPieceMade(request: PlanRequest): readonly PlanRequest[] {
  const result = planBox(request);
  const [piece] = result.ok ? result.plan.pieces : [];
  if (!result.ok || !piece) return [];
  const [across, down] = (['across', 'down'] as const).map((way) =>
    madeAsPlanned(result.plan, piece, way, ({ index }) => index === 1),
  );
  if (!across || !down) return [];
  const long = { ...across, cut: plus(across.cut, request.kit.trimmer.step) };
  return [{ ...request, made: [long, down] }];
}

/*
 * A bound that leaves out too little finds the same marks, only later: this is how many choices the search looks
 * at for some boxes of each kind. Fewer are better; where the change is meant, take it over with
 * `npx vitest run --root . -u core/src/marks/search-over`.
 */
describe('off the grooves', () => {
  const budget: Budget = { toFind: 9, toImprove: 5 };
  const few = fc.constantFrom(0, 0, 1, 2);

  it('is looked for only where the grooves alone can’t do it, from the best on them', () => {
    fc.assert(
      fc.property(
        fc.option(fc.record({ unfit: few, offGrid: few, shims: few }), { nil: undefined }),
        fc.constantFrom<SearchAim>('best', 'best holding', 'any holding'),
        fc.boolean(),
        fc.boolean(),
        (costs, aim, onRanOut, isAll) => {
          const onThem = costs && { values: [], chains: [], cost: { ...noCost, ...costs } };
          const offThem = { values: [1], chains: [], cost: noCost };
          const calls: unknown[] = [];
          const { best, ranOut } = onThenOff(
            (where, given, wanted, known) => {
              calls.push([where, given, wanted, known]);
              const isOn = where === 'on grooves';
              return { best: isOn ? onThem : offThem, looked: 1, ranOut: isOn === onRanOut, isAll };
            },
            budget,
            aim,
          );
          const holds = costs?.unfit === 0;
          const isDone =
            isAll ||
            (holds && (aim === 'any holding' || (costs.offGrid === 0 && costs.shims === 0)));
          expect(best).toBe(isDone ? onThem : offThem);
          expect(ranOut).toBe(isDone ? onRanOut : true);
          expect(calls).toEqual([
            ['on grooves', budget, aim, undefined],
            ...(isDone ? [] : [['off grooves', budget, aim, onThem]]),
          ]);
        },
      ),
    );
  });
});

/** As much as such a search can need. */
const plenty: Budget = { toFind: 3000, toImprove: 3000 };

/** What a search costs at its best, as far as it has one. */
function bestCost({ best }: Found) {
  return best && { ...best.cost };
}

describe('the search over the marks', () => {
  it('finds nothing off the grooves where it says that it has looked at all', () => {
    let seen = 0;
    const kits = fc.constantFrom(...shippedKits);
    fc.assert(
      fc.property(requestsIn(allStyles, kits), (request) => {
        const answer = frameFor(request);
        if (!answer.ok) return;
        const whole = clipToSheets(problemOf(answer.frame, request));
        for (const part of whole ? componentsOf(whole) : []) {
          const { search } = searchOver(part);
          for (const aim of ['best holding', 'best leaning', 'best'] as const) {
            const on = search('on grooves', plenty, aim);
            if (!on.isAll) continue;
            seen++;
            expect(bestCost(search('off grooves', plenty, aim, on.best))).toEqual(bestCost(on));
          }
        }
      }),
      { numRuns: 300 },
    );
    expect(seen).toBeGreaterThanOrEqual(casesWanted(15));
  });

  it.each(allStyles.map((style) => [style.id, style] as const))(
    'of a %s looks at no more choices than it did',
    async (id, style) => {
      const lines = drawn(requestsIn([inWords(style)]), { seed: 1_127, numRuns: 9 }).flatMap(
        (request, nth) =>
          [request, ...(nth < 4 ? withFirstPieceMade(request) : [])].flatMap((each) => {
            const answer = frameFor(each);
            if (!answer.ok) return [];
            const asked = problemOf(answer.frame, each);
            const whole = clipToSheets(asked);
            const parts = whole ? componentsOf(whole) : [];
            return [
              `box ${nth + 1}${each === request ? '' : ', its first piece made'}`,
              ...solutionsOf(asked),
              ...parts.flatMap((part, i) => [` part ${i + 1}`, ...workOn(part)]),
            ];
          }),
      );
      await expect(`${lines.join('\n')}\n`).toMatchFileSnapshot(`approved/${id}.txt`);
    },
  );
});
