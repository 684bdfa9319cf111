import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { allStyles, closedFaces, nanometres, planBox, rescue, type Plan } from '../index.ts';
import { casesWanted } from '../testing/cases.ts';
import { boxInSpace } from '../testing/joints-in-space.ts';
import { at, cardOf, everyBox } from '../testing/plans.ts';
import { faultsInSpace } from '../testing/proof.ts';
import { requestsIn } from '../testing/requests.ts';

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

  it('has its lid’s sides kept where they were scored, and told how it closes then', () => {
    const wrong = fc.integer({ min: -30, max: 30 }).map((tenths) => tenths * 100_000);
    const hinged = allStyles.filter(({ id }) => id === 'hinged-lid');
    let kept = 0;
    fc.assert(
      fc.property(requestsIn(hinged), wrong, fc.boolean(), (request, off, isLeft) => {
        const result = planBox(request);
        if (!result.ok) return;
        const { plan } = result;
        const lines = plan.marks.flatMap(({ readings }) =>
          readings.filter(({ axis, mark }) => axis === 'column' && (mark ?? 0) > 2),
        );
        const [left, right] = lines;
        expect(lines).toHaveLength(2);
        const line = isLeft ? left : right;
        const closing = ({ pairs }: Plan) =>
          pairs
            .filter(({ kind }) => kind === 'hinge')
            .flatMap(({ fits }) => fits.filter(({ direction }) => direction === 'across'))[0]?.gap;
        if (!line) return;
        const done = { cut: new Set(['box']), scored: [{ piece: 'box', line }] };
        const at = nanometres(line.reading + off);
        const mishap = { kind: 'score', piece: 'box', line, at } as const;
        for (const way of rescue(plan, request, done, mishap).ways) {
          if (way.kind !== 'go on') continue;
          kept++;
          const now = way.plan.marks[0]?.readings.find(
            ({ axis, mark }) => axis === 'column' && mark === line.mark,
          );
          const moved = line.from === 'start' ? off : -off;
          // What misses a groove by a hair is on it.
          const missed = (now?.position ?? 0) - line.position - moved;
          expect(Math.abs(missed)).toBeLessThanOrEqual(10_000);
          if (missed !== 0) continue;
          // Each side goes over its own wall: one that lies further in is closer by that, one further out is no help.
          const wider = isLeft ? -moved : moved;
          const walls = (of: Plan) => of.pieces[0]?.grid.columns[2] ?? 0;
          if (walls(way.plan) === walls(plan))
            expect(closing(way.plan)).toBe((closing(plan) ?? 0) + 2 * Math.min(0, wider));
          expect(faultsInSpace(way.plan, way.request)).toEqual([]);
        }
      }),
      { numRuns: 120 },
    );
    expect(kept).toBeGreaterThanOrEqual(casesWanted(20));
  });
});
