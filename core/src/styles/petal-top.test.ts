import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { closedFaces, millimetres, planBox, type Plan, type PlanRequest } from '../index.ts';
import { boxInSpace, middleOf } from '../testing/joints-in-space.ts';
import { casesWanted } from '../testing/cases.ts';
import { at, everyBox } from '../testing/plans.ts';
import { usualOf } from '../testing/requests.ts';

/** The circles that the loose discs of a closed box lie in, seen from above, with the way that each petal points. */
function discsFromAbove(plan: Plan, request: PlanRequest) {
  return closedFaces(boxInSpace(plan, request))
    .filter(({ part, role }) => part.startsWith('disc') && role === 'flap')
    .map((face) => {
      const { x, y } = middleOf(face);
      const isAcross = Math.abs(x) > Math.abs(y);
      const inward = -Math.sign(isAcross ? x : y);
      const [way, aside] = isAcross ? (['x', 'y'] as const) : (['y', 'x'] as const);
      const sides = face.ring.map((place) => place[aside]);
      const radius = (Math.max(...sides) - Math.min(...sides)) / 2;
      const tip = Math.max(...face.ring.map((place) => inward * place[way]));
      const centre = inward * (tip - radius);
      return { radius, isAcross, x: isAcross ? centre : 0, y: isAcross ? 0 : centre };
    });
}

describe('a petal-top box', () => {
  it('has petals that reach over the middle, and a liner below its rim', () => {
    let loose = 0;
    everyBox(
      'petal-top',
      (box) => {
        const { columns, rows } = box.grid('base');
        expect(columns).toEqual([...columns].reverse());
        const isLoose = box.choice.options.petals === 'loose discs';
        const wall = at(columns, isLoose ? 0 : 1);
        expect(at(box.grid('liner').rows, 0)).toBeLessThan(wall);
        if (isLoose) {
          loose++;
          const discs = box.plan.pieces.filter(({ id }) => id.startsWith('disc'));
          expect(discs.reduce((sum, { copies }) => sum + copies, 0)).toBe(4);
          for (const { id, grid } of discs) {
            const [reach, tongue] = [at(grid.rows, 0), at(grid.rows, 1)];
            const wide = at(grid.columns, 0);
            expect(reach + tongue).toBe(wide);
            const corners = grid.cutouts.filter(({ shape }) => shape === 'corner');
            expect(corners).toHaveLength(4);
            // Its petal goes past the middle, and what is glued ends over the floor.
            const [over, along] =
              id === 'disc across' ? [at(columns, 1), at(rows, 1)] : [at(rows, 1), at(columns, 1)];
            // In an oblong box the two on the long walls meet.
            if (along >= over + 12_000_000 || discs.length === 1)
              expect(2 * reach).toBeGreaterThan(over);
            expect(wide - reach).toBeLessThan(wall);
          }
          return;
        }
        expect(2 * at(columns, 0)).toBeGreaterThanOrEqual(at(columns, 2) * 0.99);
        expect(2 * at(rows, 0)).toBeGreaterThanOrEqual(at(rows, 2) * 0.99);
        const [right, front, left, back] = box.grid('liner').columns;
        expect([right, front]).toEqual([left, back]);
        // Two corners of each of the four petals are shaped.
        expect(box.cutouts('base', 'petal')).toHaveLength(8);
      },
      120,
    );
    expect(loose).toBeGreaterThanOrEqual(casesWanted(3));
  });

  it('has loose petals that lie on one another going round, in a long box too', () => {
    const side = fc.integer({ min: 40, max: 90 });
    // A long, high box has wide discs with long tongues, and narrow ones far from their middle.
    const long = fc.integer({ min: 10, max: 24 }).map((tenths) => tenths / 10);
    const anyCard = fc.integer({ min: 2, max: 12 }).map((tenths) => millimetres(tenths / 10));
    let oblong = 0;
    fc.assert(
      fc.property(
        side,
        long,
        fc.integer({ min: 25, max: 160 }),
        anyCard,
        (across, longer, high, thickness) => {
          const [wide, far, tall] = [across, across * longer, high].map((each) =>
            millimetres(each),
          );
          if (!wide || !far || !tall) throw new Error('No gift');
          const usual = usualOf('petal-top', {
            shape: 'block',
            across: wide,
            deep: far,
            high: tall,
            up: 'high',
          });
          const sheet = { name: 'Roll', width: millimetres(900), height: millimetres(900) };
          const [base, ...papers] = usual.papers;
          const request: PlanRequest = {
            ...usual,
            papers: [
              { ...base, sheet },
              ...papers.map((paper) => ({ ...paper, sheet, thickness })),
            ],
            style: { style: 'petal-top', options: { petals: 'loose discs' } },
          };
          const result = planBox(request);
          if (!result.ok) return;
          if (longer > 1) oblong++;
          const circles = discsFromAbove(result.plan, request);
          expect(circles).toHaveLength(4);
          for (const one of circles)
            for (const other of circles)
              if (one.isAcross !== other.isAcross)
                expect(Math.hypot(one.x - other.x, one.y - other.y)).toBeLessThan(
                  one.radius + other.radius - 1.5,
                );
        },
      ),
      { numRuns: 150 },
    );
    expect(oblong).toBeGreaterThan(3);
  });
});
