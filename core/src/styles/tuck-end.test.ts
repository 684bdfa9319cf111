import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { millimetres, parseLength, planBox, usualRequest } from '../index.ts';
import { casesWanted } from '../testing/cases.ts';
import { at, everyBox } from '../testing/plans.ts';

describe('a tuck-end box', () => {
  it('has a lid that reaches over the room, and flaps that meet nowhere', () => {
    everyBox('tuck-end', ({ grid, choice: { options } }) => {
      const { columns, rows } = grid('box');
      const [tuck, lid, wall] = rows;
      expect(at(columns, 0)).toBe(at(columns, 2));
      expect(lid).toBeLessThanOrEqual(at(columns, 0));
      expect(tuck).toBeLessThanOrEqual(wall ?? 0);
      // A tucked bottom is the top over again.
      if (options.bottom === 'tucked') expect(rows.slice(3)).toEqual([lid, tuck]);
    });
  });

  it('hangs by a tab over its back, whose hole lies inside the tab', () => {
    everyBox('tuck-end', ({ grid, cutouts, choice: { options } }) => {
      const { columns, rows } = grid('box');
      const [hole] = cutouts('box', 'hanging hole');
      expect(hole !== undefined).toBe(options.hangTab);
      expect(cutouts('box', 'window')).toHaveLength(options.window ? 1 : 0);
      if (hole?.shape !== 'hole') return;
      const left = at(columns, 0) + at(columns, 1) + at(columns, 2);
      expect(hole.centre.x - hole.radius).toBeGreaterThan(left);
      expect(hole.centre.x + hole.radius).toBeLessThan(left + at(columns, 3));
      expect(hole.centre.y + hole.radius).toBeLessThan(at(rows, 0) + at(rows, 1));
      expect(hole.centre.y - hole.radius).toBeGreaterThan(at(rows, 0));
      // With the tab in its way there is no notch for a thumb.
      expect(cutouts('box', 'thumb notch')).toHaveLength(0);
    });
  });

  it('has a window that no flap shuts and no notch runs into, however low it is', () => {
    let seen = 0;
    let followed = 0;
    const side = (least: number, most: number) =>
      fc.integer({ min: least, max: most }).map(millimetres);
    const gift = fc.record({
      shape: fc.constant('block' as const),
      across: side(15, 120),
      deep: side(15, 50),
      high: side(4, 40),
    });
    const options = fc.record({
      bottom: fc.constantFrom('glued' as const, 'tucked' as const),
      thumbNotch: fc.boolean(),
      window: fc.constant(true),
      hangTab: fc.boolean(),
      tuck: fc.constant('usual' as const),
      seam: fc.constant('for my tape' as const),
    });
    fc.assert(
      fc.property(
        gift,
        options,
        fc.constantFrom('mm' as const, 'inch' as const),
        (box, asked, unit) => {
          const style = { style: 'tuck-end', options: asked } as const;
          const result = planBox({ ...usualRequest(box, unit), style });
          if (!result.ok) {
            const [problem] = result.problems;
            if (problem?.field !== 'style.options.window') return;
            // A gift as high as it says would do.
            followed++;
            const [, high = ''] = /a gift from (.+) high\.$/.exec(problem.message) ?? [];
            const parsed = parseLength(high, unit);
            if (!parsed.ok) throw new Error(problem.message);
            const higher = planBox({
              ...usualRequest({ ...box, high: parsed.length }, unit),
              style,
            });
            expect(higher.ok ? [] : higher.problems.map(({ field }) => field)).not.toContain(
              problem.field,
            );
            return;
          }
          const [{ grid } = { grid: undefined }] = result.plan.pieces;
          if (!grid) return;
          const { columns, rows, cutouts } = grid;
          const window = cutouts.find(({ use }) => use === 'window');
          if (window?.shape !== 'hole') throw new Error('No window');
          const [tuck, lid, wall] = [at(rows, 0), at(rows, 1), at(rows, 2)];
          const [from, to] = [tuck + lid, tuck + lid + wall];
          const [upper, lower] = [window.centre.y - window.radius, window.centre.y + window.radius];
          // With a tab to hang it by, the flaps tuck in behind the back.
          const flap = asked.hangTab ? 0 : tuck;
          expect(upper).toBeGreaterThan(from + flap);
          expect(lower).toBeLessThan(to - (asked.bottom === 'tucked' ? flap : 0));
          expect(2 * window.radius).toBeGreaterThan(Math.min(5e6, at(columns, 1) / 2, wall / 2));
          const notch = cutouts.find(({ use }) => use === 'thumb notch');
          if (notch?.shape !== 'notch') return;
          seen++;
          expect(upper).toBeGreaterThan(notch.centre.y + notch.radius);
        },
      ),
      { numRuns: 200 },
    );
    expect(seen).toBeGreaterThanOrEqual(casesWanted(10));
    expect(followed).toBeGreaterThanOrEqual(casesWanted(5));
  });
});
