import { describe, expect, it } from 'vitest';
import { closedFaces } from '../index.ts';
import { boxInSpace } from '../testing/joints-in-space.ts';
import { at, cardOf, everyBox } from '../testing/plans.ts';

describe('a hinged-lid box', () => {
  it('has a lid that goes over the base, on a spine as high as its walls', () => {
    everyBox('hinged-lid', ({ grid, cutouts, choice: { options }, plan }) => {
      const { columns, rows: all } = grid('box');
      const rows = options.front === 'lip' ? all.slice(1) : all;
      if (options.front === 'lip') expect(at(all, 0)).toBeLessThan(at(all, 1));
      expect(cutouts('box', 'lid front')).toHaveLength(options.front === 'curved' ? 2 : 0);
      expect(columns).toEqual([...columns].reverse());
      const [lidWall, lidDeep, spine, deep, wall] = rows;
      expect(lidWall).toBeLessThan(wall ?? 0);
      expect(spine).toBeGreaterThanOrEqual(wall ?? 0);
      if (plan.pairs.every(({ state }) => state !== 'tight'))
        expect(lidDeep).toBeGreaterThan(deep ?? 0);
      // The step on each side takes the base's wall into the lid.
      expect(at(columns, 0) + at(columns, 1)).toBe(wall);
      expect(cutouts('box', 'thumb notch')).toHaveLength(options.thumbNotch ? 1 : 0);
    });
  });

  it('closes level: at the hinge its lid lies on the walls within half a millimetre, or that is told', () => {
    let level = 0;
    let all = 0;
    everyBox(
      'hinged-lid',
      (box) => {
        const { plan, request, choice } = box;
        const space = boxInSpace(plan, request);
        const faces = closedFaces(space);
        const [part] = space.parts;
        const lip = choice.options.front === 'lip' ? 1 : 0;
        const highest = (column: number, row: number) => {
          const face = part?.pattern.faceAt({ column, row: row + lip });
          const { ring = [] } = faces.find((each) => each.face === face) ?? {};
          return Math.max(...ring.map(({ z }) => z));
        };
        const [hinge, wall] = [highest(2.5, 2.5), highest(0.5, 3.5)];
        const over = hinge - cardOf(box, 'box') / 2e6 - wall;
        const pair = plan.pairs.find(({ kind }) => kind === 'level');
        expect((pair?.gap ?? NaN) / 1e6).toBeCloseTo(over, 3);
        expect(pair?.state === 'holds').toBe(Math.abs(over) <= 0.5);
        all++;
        if (pair?.state === 'holds') level++;
      },
      80,
    );
    expect(level / all).toBeGreaterThan(0.9);
  });
});
