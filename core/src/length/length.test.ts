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

  it.each([
    ['½', 1, 2],
    ['⅓', 1, 3],
    ['⅔', 2, 3],
    ['¼', 1, 4],
    ['¾', 3, 4],
    ['⅕', 1, 5],
    ['⅖', 2, 5],
    ['⅗', 3, 5],
    ['⅘', 4, 5],
    ['⅙', 1, 6],
    ['⅚', 5, 6],
    ['⅛', 1, 8],
    ['⅜', 3, 8],
    ['⅝', 5, 8],
    ['⅞', 7, 8],
  ])('reads the sign %s by itself and after inches', (sign, over, under) => {
    expect(parseLength(sign, 'inch')).toEqual({ ok: true, length: inchFraction(over, under) });
    expect(parseLength(`12${sign}`, 'inch')).toEqual({
      ok: true,
      length: inchFraction(12 * under + over, under),
    });
  });

  it.each([
    ['in ins inch inches IN in. inches. " \u2033 \u201c \u201d', 25_400_000],
    ['mm millimetre millimetres millimeter millimeters MM mm.', 1_000_000],
    ['cm centimetre centimetres centimeter centimeters cm.', 10_000_000],
    ['m metre metres meter meters m.', 1_000_000_000],
  ])('knows the units %s', (spellings, size) => {
    for (const spelling of spellings.split(' '))
      for (const blank of ['', ' ', '\u00a0', '\u2009', '\u202f'])
        for (const unit of ['inch', 'mm'] as const)
          expect(parseLength(`1${blank}${spelling}`, unit), `1${blank}${spelling}`).toEqual({
            ok: true,
            length: size,
          });
  });

  it.each(["''", '\u2032\u2032', '\u2019\u2019', '\u2018\u2018'])(
    'reads 2%s as two inches',
    (sign) => {
      expect(parseLength(`2${sign}`, 'mm')).toEqual({ ok: true, length: inches(2) });
    },
  );

  it.each([
    '7/8',
    '7\u20448',
    '7\u22158',
    '7 / 8',
    '0 7/8',
    '0-7/8',
    '0 and 7/8',
    '0\u20117/8',
    '0\u22127/8',
  ])('reads %s as seven eighths', (text) => {
    expect(parseLength(text, 'inch')).toEqual({ ok: true, length: inchFraction(7, 8) });
  });

  it.each([
    'xin',
    'inx',
    '3 mmx',
    '3 xmm',
    '3 cmm',
    '3 mi',
    '3 metress',
    '4 and',
    'and 4',
    '4 and 7',
    '7/',
    '/8',
    '1,2,3',
    '4 7/8 2',
  ])('takes “%s” for no length', (text) => {
    expect(parseLength(text, 'inch')).toEqual({ ok: false, fault: 'not a length' });
  });

  it('is exact to the nanometre, and rounds what lies between to the nearer', () => {
    expect(parseLength('0.0000005 mm', 'mm')).toEqual({ ok: true, length: 1 });
    expect(parseLength('0.0000004 mm', 'mm')).toEqual({ ok: false, fault: 'zero' });
    expect(parseLength('1/3', 'inch')).toEqual({ ok: true, length: 8_466_667 });
    expect(parseLength('2/3 in', 'mm')).toEqual({ ok: true, length: 16_933_333 });
    expect(parseLength('2000 mm', 'inch')).toEqual({ ok: true, length: millimetres(2000) });
    expect(parseLength('2000.000001 mm', 'inch')).toEqual({ ok: false, fault: 'enormous' });
    expect(parseLength('12.', 'mm')).toEqual({ ok: true, length: millimetres(12) });
  });

  it.each([
    ['empty', 'Type a length, like 4 7/8 or 124 mm.', 'Type a length, like 124 or 4 7/8 in.'],
    [
      'not a length',
      'This is not a length. Type one like 4 7/8 or 124 mm.',
      'This is not a length. Type one like 124 or 4 7/8 in.',
    ],
    [
      'zero',
      'A length must be more than nothing. Type one like 4 7/8 or 124 mm.',
      'A length must be more than nothing. Type one like 124 or 4 7/8 in.',
    ],
    [
      'negative',
      'A length can’t be below zero. Leave out the minus.',
      'A length can’t be below zero. Leave out the minus.',
    ],
    ['enormous', 'That is over 78 in. Check the unit.', 'That is over 2000 mm. Check the unit.'],
  ] as const)('is told to be %s, with the way out', (fault, inInches, inMillimetres) => {
    expect(explainLengthFault(fault, 'inch')).toBe(inInches);
    expect(explainLengthFault(fault, 'mm')).toBe(inMillimetres);
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

  it.each([
    ['mm', 5, 5, 'the first small mark'],
    ['mm', 5, 10, 'the 10'],
    ['mm', 1, 9, '9 small marks'],
    ['mm', 1, 8, 'the eighth small mark'],
    ['mm', 1, 61, 'one small mark after 60'],
    ['mm', 1, 64, 'four small marks after 60'],
    ['mm', 1, 65, 'halfway between 60 and 70'],
    ['mm', 1, 66, 'four small marks before 70'],
    ['mm', 1, 69, 'one small mark before 70'],
    ['mm', 0.5, 24.5, '9 small marks after 20'],
    ['mm', 10, 40, 'the 40'],
    ['mm', 20, 40, 'the 40'],
  ] as const)('in %s of %d each, say where %d is', (unit, step, length, words) => {
    const said = markInWords(millimetres(length), { unit, step: millimetres(step) });
    expect(said).toBe(words === '9 small marks' ? 'one small mark before 10' : words);
  });

  it('say nothing of where the ruler begins', () => {
    expect(markInWords(nanometres(0), inchRuler)).toBeUndefined();
    expect(markInWords(inches(-1), inchRuler)).toBeUndefined();
    expect(markInWords(inchFraction(1, 8), inchRuler)).toBe('the first small mark');
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
