import {
  cutSizeOf,
  inchFraction,
  planBox,
  usualRequest,
  type Gift,
  type Piece,
  type Plan,
} from '@rangoli/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formFor, mishapOf, scoresOf } from './mishap-form.ts';

const sundial: Gift = {
  shape: 'block',
  across: inchFraction(37, 16),
  deep: inchFraction(37, 16),
  high: inchFraction(9, 16),
};

function boxed(): { readonly plan: Plan; readonly base: Piece } {
  const result = planBox(usualRequest(sundial, 'inch'));
  const base = result.ok ? result.plan.pieces.find(({ id }) => id === 'base') : undefined;
  if (!result.ok || !base) throw new Error('The sundial has a box');
  return { plan: result.plan, base };
}

describe('the form for what went wrong', () => {
  const { plan, base } = boxed();

  it('says nothing while all is as planned, but that a tear is a tear', () => {
    expect(mishapOf(plan, formFor(plan, base, 'cut', 'inch'))).toBeUndefined();
    expect(mishapOf(plan, formFor(plan, base, 'score', 'inch'))).toBeUndefined();
    expect(mishapOf(plan, formFor(plan, base, 'torn', 'inch'))).toMatchObject({ piece: 'base' });
  });

  it('says what measures otherwise, and nothing else', () => {
    const sixteenths = fc.integer({ min: 1, max: 120 }).map((n) => inchFraction(n, 16));
    fc.assert(
      fc.property(sixteenths, sixteenths, (width, height) => {
        const form = { ...formFor(plan, base, 'cut', 'inch'), width, height };
        const size = cutSizeOf(base.grid);
        const isSame = width === size.width && height === size.height;
        expect(mishapOf(plan, form)).toEqual(
          isSame ? undefined : { kind: 'cut', piece: 'base', width, height },
        );
        const [score] = scoresOf(plan, 'base', 'inch');
        expect(mishapOf(plan, { ...form, kind: 'score', at: width })).toEqual(
          width === score?.reading
            ? undefined
            : { kind: 'score', piece: 'base', line: score?.line, at: width },
        );
      }),
    );
  });

  it('names every score by its reading and the edge that it is measured from', () => {
    expect(scoresOf(plan, 'base', 'inch').map(({ label }) => label)).toEqual([
      '5/8 from the left',
      '3 1/8 from the left',
      '5/8 from the top',
      '3 1/8 from the top',
    ]);
  });
});
