import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  inches,
  millimetres,
  planBox,
  stockPaper,
  usualRequest,
  verdictsOf,
  type PlanRequest,
} from '../index.ts';
import { anyRequest, sundial } from '../testing/requests.ts';

function said(request: PlanRequest): readonly string[] {
  const result = planBox(request);
  if (!result.ok) throw new Error(result.problems[0]?.message);
  return verdictsOf(result.plan, request).map(
    ({ text, state }) => `${state ?? ''}: ${text.join('')}`,
  );
}

function inCard(thickness: number): PlanRequest['papers'] {
  const card = { ...stockPaper('dusk'), thickness: millimetres(thickness) };
  return [card];
}

describe('the verdict', () => {
  const request = usualRequest(sundial, 'inch');

  it('answers what makers check, in the ruler that they read', () => {
    expect(said(request)).toEqual([
      'holds: The gift has about 5/64 in on each side',
      'holds: The lid slides on with 0.39 mm to spare',
      'holds: Every score is on a groove',
      ': Two sheets, 91% offcuts',
    ]);
    expect(said({ ...request, papers: inCard(0.3) }).at(-1)).toBe(
      ': One sheet, 80% offcuts, 1% waste',
    );
    expect(said({ ...request, unit: 'mm' })[0]).toBe(
      'holds: The gift has about 1.9 mm on each side',
    );
  });

  it('says what room was asked for where it is another one, and only there', () => {
    fc.assert(
      fc.property(anyRequest, (request) => {
        const result = planBox(request);
        if (!result.ok) return;
        // 1/64 in and 0.1 mm in nanometres.
        const step = request.unit === 'inch' ? 25_400_000 / 64 : 100_000;
        const isOther = (way: 'across' | 'deep' | 'high') =>
          Math.round(request.room[way].target / step) !== Math.round(result.plan.room[way] / step);
        const detail = verdictsOf(result.plan, request)[0]?.detail ?? '';
        const [given = '', asked = ''] = detail.split('You asked for');
        for (const [way, place] of [
          ['across', 'at the sides'],
          ['deep', 'at front and back'],
          ['high', 'over the top'],
        ] as const) {
          expect(given).toContain(place);
          expect(asked.includes(place)).toBe(isOther(way));
        }
      }),
    );
  });

  it('says it plainly when no lid fits, on the side that was chosen', () => {
    expect(said({ ...request, papers: inCard(0.4) })[1]).toBe(
      'care: The lid is loose, with 1.58 mm to spare',
    );
    expect(said({ ...request, papers: inCard(0.4), lean: 'tight' })[1]).toBe(
      'wrong: The lid is 0.01 mm too small',
    );
  });
});

describe('what is left of the sheets', () => {
  /** Millimetres of a sheet that is cut into pieces of one size. */
  const [width, height] = [304.8, 304.8];

  it('is all that the pieces don’t take: offcuts that are kept, and waste that is not', () => {
    fc.assert(
      fc.property(anyRequest, (request) => {
        const result = planBox(request);
        if (!result.ok) return;
        const { plan } = result;
        const sheets = plan.sheets.reduce((sum, use) => sum + use.sheets, 0);
        const used = plan.pieces.reduce((sum, { copies, grid }) => {
          const [across, down] = [grid.columns, grid.rows].map((sections) =>
            sections.reduce((total: number, each) => total + each / 1e6, 0),
          );
          return sum + (copies * (across ?? 0) * (down ?? 0)) / (width * height);
        }, 0);
        const [, count, left] = verdictsOf(plan, request).find(({ about }) => about === 'paper')
          ?.text ?? ['', '', ''];
        const words = 'One Two Three Four Five Six Seven Eight Nine Ten Eleven Twelve'.split(' ');
        expect(count).toBe(`${words[sheets - 1] ?? sheets} ${sheets === 1 ? 'sheet' : 'sheets'}`);
        const shares = [...left.matchAll(/, (\d+)% (?:offcuts|waste)/g)].map(([, n]) => Number(n));
        const said = shares.reduce((sum, share) => sum + share, 0);
        // Each of two figures is rounded by itself.
        expect(Math.abs(said - (1 - used / sheets) * 100)).toBeLessThanOrEqual(1);
      }),
    );
  });

  it('is waste where no tag an inch wide comes of it', () => {
    const [dusk] = inCard(0.3);
    const from = (inch: number): PlanRequest => ({
      ...usualRequest(sundial, 'inch'),
      papers: [{ ...dusk, sheet: { name: 'Square', width: inches(inch), height: inches(inch) } }],
    });
    // The base is 3 3/4 in square, the lid 3 9/16 in.
    expect(said(from(4.5)).at(-1)).toBe(': Two sheets, 34% waste');
    expect(said(from(5)).at(-1)).toBe(': Two sheets, 46% offcuts');
  });
});

describe('a score between grooves', () => {
  it('is counted, and said where to look', () => {
    // With walls of 2 in this base would be 12 1/8 in long; half a groove less brings it onto the sheet.
    const request: PlanRequest = {
      ...usualRequest(
        {
          shape: 'block',
          across: millimetres(203),
          deep: inches(3),
          high: millimetres(46.8),
        },
        'inch',
      ),
      papers: inCard(0.3),
    };
    const result = planBox(request);
    if (!result.ok) throw new Error(result.problems[0]?.message);
    const { plan } = result;
    expect(plan.offGrid).toBe(2);
    expect(verdictsOf(plan, request)[2]).toMatchObject({
      state: 'care',
      text: ['', 'Two scores', ' fall between grooves'],
    });
  });
});
