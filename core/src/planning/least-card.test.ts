import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { layOut } from '../make/index.ts';
import { StagedSolver } from '../marks/index.ts';
import { casesWanted } from '../testing/cases.ts';
import { anyRequest } from '../testing/requests.ts';
import { solveAsWideAsFits } from './as-wide-as-fits.ts';
import { frameFor } from './frame-for.ts';
import { compareCard, leastCard } from './least-card.ts';
import { cutSizeIn } from './put-to-solver.ts';

describe('the least card of a frame', () => {
  it('is no more than any box takes whose lengths are chosen, and not far below it', () => {
    const shares: number[] = [];
    fc.assert(
      fc.property(anyRequest, (request) => {
        const answer = frameFor(request);
        if (!answer.ok) return;
        const { frame } = answer;
        const least = leastCard(frame, request.papers);
        const { held, best } = solveAsWideAsFits(frame, request, new StagedSolver());
        for (const box of [held(), best()]) {
          if (!box) continue;
          const pieces = frame.pieces.map(({ id, paper, copies }) => ({
            id,
            paper,
            copies,
            ...cutSizeIn(box.solution, id),
          }));
          const uses = layOut(pieces, request.papers);
          const used = uses.reduce((sum, use) => sum + use.sheets * (1 - use.leftOver), 0);
          const sheets = uses.reduce((sum, use) => sum + use.sheets, 0);
          // The last digits of a sum may differ.
          expect(compareCard(least, { sheets, used: used * (1 + 1e-9) })).toBeLessThanOrEqual(0);
          shares.push(least.used / used);
        }
      }),
      { numRuns: 250 },
    );
    expect(shares.length).toBeGreaterThanOrEqual(casesWanted(80));
    const near = shares.filter((share) => share > 0.6).length;
    expect(near / shares.length).toBeGreaterThan(casesWanted(1) / 2);
  });
});
