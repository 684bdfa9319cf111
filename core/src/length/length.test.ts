import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  explainLengthFault,
  formatLength,
  formatWithUnit,
  inches,
  inchFraction,
  isOnGrid,
  markInWords,
  measureParts,
  millimetres,
  nanometres,
  parseLength,
  roundDown,
  roundToGrid,
  roundUp,
} from './index.ts';

const inchRuler = { unit: 'inch', step: inchFraction(1, 8) } as const;
const anyLength = fc.integer({ min: 1, max: 2_000_000_000 }).map(nanometres);

describe('typed lengths', () => {
  it.each([
    '4 7/8',
    '4-7/8',
    '4–7/8',
    '4⅞',
    '4 ⅞ in',
    '4 and 7/8',
    '4.875',
    '4,875',
    '4.875"',
    '4.875″',
    '4.875”',
    '39/8',
    ' 4 7⁄8 Inches ',
    '12.3825 cm',
    '123.825mm',
    '123,825 mm',
  ])('reads %s as 4 7/8 in', (text) => {
    expect(parseLength(text, 'inch')).toEqual({ ok: true, length: inches(4.875) });
  });

  it('takes a bare number in the current unit', () => {
    expect(parseLength('124', 'mm')).toEqual({ ok: true, length: millimetres(124) });
    expect(parseLength('.5', 'inch')).toEqual({ ok: true, length: inchFraction(1, 2) });
  });

  it.each([
    ['', 'empty'],
    ['   ', 'empty'],
    ['about four', 'not a length'],
    ['4 7/0', 'not a length'],
    ['4 7 8', 'not a length'],
    ['1.2.3', 'not a length'],
    ["4'", 'not a length'],
    ['4 yd', 'not a length'],
    ['1e3', 'not a length'],
    ['0', 'zero'],
    ['0/8 in', 'zero'],
    ['0.0000001 mm', 'zero'],
    ['-3', 'negative'],
    ['− 2 1/2', 'negative'],
    ['2001 mm', 'enormous'],
    ['999999999', 'enormous'],
  ] as const)('refuses “%s”: %s', (text, fault) => {
    expect(parseLength(text, 'inch')).toEqual({ ok: false, fault });
    expect(explainLengthFault(fault, 'inch')).toMatch(/\.$/);
  });

  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), fc.constantFrom('inch', 'mm'), (text, unit) => {
        const parsed = parseLength(text, unit);
        if (parsed.ok) expect(parsed.length).toBeGreaterThan(0);
      }),
    );
    fc.assert(
      fc.property(
        fc.stringMatching(/^[0-9 ./,-]{1,12}(in|mm|cm|")?$/),
        (text) => void parseLength(text, 'inch'),
      ),
    );
  });

  it('reads back every length that it writes without saying “not exact”', () => {
    const onRuler = fc.oneof(
      fc.integer({ min: 1, max: 4800 }).map((n) => inchFraction(n, 64)),
      fc.integer({ min: 1, max: 200_000 }).map((n) => nanometres(n * 10_000)),
    );
    fc.assert(
      fc.property(onRuler, fc.constantFrom('inch' as const, 'mm' as const), (length, unit) => {
        const parts = measureParts(length, unit);
        const exact = parts.kind === 'fraction' || parts.exact;
        expect(exact).toBe(unit === 'inch' || length % 100 === 0);
        for (const text of [formatLength(length, unit), formatWithUnit(length, unit)]) {
          const parsed = parseLength(text, unit);
          if (exact) expect(parsed).toEqual({ ok: true, length });
          else expect(Math.abs((parsed.ok ? parsed.length : 0) - length)).toBeLessThan(5001);
        }
      }),
    );
  });
});

describe('rounding to a grid', () => {
  it('lands on the grid, on the right side, within a step', () => {
    const step = fc.constantFrom(inchFraction(1, 16), inchFraction(1, 8), millimetres(0.5));
    fc.assert(
      fc.property(anyLength, step, (length, grid) => {
        const [down, near, up] = [roundDown, roundToGrid, roundUp].map((round) =>
          round(length, grid),
        );
        for (const each of [down, near, up]) expect(isOnGrid(each ?? length, grid)).toBe(true);
        expect(down).toBeLessThanOrEqual(length);
        expect(up).toBeGreaterThanOrEqual(length);
        expect((up ?? 0) - (down ?? 0)).toBe(isOnGrid(length, grid) ? 0 : grid);
        expect(Math.abs((near ?? 0) - length)).toBeLessThanOrEqual(grid / 2);
      }),
    );
  });
});

describe('marks in words', () => {
  it.each([
    ['3/4', 'the sixth small mark'],
    ['5', 'the 5'],
    ['4 7/8', 'one small mark before 5'],
    ['2 3/8', 'three small marks after 2'],
    ['3 1/2', 'halfway between 3 and 4'],
  ])('says where %s is', (text, words) => {
    const parsed = parseLength(text, 'inch');
    expect(parsed.ok && markInWords(parsed.length, inchRuler)).toBe(words);
  });

  it('says nothing of a length between two marks', () => {
    expect(markInWords(inchFraction(1, 16), inchRuler)).toBeUndefined();
    expect(markInWords(millimetres(25), { unit: 'mm', step: millimetres(5) })).toBe(
      'halfway between 20 and 30',
    );
  });

  it('leads back to the length by counting', () => {
    const numbers = ['zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight'];
    const ordinals = ['', 'first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh'];
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 96 }), (eighths) => {
        const words = markInWords(inchFraction(eighths, 8), inchRuler) ?? '';
        const [, count, side, figure] =
          /^(\w+) small marks? (before|after) (\d+)$/.exec(words) ?? [];
        const between = /^halfway between (\d+)/.exec(words);
        const counted = between
          ? Number(between[1]) * 8 + 4
          : count
            ? Number(figure) * 8 + numbers.indexOf(count) * (side === 'after' ? 1 : -1)
            : words.endsWith('small mark')
              ? ordinals.indexOf(words.split(' ')[1] ?? '')
              : Number(words.replace('the ', '')) * 8;
        expect(counted).toBe(eighths);
      }),
    );
  });
});
