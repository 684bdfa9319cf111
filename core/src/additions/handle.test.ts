import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { closedFaces } from '../fold/index.ts';
import {
  allStyles,
  millimetres,
  planBox,
  stockPaper,
  usualRequest,
  type HandleChoice,
  type PlanRequest,
} from '../index.ts';
import { boxInSpace } from '../testing/joints-in-space.ts';
import { faultsInSpace } from '../testing/proof.ts';
import { requestsIn, sundial } from '../testing/requests.ts';
import { toldSteps } from '../testing/told.ts';

function handled(request: PlanRequest, part: Partial<HandleChoice> = {}): PlanRequest {
  const paper = { ...stockPaper('graphite'), sheet: request.papers[0].sheet };
  const usual = { width: millimetres(15), rise: millimetres(35) } as const;
  return {
    ...request,
    additions: [{ addition: 'handle', id: 'handle-1', over: 'across', ...usual, paper, ...part }],
  };
}

describe('a handle', () => {
  it('lies flat on two walls that face each other, and stands so far over all of the box, in any kind', () => {
    let boxes = 0;
    fc.assert(
      fc.property(
        requestsIn(allStyles),
        fc.constantFrom('across' as const, 'deep' as const),
        fc.integer({ min: 10, max: 120 }),
        (bare, over, rise) => {
          const request = handled(bare, { over, rise: millimetres(rise) });
          const result = planBox(request);
          if (!result.ok) return;
          boxes++;
          const { plan } = result;
          expect(faultsInSpace(plan, request)).toEqual([]);
          const faces = closedFaces(boxInSpace(plan, request));
          const strip = faces.filter(({ part }) => part === 'handle-1 handle');
          const arch = strip.find(({ role }) => role === 'arch');
          if (!arch) throw new Error('The handle has no top');
          const top = Math.max(
            ...faces
              .filter((face) => !strip.includes(face))
              .flatMap(({ ring }) => ring.map(({ z }) => z)),
          );
          const under = (arch.ring[0]?.z ?? 0) - arch.card / 2;
          // What the box is, with its card; a gift that stands out of it may be higher.
          const high = Math.max(top, plan.assembly.cavity.high);
          expect(under - high).toBeGreaterThan(rise - 8);
          if (top >= plan.assembly.cavity.high) expect(under - top).toBeLessThan(rise + 1);
          const ends = strip.filter(({ role }) => role === 'end');
          expect(ends).toHaveLength(2);
          for (const end of ends) {
            // Some wall of the box lies right behind it, within what it bows.
            const [corner] = end.ring;
            if (!corner) throw new Error('An end has no corner');
            const behind = faces.some(({ part, role, out, ring, card }) => {
              const [there] = ring;
              if (part === 'handle-1 handle' || role !== 'wall' || !there) return false;
              const off =
                (corner.x - there.x) * out.x +
                (corner.y - there.y) * out.y +
                (corner.z - there.z) * out.z;
              const cards = (card + end.card) / 2;
              return Math.abs(off) > cards - 0.05 && Math.abs(off) < cards + 1.7;
            });
            expect(behind).toBe(true);
          }
        },
      ),
      { numRuns: 150 },
    );
    expect(boxes).toBeGreaterThan(10);
  });

  it('is bent, and glued on to the lid before the gift goes in', () => {
    const request = handled(usualRequest(sundial, 'inch'));
    const result = planBox(request);
    if (!result.ok) throw new Error(result.problems[0]?.message);
    const told = toldSteps(result.plan, request, 1).map(({ text }) => text);
    const glued = told.findIndex((text) =>
      text.includes('Press it onto the outside of the left wall of the lid, in the middle'),
    );
    expect(glued).toBeGreaterThan(0);
    expect(told.findIndex((text) => text.includes('Put the gift in.'))).toBeGreaterThan(glued);
  });

  it('that is too wide, or on a wall that wears a panel, says what would do', () => {
    const plain = usualRequest(sundial, 'inch');
    const wide = planBox(handled(plain, { width: millimetres(75) }));
    if (wide.ok) throw new Error('It was not refused');
    const [problem] = wide.problems;
    expect(problem?.field).toBe('additions.0.width');
    if (problem?.nearest === undefined) throw new Error('Nothing is said to do');
    expect(planBox(handled(plain, { width: problem.nearest })).ok).toBe(true);

    const { additions } = handled(plain);
    const panelled = planBox({
      ...plain,
      additions: [
        ...additions,
        {
          addition: 'panel',
          id: 'panel-1',
          on: { which: 'face', face: { piece: 'lid', role: 'wall', faces: 'left' } },
          layers: [{ margin: millimetres(2), paper: stockPaper('orbits') }],
          underCover: 'counted',
        },
      ],
    });
    if (panelled.ok) throw new Error('It was not refused');
    expect(panelled.problems[0]?.message).toContain('It would go from front to back.');
    expect(planBox(handled(plain, { over: 'deep' })).ok).toBe(true);
  });
});
