import { describe, expect, it } from 'vitest';
import { at, cardOf, everyBox } from '../testing/plans.ts';

describe('a shell box', () => {
  it('has two equal shells on a spine that clears the tray inside', () => {
    everyBox(
      'shell',
      (box) => {
        const { columns, rows } = box.grid('cover');
        const [lidWall, lidDeep, spine, deep, wall] = rows;
        expect(lidDeep).toBe(deep);
        expect([at(columns, 0), at(columns, 2)]).toEqual([lidWall, wall]);
        const tray = at(box.grid('tray').columns, 0);
        if (box.plan.pairs.every(({ state }) => state !== 'tight'))
          expect(spine).toBeGreaterThan(tray);
        // Closed, the walls of one half stand on those of the other, and no higher.
        const band = (spine ?? 0) - 2 * (wall ?? 0);
        // What is two hairs too long stands on it all the same.
        expect(band).toBeGreaterThanOrEqual(-20_000);
        // Where the sheet has room for it, no more of the tray shows than the next marks leave.
        const { trimmer, board } = box.request.kit;
        const [fine, coarse] = [trimmer.step, board.pitch].sort((a, b) => a - b);
        const paper = box.request.papers[1] ?? box.request.papers[0];
        const sum = (sections: readonly number[]) => sections.reduce((all, each) => all + each, 0);
        const [short = 0, long = 0] = [sum(columns), sum(rows)].sort((a, b) => a - b);
        const [low = 0, high = 0] = [paper.sheet.width, paper.sheet.height].sort((a, b) => a - b);
        const more = 2 * (coarse ?? 0);
        if ((coarse ?? 0) % (fine ?? 1) === 0 && short + more <= low && long + more <= high)
          expect(band).toBeLessThanOrEqual(more + 2 * cardOf(box, 'cover') + 2e6);
        expect(box.cutouts('cover', 'thumb notch')).toHaveLength(
          box.choice.options.thumbNotch ? 1 : 0,
        );
      },
      250,
    );
  });
});
