import { describe, expect, it } from 'vitest';
import { casesWanted } from '../testing/cases.ts';
import { at, everyBox } from '../testing/plans.ts';

describe('a tent-top box', () => {
  it('has two equal roofs that meet over the middle of the floor, and fins that close', () => {
    everyBox('tent-top', ({ grid, cutouts, request, choice: { options } }) => {
      const { columns, rows } = grid('tent');
      const [fin, roof, floor, otherRoof, otherFin] = rows;
      expect([fin, roof]).toEqual([otherFin, otherRoof]);
      expect(2 * (roof ?? 0)).toBeGreaterThan(floor ?? 0);
      // The end triangles are as high as the ridge.
      const ridge = Math.sqrt((roof ?? 0) ** 2 - (floor ?? 0) ** 2 / 4);
      expect(at(columns, 0)).toBeGreaterThanOrEqual(ridge - 1);
      // And cut no higher than the next groove, or the next step off the grooves.
      const { trimmer, board } = request.kit;
      const next = Math.max(trimmer.step, board.pitch);
      // Where grooves and trimmer share no marks, an end on a groove may stand higher.
      const isShared = next % Math.min(trimmer.step, board.pitch) === 0;
      if (isShared && board.shim === undefined)
        expect(at(columns, 0) - ridge).toBeLessThan(next + 1000);
      expect(cutouts('tent', 'ribbon')).toHaveLength(options.closing === 'ribbon holes' ? 4 : 0);
      // The tongue goes through its slot with a little to spare.
      const [slot] = cutouts('tent', 'slot');
      expect(slot !== undefined).toBe(options.closing.endsWith('edge and slot'));
      const bites = cutouts('tent', 'border');
      expect(bites.length > 0).toBe(options.closing === 'punched edge and slot');
      // Behind the border there is as much tongue again.
      for (const bite of bites)
        expect(bite.shape === 'notch' && 4 * bite.radius).toBeLessThan(fin ?? 0);
      const xsOf = (cutout: typeof slot) =>
        cutout?.shape === 'trim' ? cutout.corners.map(({ x }) => x) : [];
      const shoulders = cutouts('tent', 'tongue').filter(({ shape }) => shape === 'trim');
      expect(shoulders).toHaveLength(slot ? 2 : 0);
      if (slot) {
        const [left, right] = shoulders.map(xsOf);
        expect(Math.max(...(left ?? []))).toBeGreaterThan(Math.min(...xsOf(slot)));
        expect(Math.min(...(right ?? []))).toBeLessThan(Math.max(...xsOf(slot)));
      }
      expect(cutouts('tent', 'brad')).toHaveLength(options.closing === 'brad hole' ? 2 : 0);
    });
  });

  it('leaves a flap as wide as its tape along each slope, however flat the roof', () => {
    let flat = 0;
    everyBox('tent-top', ({ grid, cutouts }) => {
      const { columns, rows } = grid('tent');
      const [end, across] = [at(columns, 0), at(columns, 1)];
      const [, roof = 0, floor = 0] = rows;
      const top = at(rows, 0) + roof;
      const ridge = Math.sqrt(roof ** 2 - floor ** 2 / 4);
      if (ridge < 0.8 * floor) flat++;
      const wanted = Math.min(10e6, (0.6 * ridge * floor) / 2 / roof, 0.45 * across);
      const trims = cutouts('tent', 'flap');
      expect(trims).toHaveLength(4);
      for (const trim of trims) {
        if (trim.shape !== 'trim') throw new Error('A flap is left by a straight cut');
        // Every end is looked at as the left upper one: from the floor's corner to the apex.
        const off = trim.corners.slice(-2).map(({ x, y }) => {
          const inward = x < end ? end - x : x - end - across;
          const down = Math.min(y - top, floor + top - y);
          return { down, from: (inward * (floor / 2) - down * ridge) / roof };
        });
        for (const { down, from } of off)
          if (down > 1) expect(from).toBeCloseTo(wanted, -2);
          else expect(from).toBeGreaterThanOrEqual(wanted - 100);
      }
    });
    expect(flat).toBeGreaterThanOrEqual(casesWanted(4));
  });
});
