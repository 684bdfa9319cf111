import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  cutSizeOf,
  hasWayUp,
  inches,
  layOut,
  paperFor,
  planBox,
  usualRequest,
  type PlanRequest,
} from '../../index.ts';
import { anyLidded, sundial } from '../../testing/requests.ts';

describe('pieces on sheets', () => {
  it('lie inside their sheet, apart from one another, one way up where the print runs one way', () => {
    fc.assert(
      fc.property(anyLidded, fc.boolean(), (request, oneCard) => {
        const [first, second = first] = request.papers;
        const papers: PlanRequest['papers'] = oneCard
          ? [first]
          : [first, { ...second, id: 'other' }];
        const result = planBox({ ...request, papers });
        if (!result.ok) return;
        const uses = layOut(
          result.plan.pieces.map((piece) => ({ ...piece, ...cutSizeOf(piece.grid) })),
          papers,
        );
        expect(uses).toHaveLength(oneCard ? 1 : 2);
        for (const use of uses) {
          const paper = paperFor(papers, use.paper === first.id ? 0 : 1);
          const boxes = use.placements.map(({ piece, sheet, x, y, turned }) => {
            const found = result.plan.pieces.find(({ id }) => id === piece);
            if (!found) throw new Error('A placement of no piece');
            const { width, height } = cutSizeOf(found.grid);
            if (hasWayUp(paper))
              expect(turned).toBe(found.printTop === 'left' || found.printTop === 'right');
            return { sheet, x, y, width: turned ? height : width, height: turned ? width : height };
          });
          for (const box of boxes) {
            expect(box.x + box.width).toBeLessThanOrEqual(paper.sheet.width);
            expect(box.y + box.height).toBeLessThanOrEqual(paper.sheet.height);
          }
          const [a, b] = boxes;
          if (b && a?.sheet === b.sheet)
            expect(
              a.x + a.width <= b.x ||
                b.x + b.width <= a.x ||
                a.y + a.height <= b.y ||
                b.y + b.height <= a.y,
            ).toBe(true);
          // Two pieces share a sheet whenever some way up puts them side by side.
          if (a && b && !hasWayUp(paper)) {
            const ways = (box: typeof a) => [
              [box.width, box.height],
              [box.height, box.width],
            ];
            const share = ways(a).some(([aw = 0, ah = 0]) =>
              ways(b).some(
                ([bw = 0, bh = 0]) =>
                  (aw + bw <= paper.sheet.width && Math.max(ah, bh) <= paper.sheet.height) ||
                  (ah + bh <= paper.sheet.height && Math.max(aw, bw) <= paper.sheet.width),
              ),
            );
            expect(use.sheets).toBe(share ? 1 : 2);
          }
          const used = boxes.reduce((sum, box) => sum + box.width * box.height, 0);
          const bought = use.sheets * paper.sheet.width * paper.sheet.height;
          expect(use.leftOver).toBeCloseTo(1 - used / bought, 9);
        }
      }),
    );
  });

  it('of one card, of which only some has a way up, are two stacks: what has none may be turned', () => {
    const [printed] = usualRequest(sundial, 'inch').papers;
    const plain = { ...printed, printRuns: 'any way' as const, print: 'plain' as const };
    const oneWay = { ...printed, printRuns: 'one way' as const, print: 'one face' as const };
    const narrow = { name: 'Narrow', width: inches(6), height: inches(12) };
    const papers = [
      { ...oneWay, sheet: narrow },
      { ...plain, sheet: narrow },
    ] as const;
    const piece = { copies: 1, height: inches(1) };
    const uses = layOut(
      [
        { id: 'lid', paper: 0, width: inches(5), ...piece },
        { id: 'band', paper: 1, width: inches(11), ...piece },
      ],
      papers,
    );
    expect(uses).toHaveLength(2);
    expect(uses[1]?.placements[0]?.turned).toBe(true);
  });
});
