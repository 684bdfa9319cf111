import { describe, expect, it } from 'vitest';
import { closedFaces } from '../index.ts';
import { casesWanted } from '../testing/cases.ts';
import { boxInSpace } from '../testing/joints-in-space.ts';
import { at, everyBox } from '../testing/plans.ts';

describe('a gathered-top box', () => {
  it('has a pleat at every corner of its collar and a hole in every panel', () => {
    everyBox('gathered-top', ({ grid, cutouts, plan, choice: { options } }) => {
      const { columns, rows, diagonals, roles } = grid('box');
      const collar = options.rows === 'three' ? 3 : 1;
      expect([at(columns, 0), at(columns, 1)]).toEqual([at(columns, 2), at(columns, 3)]);
      expect(Math.min(at(columns, 0), at(columns, 1))).toBeGreaterThanOrEqual(10_000_000);
      expect(diagonals).toHaveLength(8);
      expect(cutouts('box', 'ribbon')).toHaveLength(4);
      expect(roles.at(-1)).toEqual(['flap', 'flap', 'flap', 'flap', 'waste']);
      expect(rows).toHaveLength(collar + 2);
      expect(plan.clearInside.high).toBeLessThan(at(rows, collar));
    });
  });

  it('stands its necks edge to edge round an opening that the ribbon draws together, their brims out', () => {
    let seen = 0;
    everyBox(
      'gathered-top',
      ({ grid, cutouts, plan, request, choice: { options } }) => {
        if (options.rows !== 'three') return;
        seen++;
        const { columns, rows } = grid('box');
        const [row, high] = [at(rows, 0) / 1e6, at(rows, 3) / 1e6];
        expect([at(rows, 1), at(rows, 2)]).toEqual([at(rows, 0), at(rows, 0)]);
        const [deep, across] = [at(columns, 0) / 1e6, at(columns, 1) / 1e6];
        const walls = closedFaces(boxInSpace(plan, request)).filter(
          ({ part, role }) => part === 'box' && role === 'wall',
        );
        const floor = Math.min(...walls.flatMap(({ ring }) => ring.map(({ z }) => z)));
        const necks = walls.filter(
          ({ ring }) => Math.min(...ring.map(({ z }) => z)) > floor + high + 0.1,
        );
        const upright = necks.filter(({ out }) => Math.abs(out.z) < 1e-6);
        // Each stands on a slope that has lost a pleat on either side, and reaches from one corner to the next.
        const pleat = 0.3 * Math.min(deep, across);
        const rise = Math.sqrt(row * row - pleat * pleat);
        expect(upright).toHaveLength(4);
        const corners = upright.flatMap(({ ring }) => ring);
        for (const { x, y, z } of corners) {
          const middle = {
            x: mean(corners.map((each) => each.x)),
            y: mean(corners.map((each) => each.y)),
          };
          expect(Math.abs(x - middle.x)).toBeCloseTo(across / 2 - pleat, 3);
          expect(Math.abs(y - middle.y)).toBeCloseTo(deep / 2 - pleat, 3);
          const up = z - floor - high - rise;
          expect(Math.min(Math.abs(up), Math.abs(up - row))).toBeLessThan(0.001);
        }
        // The ribbon lies about the middle of the neck, with card on all sides of its holes.
        for (const hole of cutouts('box', 'ribbon')) {
          if (hole.shape !== 'hole') throw new Error('A hole is round');
          expect(hole.centre.y).toBeCloseTo(at(rows, 0) * 1.5, -2);
          expect(hole.radius / 1e6).toBeLessThan((Math.min(deep, across) - 2 * pleat) / 5);
        }
        const brims = necks.filter(({ out }) => Math.abs(out.z) > 0.1);
        expect(brims).toHaveLength(4);
        const top = floor + high + rise + row + row / 2;
        for (const { ring } of brims)
          expect(Math.max(...ring.map(({ z }) => z))).toBeCloseTo(top, 3);
      },
      120,
    );
    expect(seen).toBeGreaterThanOrEqual(casesWanted(20));
  });
});

function mean(values: readonly number[]): number {
  return values.reduce((sum, each) => sum + each, 0) / values.length;
}
