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
import { sundial } from '../testing/requests.ts';

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
      'holds: Gift has about 5/64 in each side',
      'holds: Lid slides with a light tug, 0.39 mm',
      'holds: Every score is on a groove',
      ': 2 sheets, 91% offcuts and waste',
    ]);
    expect(said({ ...request, papers: inCard(0.3) }).at(-1)).toBe(
      ': 1 sheet, 81% offcuts and waste',
    );
    expect(said({ ...request, unit: 'mm' })[0]).toBe('holds: Gift has about 1.9 mm each side');
  });

  it('says it plainly when no lid fits, on the side that was chosen', () => {
    expect(said({ ...request, papers: inCard(0.4) })[1]).toBe('care: Lid is loose: 1.58 mm');
    expect(said({ ...request, papers: inCard(0.4), lean: 'tight' })[1]).toBe(
      'wrong: Lid jams: −0.01 mm',
    );
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
