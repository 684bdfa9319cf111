import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  allStyles,
  genericCornerBoards,
  genericDiagonalBoards,
  genericRulers,
  inches,
  inchFraction,
  millimetres,
  planBox,
  stockPaper,
  usualRequest,
  type Kit,
  type Paper,
  type PlanRequest,
  type Unit,
} from '../index.ts';
import { approvedBoxes, drawn } from '../testing/approved-boxes.ts';
import { printedJob } from '../testing/printed.ts';
import { anyChoiceOf, inWords, sundial } from '../testing/requests.ts';

/** The rulers of one unit. */
function usualRulers(unit: Unit): Pick<Kit, 'rulers'> {
  return { rulers: genericRulers.filter((ruler) => ruler.unit === unit) };
}

/*
 * What is told of a few boxes of each kind, as an editor has read and approved it. A changed sentence shows here;
 * read it aloud, and where it is right take it over with `npx vitest run --root . -u core/src/words/approved`.
 */
describe('what is told', () => {
  it.each(allStyles.map((style) => [style.id, style] as const))(
    'of a %s is as it was approved',
    async (id, style) => {
      const told = approvedBoxes(style).map(({ request, boxes }) => {
        const result = planBox(request);
        const many = `${boxes} ${boxes === 1 ? 'box' : 'boxes'}`;
        return `== ${many}\n${result.ok ? printedJob(result.plan, request, boxes) : 'refused\n'}`;
      });
      await expect(told.join('\n')).toMatchFileSnapshot(`approved/${id}.txt`);
    },
  );

  const lidded = usualRequest(sundial, 'inch');
  const [dusk, sodium] = [stockPaper('dusk'), stockPaper('sodium')];
  const thick = (paper: Paper) => ({ ...paper, thickness: millimetres(0.4) });
  const only = (...ids: readonly string[]) => ({
    adhesives: lidded.kit.adhesives.filter(({ id }) => ids.includes(id)),
  });
  const on = (kit: Partial<Kit>, request = lidded): PlanRequest => ({
    ...request,
    kit: { ...request.kit, ...kit },
  });
  /** Sheets so large, in inches. */
  const from = (width: number, height: number): PlanRequest['papers'] => {
    const name = `${width} × ${height} in`;
    return [{ ...dusk, sheet: { name, width: inches(width), height: inches(height) } }];
  };
  const [cornerBoard] = genericCornerBoards;
  const [diagonalBoard] = genericDiagonalBoards;
  const diamonds = allStyles.filter(({ id }) => id === 'diamond-wrap');
  const [wrap] = drawn(fc.oneof(...diamonds.map(inWords).map(anyChoiceOf)), {
    seed: 1_130,
    numRuns: 1,
  });
  if (!wrap) throw new Error('There are diamond wraps');

  it.each<[string, PlanRequest]>([
    ['tape alone', on(only('tape-1-4', 'tape-1-2'))],
    ['tape that is too wide', on(only('tape-1-2'))],
    ['glue alone', on(only('glue'))],
    ['nothing that sticks', on(only())],
    ['a lid that jams', { ...lidded, papers: [thick(dusk), thick(sodium)], lean: 'tight' }],
    ['a loose lid', { ...lidded, papers: [thick(dusk), thick(sodium)] }],
    ['sheets that are pieces', { ...lidded, papers: from(3.75, 3.75) }],
    ['sheets of two pieces', { ...lidded, papers: from(7.5, 3.75) }],
    ['sheets of two by two', { ...lidded, papers: from(7.5, 7.5) }],
    ['a corner punch board', on({ ...(cornerBoard && { cornerBoard }) })],
    [
      'a diagonal punch board',
      on({ ...(diagonalBoard && { diagonalBoard }) }, { ...lidded, style: wrap }),
    ],
    ['a ruler and a knife', on({ without: ['boards', 'trimmers'] })],
    [
      'a scoring tip',
      on({ without: ['boards'], trimmer: { ...lidded.kit.trimmer, scoringTip: true } }),
    ],
    ['a millimetre ruler', on({ without: ['boards', 'trimmers'], ...usualRulers('mm') })],
    ['a shim', on({ board: { ...lidded.kit.board, shim: inchFraction(1, 16) } })],
  ])('with %s is as it was approved', async (name, request) => {
    const result = planBox(request);
    if (!result.ok) throw new Error(result.problems[0]?.message);
    const told = printedJob(result.plan, request, 3);
    await expect(told).toMatchFileSnapshot(`approved/with ${name}.txt`);
  });
});
