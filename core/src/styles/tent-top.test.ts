import { describe, expect, it } from 'vitest';
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
});
