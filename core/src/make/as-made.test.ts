import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  allStyles,
  cutSizeOf,
  genericDiagonalBoards,
  genericCornerBoards,
  gridPositions,
  justCut,
  afterOperation,
  paperFor,
  planBox,
  planJob,
  seen,
  type AsMade,
  type Cutout,
  type FlatOperation,
  type Piece,
  type PlanRequest,
  type ScoreGrid,
} from '../index.ts';
import { casesWanted } from '../testing/cases.ts';
import { requestsIn } from '../testing/requests.ts';
import { asDrawn } from './lying.ts';

/** A piece after each of its operations, as they come in the job. */
function historyOf(request: PlanRequest): readonly {
  readonly piece: Piece;
  readonly made: readonly AsMade[];
  readonly done: readonly FlatOperation[];
}[] {
  const result = planBox(request);
  if (!result.ok) return [];
  const job = planJob(result.plan, request, { boxes: 1 });
  return result.plan.pieces.map((piece) => {
    const done = job.steps.flatMap((step) =>
      step.kind === 'flat' && step.piece === piece.id ? step.operations : [],
    );
    const made = [justCut(piece, paperFor(request.papers, piece.paper))];
    for (const operation of done) {
      const last = made.at(-1);
      if (last) made.push(afterOperation(last, piece, operation));
    }
    return { piece, made, done };
  });
}

/** Where a place of a grid is, in nanometres. */
function placeOf({ columns, rows }: ScoreGrid, { column, row }: { column: number; row: number }) {
  const along = (sections: readonly number[], at: number) => {
    const whole = Math.floor(at);
    const before = sections.slice(0, whole).reduce((sum, each) => sum + each, 0);
    return before + (at - whole) * (sections[whole] ?? 0);
  };
  return { x: along(columns, column), y: along(rows, row) };
}

const kindsOf = (made: AsMade) =>
  seen(made, asDrawn).traces.map(({ kind, spots }) => `${kind} ${JSON.stringify(spots)}`);

describe('a piece in the making', () => {
  it('has at first nothing on it, at last all that is planned, and loses nothing on the way', () => {
    fc.assert(
      fc.property(requestsIn(allStyles), (request) => {
        for (const { piece, made } of historyOf(request)) {
          const [first] = made;
          const last = made.at(-1);
          if (!first || !last) return;
          expect(kindsOf(first).filter((each) => !each.startsWith('print'))).toEqual([]);
          expect(cutSizeOf(last.grid)).toEqual(cutSizeOf(piece.grid));
          const { grid } = last;
          // Every fold and slit of the plan is there, along its whole length.
          for (const { axis, index, spans } of piece.grid.lines)
            for (const { make, from, to } of spans)
              for (let cell = from; cell < to; cell++) {
                const here = grid.lines
                  .find((line) => line.axis === axis && line.index === index)
                  ?.spans.find((span) => span.from <= cell && cell < span.to);
                expect(here?.make, `${piece.id} ${axis} ${index}`).toBe(make);
              }
          expect(grid.tapers).toHaveLength(piece.grid.tapers.length);
          // Less than a ruler shows is not trimmed off.
          const takesSome = (cutout: Cutout) => {
            if (cutout.shape !== 'trim') return true;
            const ys = cutout.corners.map(({ y }) => y);
            return Math.max(...ys) - Math.min(...ys) > 500_000;
          };
          expect(grid.cutouts.filter(takesSome)).toHaveLength(
            piece.grid.cutouts.filter(takesSome).length,
          );
          expect(grid.diagonals.length).toBeGreaterThanOrEqual(piece.grid.diagonals.length);
          // What has been made stays: cells, scores and cutouts only grow in number.
          for (const [i, now] of made.entries()) {
            const before = made[i - 1];
            if (!before) continue;
            for (const part of ['tapers', 'cutouts', 'diagonals'] as const)
              expect(now.grid[part].length).toBeGreaterThanOrEqual(before.grid[part].length);
            expect(now.runs.length).toBeGreaterThanOrEqual(before.runs.length);
            expect(now.slits.length).toBeGreaterThanOrEqual(before.slits.length);
            expect(now.notches.length).toBeGreaterThanOrEqual(before.notches.length);
          }
        }
      }),
      { numRuns: 80 },
    );
  });

  it('has on a diagonal punch board a notch at each end of each line, on the edge of the sheet', () => {
    let seenSheets = 0;
    const [diagonalBoard] = genericDiagonalBoards;
    const wraps = requestsIn(allStyles.filter(({ id }) => id === 'diamond-wrap'));
    fc.assert(
      fc.property(wraps, (request) => {
        if (!diagonalBoard) return;
        for (const { piece, made, done } of historyOf({
          ...request,
          kit: { ...request.kit, diagonalBoard },
        })) {
          const last = made.at(-1);
          if (piece.punchBoard !== 'diagonal' || !last) continue;
          seenSheets++;
          const { width, height } = cutSizeOf(piece.grid);
          const onEdge = ({ x, y }: { x: number; y: number }) =>
            x === 0 || y === 0 || x === width || y === height;
          // The two marks of each side are the corners of the floor, seen from there.
          const [first = 0, second = 0] = gridPositions(piece.grid.columns).slice(1, 3);
          const wanted = [first, second].flatMap((at) => [
            [at, 0],
            [0, at],
            [width - at, height],
            [width, height - at],
          ]);
          expect(last.notches.every(onEdge)).toBe(true);
          const found = last.notches.map(({ x, y }) => [x, y]);
          for (const notch of wanted) expect(found).toContainEqual(notch);
          expect(found).toHaveLength(8);
          // Before the turns only the first side is punched, mark by mark.
          const punched = done.findIndex(({ kind }) => kind === 'punch');
          expect(made[punched + 1]?.notches).toEqual([{ x: first, y: 0 }]);
          expect(made[punched + 2]?.notches).toEqual([
            { x: first, y: 0 },
            { x: second, y: 0 },
          ]);
          // Each line that was planned from edge to edge is there.
          const ends = ({ from, to }: ScoreGrid['diagonals'][number]) =>
            [from, to].map((each) => placeOf(piece.grid, each));
          for (const line of piece.grid.diagonals)
            if (ends(line).every(onEdge))
              for (const { x, y } of ends(line))
                expect(
                  found.some(
                    ([a = NaN, b = NaN]) => Math.abs(a - x) < 2000 && Math.abs(b - y) < 2000,
                  ),
                ).toBe(true);
        }
      }),
      { numRuns: 30 },
    );
    expect(seenSheets).toBeGreaterThanOrEqual(casesWanted(5));
  });

  it('has on a corner punch board no notch left at its edges, and its corners scored', () => {
    let seenSheets = 0;
    const [cornerBoard] = genericCornerBoards;
    const boxes = requestsIn(allStyles.filter(({ id }) => id === 'web-corner'));
    fc.assert(
      fc.property(boxes, (request) => {
        if (!cornerBoard) return;
        for (const { piece, made } of historyOf({
          ...request,
          kit: { ...request.kit, cornerBoard },
        })) {
          const last = made.at(-1);
          if (piece.punchBoard !== 'corner' || !last) continue;
          seenSheets++;
          expect(last.notches).toEqual([]);
          expect(last.grid.diagonals.length).toBeGreaterThanOrEqual(4);
        }
      }),
      { numRuns: 60 },
    );
    expect(seenSheets).toBeGreaterThanOrEqual(casesWanted(1));
  });
});
