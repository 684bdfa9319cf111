import { describe, expect, it } from 'vitest';
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

  it('has a window that no flap shuts and no notch runs into', () => {
    let seen = 0;
    everyBox(
      'tuck-end',
      ({ grid, cutouts, choice: { options } }) => {
        const [window] = cutouts('box', 'window');
        if (window?.shape !== 'hole') return;
        const { columns, rows } = grid('box');
        const [tuck, lid, wall] = [at(rows, 0), at(rows, 1), at(rows, 2)];
        const [from, to] = [tuck + lid, tuck + lid + wall];
        const [upper, lower] = [window.centre.y - window.radius, window.centre.y + window.radius];
        // With a tab to hang it by, the flaps tuck in behind the back.
        const flap = options.hangTab ? 0 : tuck;
        expect(upper).toBeGreaterThan(from + flap);
        expect(lower).toBeLessThan(to - (options.bottom === 'tucked' ? flap : 0));
        expect(2 * window.radius).toBeGreaterThan(Math.min(5e6, at(columns, 1) / 2, wall / 2));
        const [notch] = cutouts('box', 'thumb notch');
        if (notch?.shape !== 'notch') return;
        seen++;
        expect(upper).toBeGreaterThan(notch.centre.y + notch.radius);
      },
      150,
    );
    expect(seen).toBeGreaterThanOrEqual(casesWanted(5));
  });
});
