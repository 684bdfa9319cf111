import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { millimetres, stockPaper, type Paper, type Side } from '../index.ts';
import { layOut, type SheetPiece } from '../make/index.ts';
import { casesWanted } from '../testing/cases.ts';
import { cardHoweverTurned } from './own-card.ts';

const sheet = { name: 'own', width: millimetres(210), height: millimetres(297) };

const paper = fc.boolean().map((hasWayUp): Paper => ({
  ...stockPaper('dusk'),
  ...{ print: hasWayUp ? 'one face' : 'plain', printRuns: 'one way', sheet },
}));

/** Pieces that go on their sheet in some way, most of them either way. */
const pieces = fc
  .array(
    fc.record({
      width: fc.integer({ min: 60, max: 230 }).map(millimetres),
      height: fc.integer({ min: 40, max: 209 }).map(millimetres),
      copies: fc.integer({ min: 1, max: 3 }),
    }),
    { minLength: 1, maxLength: 4 },
  )
  .map((sizes) => sizes.map((size, i): SheetPiece => ({ ...size, id: `piece-${i}`, paper: 0 })));

/** On its head a piece lies as it does upright. */
const sides: readonly Side[] = ['bottom', 'right'];

/** The same pieces in every way in which their prints may lie on the sheet. */
function everyWay(all: readonly SheetPiece[]): readonly (readonly SheetPiece[])[] {
  return all.reduce<readonly (readonly SheetPiece[])[]>(
    (before, piece) =>
      before.flatMap((those) =>
        sides.flatMap((printTop) => {
          const isTurned = printTop === 'right';
          const fits = (isTurned ? piece.height : piece.width) <= sheet.width;
          return fits ? [[...those, { ...piece, printTop }]] : [];
        }),
      ),
    [[]],
  );
}

describe('the card that pieces take however their prints are turned', () => {
  it('is told where every way of turning them takes as much, and only there', () => {
    const met = { told: 0, untold: 0 };
    fc.assert(
      fc.property(paper, pieces, (own, all) => {
        const uses = everyWay(all).map((way) => layOut(way, [own]));
        const sheets = uses.map((use) => use.reduce((sum, each) => sum + each.sheets, 0));
        const told = cardHoweverTurned(all, [own]);
        if (told) {
          met.told++;
          const used = all.reduce(
            (sum, { copies, width, height }) => sum + copies * width * height,
            0,
          );
          expect(told.used).toBeCloseTo(used / (sheet.width * sheet.height), 9);
          expect(new Set(sheets)).toEqual(new Set([told.sheets]));
        } else {
          met.untold++;
          expect(new Set(sheets).size).toBeGreaterThan(1);
        }
      }),
      { numRuns: 120 },
    );
    expect(Math.min(met.told, met.untold)).toBeGreaterThan(casesWanted(15));
  });
});
