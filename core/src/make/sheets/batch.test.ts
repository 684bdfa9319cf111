import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  cutSizeOf,
  hasWayUp,
  layOut,
  paperFor,
  planBox,
  type PlanRequest,
  type SheetPiece,
  type SheetUse,
} from '../../index.ts';
import { casesWanted } from '../../testing/cases.ts';
import { anyRequest } from '../../testing/requests.ts';

interface Lying {
  readonly sheet: number;
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

function lyingOn({ placements }: SheetUse, pieces: readonly SheetPiece[]): readonly Lying[] {
  return placements.map(({ piece, sheet, x, y, turned }) => {
    const found = pieces.find(({ id }) => id === piece);
    if (!found) throw new Error('A placement of no piece');
    const [across, down] = turned ? [found.height, found.width] : [found.width, found.height];
    return { sheet, left: x, top: y, right: x + across, bottom: y + down };
  });
}

function overlap(a: Lying, b: Lying): boolean {
  return (
    a.sheet === b.sheet &&
    a.left < b.right &&
    b.left < a.right &&
    a.top < b.bottom &&
    b.top < a.bottom
  );
}

describe('a batch on sheets', () => {
  it('has every piece once, none over another, on no more sheets than one box after the other', () => {
    let saved = 0;
    fc.assert(
      fc.property(anyRequest, fc.integer({ min: 1, max: 200 }), (request, boxes) => {
        const result = planBox(request);
        if (!result.ok) return;
        const pieces = result.plan.pieces.map(({ id, paper, copies, printTop, grid }) => ({
          id,
          paper,
          printTop,
          copies: copies * boxes,
          ...cutSizeOf(grid),
        }));
        // Every slot has a card of its own.
        const [first, ...others] = request.papers;
        const papers: PlanRequest['papers'] = [
          first,
          ...others.map((paper, slot) => ({ ...paper, id: `other ${slot}` })),
        ];
        const batch = layOut(pieces, papers);
        const single = layOut(
          pieces.map((piece) => ({ ...piece, copies: piece.copies / boxes })),
          papers,
        );
        batch.forEach((use, i) => {
          expect(use.sheets).toBeLessThanOrEqual((single[i]?.sheets ?? 0) * boxes);
          if (use.sheets < (single[i]?.sheets ?? 0) * boxes) saved++;
          const slot = pieces.find(({ id }) => id === use.placements[0]?.piece)?.paper ?? 0;
          const paper = paperFor(papers, slot);
          const { sheet } = paper;
          const lying = lyingOn(use, pieces);
          for (const { sheet: at, left, top, right, bottom } of lying) {
            expect(at).toBeLessThan(use.sheets);
            expect(Math.min(left, top)).toBeGreaterThanOrEqual(0);
            expect(right).toBeLessThanOrEqual(sheet.width);
            expect(bottom).toBeLessThanOrEqual(sheet.height);
          }
          if (lying.length < 60)
            lying.forEach((one, j) => {
              expect(lying.slice(j + 1).some((other) => overlap(one, other))).toBe(false);
            });
          if (hasWayUp(paper))
            for (const { piece, turned } of use.placements)
              expect(turned).toBe(
                ['left', 'right'].includes(
                  pieces.find(({ id }) => id === piece)?.printTop ?? 'top',
                ),
              );
        });
        for (const { id, copies } of pieces)
          expect(
            batch.flatMap(({ placements }) => placements).filter(({ piece }) => piece === id),
          ).toHaveLength(copies);
      }),
      { numRuns: 100 },
    );
    expect(saved).toBeGreaterThanOrEqual(casesWanted(1));
  });
});
