import fc from 'fast-check';
import { expect, it } from 'vitest';
import {
  closedFaces,
  leftOff,
  millimetres,
  newPanel,
  papersOf,
  planBox,
  stockPaper,
  type PlanRequest,
} from '../index.ts';
import { boxInSpace, middleOf } from '../testing/joints-in-space.ts';
import { faultsInSpace } from '../testing/proof.ts';
import { usualOf } from '../testing/requests.ts';
import { faultsInWords, toldSteps } from '../testing/told.ts';
import { wornFaults } from '../testing/worn-in-space.ts';

const graphite = stockPaper('graphite');

function withPetals(
  petals: 'half-round' | 'pointed',
  across: number,
  deep: number,
  layers: number,
): PlanRequest {
  const request = usualOf('petal-top', {
    shape: 'block',
    across: millimetres(across),
    deep: millimetres(deep),
    high: millimetres(24),
    up: 'high',
  });
  const on = { which: 'face', face: { piece: 'base', role: 'flap', faces: 'top' } } as const;
  const {
    layers: [layer],
    ...panel
  } = newPanel({
    id: 'panel-1',
    on,
    paper: graphite,
    unit: 'inch',
  });
  if (!layer) throw new Error('A new panel has no layer');
  return {
    ...request,
    style: { style: 'petal-top', options: { petals } },
    additions: [{ ...panel, layers: Array.from({ length: layers }, () => layer) }],
  };
}

it('on petals is straight-sided, alike on each two, under the petal that closes over it, and told so that it can be made', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('half-round' as const, 'pointed' as const),
      fc.integer({ min: 40, max: 68 }),
      fc.integer({ min: 40, max: 68 }),
      fc.integer({ min: 1, max: 2 }),
      (petals, across, deep, layers) => {
        const request = withPetals(petals, across, deep, layers);
        const result = planBox(request);
        if (!result.ok) throw new Error(result.problems[0]?.message);
        const { plan } = result;
        expect(faultsInSpace(plan, request)).toEqual([]);
        expect(wornFaults(plan, request)).toEqual([]);
        expect(leftOff({ ...request, papers: papersOf(request) }, plan)).toEqual([]);
        expect(faultsInWords(plan, request, 1, () => 0)).toEqual([]);
        const panels = plan.pieces.filter(({ id }) => id.startsWith('panel-1'));
        expect(panels.reduce((sum, { copies }) => sum + copies, 0)).toBe(4 * layers);
        expect(panels.length).toBeLessThanOrEqual(2 * layers);
        const faces = closedFaces(boxInSpace(plan, request));
        const own = faces.filter(({ part }) => part.startsWith('panel-1 1 '));
        expect(own).toHaveLength(4);
        for (const panel of own) {
          expect(panel.ring.length).toBeLessThanOrEqual(7);
          // It is widest next to the fold, which is farther out than its point.
          const { x, y } = middleOf(panel);
          const [out, aside] =
            Math.abs(x) > Math.abs(y) ? (['x', 'y'] as const) : (['y', 'x'] as const);
          const sense = Math.sign({ x, y }[out]);
          const far = panel.ring.map((corner) => sense * corner[out]);
          const wide = (limit: number) => {
            const there = panel.ring.filter((_, i) => Math.abs((far[i] ?? 0) - limit) < 1);
            const places = there.map((corner) => corner[aside]);
            return Math.max(...places) - Math.min(...places);
          };
          expect(wide(Math.max(...far))).toBeGreaterThan(wide(Math.min(...far)));
        }
      },
    ),
    { numRuns: 8 },
  );
});

it('on petals is pressed on in one step for all four, before they are folded', () => {
  const request = withPetals('half-round', 60, 60, 2);
  const result = planBox(request);
  if (!result.ok) throw new Error(result.problems[0]?.message);
  const told = toldSteps(result.plan, request, 1).map(({ text }) => text);
  const pressed = told.findIndex((text) =>
    text.includes('the petals of all four walls of the base, its wide end along the fold, '),
  );
  const folded = told.findIndex((text) => text.includes('Fold in the petal'));
  expect(pressed).toBeGreaterThan(0);
  expect(folded).toBeGreaterThan(pressed);
  expect(told.filter((text) => text.includes('panel') && text.includes('Press')).length).toBe(2);
});
