import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  planBox,
  planJob,
  sheetsFor,
  paperFor,
  cutSizeOf,
  millimetres,
  usualRequest,
  type CutOperation,
} from '../../index.ts';
import { anyRequest, sundial } from '../../testing/requests.ts';
import { cutPlan, layOut } from './index.ts';

/** Parts of card on the table, by their sizes, as they lie in the layout. */
type Table = Map<string, number>;

function sizeName(paper: string, width: number, height: number): string {
  return `${paper} ${width} ${height}`;
}

function put(table: Table, name: string, count: number): void {
  const now = (table.get(name) ?? 0) + count;
  if (now < 0) throw new Error(`There is no ${name} to cut`);
  if (now === 0) table.delete(name);
  else table.set(name, now);
}

/** Takes the parts that a step names, and puts what its cuts make of them. */
function cutOn(table: Table, cut: CutOperation): void {
  const { paper, from, measures, takes, cuts, isWhole, gives, leaves } = cut;
  if (isWhole) return;
  put(table, sizeName(paper, from.width, from.height), -from.count);
  const copies = cuts.length;
  // What is left of each part may be one more.
  const isMore = gives.kind === 'piece' && leaves.kind === 'piece' && gives.piece === leaves.piece;
  expect(cut.count).toBe(copies + (isMore ? from.count : 0));
  const [whole, other] =
    measures === 'width' ? [from.width, from.height] : [from.height, from.width];
  const named = (size: number) =>
    measures === 'width' ? sizeName(paper, size, other) : sizeName(paper, other, size);
  put(table, named(takes), copies);
  // How many strips each part gave is told by where the cuts lie on their sheets.
  const byPart = new Map<string, number>();
  for (const { sheet, x1, y1, x2, y2 } of cuts) {
    const start = measures === 'width' ? `${sheet} y${y1}-${y2}` : `${sheet} x${x1}-${x2}`;
    byPart.set(start, (byPart.get(start) ?? 0) + 1);
  }
  const left = from.count * whole - copies * takes;
  const rests = [...byPart.values()].map((count) => whole - count * takes);
  if (byPart.size === from.count) rests.forEach((rest) => rest > 0 && put(table, named(rest), 1));
  else expect(left).toBeGreaterThanOrEqual(0);
}

describe('the cuts of a batch', () => {
  it('make every piece of every box from whole sheets, one cut after the other', () => {
    fc.assert(
      fc.property(anyRequest, fc.integer({ min: 1, max: 12 }), (request, boxes) => {
        const result = planBox(request);
        if (!result.ok) return;
        const { plan } = result;
        const steps = planJob(plan, request, { boxes }).steps.flatMap((step) =>
          step.kind === 'cut' ? step.cuts : [],
        );
        const table: Table = new Map();
        for (const { paper, sheets, placements } of sheetsFor(plan, request.papers, boxes)) {
          const laid = plan.pieces.find(({ id }) => id === placements[0]?.piece);
          const { sheet } = paperFor(request.papers, laid?.paper ?? 0);
          put(table, sizeName(paper, sheet.width, sheet.height), sheets);
        }
        for (const step of steps) {
          cutOn(table, step);
          const { trimmer } = request.kit;
          if (step.tool !== 'trimmer') continue;
          expect(step.setting).toBeLessThanOrEqual(trimmer.widthWithArm);
          expect(step.arm).toBe(step.setting > trimmer.tableWidth ? 'out' : 'in');
          const long = step.measures === 'width' ? step.from.height : step.from.width;
          expect(long).toBeLessThanOrEqual(trimmer.cutLength);
        }
        for (const { paper, copies, grid } of plan.pieces) {
          const { width, height } = cutSizeOf(grid);
          const { id } = paperFor(request.papers, paper);
          for (let copy = 0; copy < copies * boxes; copy++)
            put(
              table,
              table.has(sizeName(id, width, height))
                ? sizeName(id, width, height)
                : sizeName(id, height, width),
              -1,
            );
        }
      }),
      { numRuns: 150 },
    );
  });
});

describe('a strip that is too narrow to be held', () => {
  const mm = (least: number, most: number) =>
    fc.integer({ min: least, max: most }).map((each) => millimetres(each));

  it('falls off beyond the blade, after all that is wider, with a caution', () => {
    fc.assert(
      fc.property(mm(5, 11), mm(40, 140), (narrow, wide) => {
        const { kit, papers } = usualRequest(sundial, 'mm');
        const [width, height] = [millimetres(210), millimetres(297)];
        const [first, second] = [papers[0], papers[1] ?? papers[0]].map((paper) => ({
          ...paper,
          sheet: { name: 'A4', width, height },
        }));
        if (!first || !second) throw new Error('Two papers were meant');
        const pieces = [
          { id: 'strip', paper: 0, copies: 1, width, height: narrow },
          { id: 'panel', paper: 1, copies: 1, width, height: wide },
        ];
        const uses = layOut(pieces, [first, second]).map((use, i) => ({
          use,
          paper: i === 0 ? first : second,
        }));
        const cuts = cutPlan(uses, pieces, kit);
        expect(cuts.map(({ gives }) => gives)).toEqual([
          { kind: 'piece', piece: 'panel' },
          { kind: 'piece', piece: 'strip' },
        ]);
        // The wide part lies on the table and is held.
        expect(cuts).toMatchObject([
          { setting: wide, wanted: 'on the ruler', cautions: [] },
          { setting: height - narrow, wanted: 'beyond the blade', cautions: ['narrow strip'] },
        ]);
      }),
    );
  });
});
