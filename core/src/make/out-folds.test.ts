import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { allStyles, planBox, type Fold, type ScoreGrid } from '../index.ts';
import { drawGrid, mountain, rowScore, valley } from '../forms/index.ts';
import { millimetres } from '../length/index.ts';
import { casesWanted } from '../testing/cases.ts';
import { requestsIn } from '../testing/requests.ts';
import { outFolds } from './out-folds.ts';

const goesOut = ({ sense }: Fold) => sense === 'mountain';

/** The folds of a piece, told apart as a maker does: those that slant, and those of each line across and down. */
function foldsOf({ diagonals, lines }: ScoreGrid) {
  const made = (folds: readonly Fold[]) => folds.filter(({ angle }) => angle > 0);
  const on = (axis: 'row' | 'column') =>
    lines
      .filter((line) => line.axis === axis)
      .toSorted((a, b) => a.index - b.index)
      .map(({ index, spans }) => ({
        index,
        folds: made(spans.flatMap((span) => (span.make === 'score' ? [span.fold] : []))),
      }));
  return {
    slanting: made(diagonals.flatMap((each) => (each.make === 'score' ? [each.fold] : []))),
    across: on('row'),
    down: on('column'),
  };
}

describe('which folds go out', () => {
  it.each(allStyles.map((style) => [style.id, style] as const))(
    'is told of a %s as its card folds',
    (_, style) => {
      let pieces = 0;
      fc.assert(
        fc.property(requestsIn([style]), (request) => {
          const result = planBox(request);
          if (!result.ok) return;
          for (const piece of result.plan.pieces) {
            pieces++;
            const { slanting, across, down } = foldsOf(piece.grid);
            const straight = [...across, ...down].flatMap(({ folds }) => folds);
            const all = [...slanting, ...straight];
            const out = outFolds(piece);
            switch (out.kind) {
              case 'none':
                expect(all.some(goesOut)).toBe(false);
                break;
              case 'all':
                expect(all.length).toBeGreaterThan(0);
                expect(all.every(goesOut)).toBe(true);
                break;
              case 'slanting': {
                // Nothing is told of slanting scores where there are none.
                expect(slanting.length).toBeGreaterThan(0);
                expect(slanting.every(goesOut)).toBe(true);
                const first = across.filter(({ folds }) => folds.length > 0).slice(0, out.across);
                expect(first.map(({ index }) => index)).toEqual(first.map((__, i) => i + 1));
                expect(first.flatMap(({ folds }) => folds).every(goesOut)).toBe(true);
                const told = slanting.length + first.flatMap(({ folds }) => folds).length;
                expect(all.filter(goesOut)).toHaveLength(told);
                break;
              }
              case 'these':
                expect(out.lines.length).toBeGreaterThan(0);
                expect(out.lines.flatMap(({ places }) => places)).toHaveLength(
                  all.filter(goesOut).length,
                );
                break;
            }
          }
        }),
        { numRuns: 40 },
      );
      expect(pieces).toBeGreaterThanOrEqual(casesWanted(5));
    },
  );

  it('is told line by line where none slants', () => {
    const grid = drawGrid({
      columns: [millimetres(40)],
      rows: [millimetres(10), millimetres(30), millimetres(10)],
      picture: ['w', 'f', 'w'],
      lines: [rowScore(1, 0, 1, mountain(90, 0)), rowScore(2, 0, 1, valley(90, 0))],
    });
    const out = outFolds({ id: 'tray', name: 'Tray', paper: 0, copies: 1, grid });
    expect(out.kind).toBe('these');
  });
});
