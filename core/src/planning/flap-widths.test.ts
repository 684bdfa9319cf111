import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { allStyles, cutSizeOf, paperFor, planBox, type Piece } from '../index.ts';
import { casesWanted } from '../testing/cases.ts';
import { hasFigure, requestsIn } from '../testing/requests.ts';

/** How far two flaps of a glued bottom that face each other go past each other, over the narrower way. */
function overlapOf({ grid: { columns, rows, roles } }: Piece) {
  const last = roles[roles.length - 1] ?? [];
  if (last.filter((role) => role === 'flap').length !== 4) return undefined;
  const narrow = Math.min(columns[0] ?? 0, columns[1] ?? 0);
  return { narrow, past: 2 * (rows[rows.length - 1] ?? 0) - narrow };
}

describe('what is glued and what is tucked in', () => {
  it('is as wide as is good, wherever the sheet has the room', () => {
    const seen = { bottoms: 0, seams: 0, tucks: 0 };
    fc.assert(
      fc.property(requestsIn(allStyles), (request) => {
        // What is asked for as a figure is as wide as that.
        if (hasFigure(request.style)) return;
        const result = planBox(request);
        if (!result.ok) return;
        for (const piece of result.plan.pieces) {
          const { width, height } = cutSizeOf(piece.grid);
          const { sheet } = paperFor(request.papers, piece.paper);
          const room = 40_000_000;
          if (Math.max(width, height) + room > Math.min(sheet.width, sheet.height)) continue;
          const { columns, rows, roles } = piece.grid;
          const bottom = overlapOf(piece);
          if (bottom && bottom.narrow > 30e6) {
            seen.bottoms++;
            expect(bottom.past).toBeGreaterThan(9.4e6);
          }
          const seam = roles.find((row) => row.includes('seam'))?.indexOf('seam');
          if (seam !== undefined && (columns[0] ?? 0) > 30e6) {
            seen.seams++;
            const tapes = request.kit.adhesives.map(({ width = 8e6 }) => Math.min(width, 12.7e6));
            expect(columns[seam]).toBeGreaterThanOrEqual(Math.max(8e6, ...tapes) + 2e6);
          }
          if (request.style.style === 'tuck-end' && (rows[2] ?? 0) > 45e6) {
            seen.tucks++;
            expect(rows[0]).toBeGreaterThan(12.6e6);
            expect(rows[0]).toBeLessThan(25.5e6);
          }
        }
      }),
      { numRuns: 400 },
    );
    expect(seen.bottoms).toBeGreaterThanOrEqual(casesWanted(5));
    expect(seen.seams).toBeGreaterThanOrEqual(casesWanted(10));
    expect(seen.tucks).toBeGreaterThanOrEqual(casesWanted(2));
  });
});
