import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { wordsAndFigures } from './words-and-figures.ts';

const figures = fc.constantFrom('3', '1/2', '2 5/16', '0.25', '13 1/4');
const sizes = fc
  .tuple(fc.array(figures, { minLength: 1, maxLength: 3 }), fc.constantFrom('', ' in', ' mm'))
  .map(([each, unit]) => each.join(' × ') + unit);
const words = fc.constantFrom('. Score at ', ', and ', ' of Dusk, ', ' as far as ');

describe('a sentence with figures', () => {
  it('keeps each size in one piece, its fractions apart, and loses nothing', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(words, sizes)), (row) => {
        const read = wordsAndFigures(row.flat().join(''));
        const textOf = ({ parts }: (typeof read)[number]) => parts.map(({ text }) => text).join('');
        expect(read.map(textOf).join('')).toBe(row.flat().join(''));
        expect(read.filter(({ isFigure }) => isFigure).map(textOf)).toEqual(
          row.map(([, size]) => size),
        );
        for (const { text, isFraction } of read.flatMap(({ parts }) => parts))
          expect(isFraction).toBe(text.includes('/'));
      }),
    );
  });
});
