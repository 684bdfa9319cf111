import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  cutSizeOf,
  hair,
  leftOff,
  minus,
  papersOf,
  planBox,
  plus,
  stockPaper,
  usualRequest,
  type PlanRequest,
} from '../index.ts';
import { anyPaper, anyRequest, sundial } from '../testing/requests.ts';
import { toldSteps } from '../testing/told.ts';

function stiffened(request: PlanRequest, paper = stockPaper('graphite')): PlanRequest {
  return {
    ...request,
    additions: [{ addition: 'stiffener', id: 'stiffener-1', in: 'floor', paper }],
  };
}

describe('a stiffener', () => {
  it('takes nothing of the gift’s room, and lies under all of it in any kind of box', () => {
    fc.assert(
      fc.property(anyRequest, anyPaper, (request, paper) => {
        const asked = stiffened(request, { ...paper, sheet: request.papers[0].sheet });
        const result = planBox(asked);
        if (!result.ok) return;
        const { plan } = result;
        expect(plan.room.high).toBeGreaterThanOrEqual(
          minus(request.room.high.floor, plus(hair, hair)),
        );
        const plate = plan.pieces.find(({ name }) => name === 'Stiffener');
        if (!plate) {
          // A tube that is open below has no floor, and that is said.
          expect(leftOff({ ...asked, papers: papersOf(asked) }, plan)).toHaveLength(1);
          return;
        }
        expect(papersOf(asked)[plate.paper]?.thickness).toBe(paper.thickness);
        const { width, height } = cutSizeOf(plate.grid);
        // What is promised as clear is clear.
        expect(plan.clearInside.high / 1e6).toBeLessThan(plan.assembly.cavity.high + 1e-6);
        // No larger than the floor of the room, and in most boxes nearly as large.
        const { floor } = plan.assembly.cavity;
        const span = (values: readonly number[]) => Math.max(...values) - Math.min(...values);
        const slant = paper.thickness / 250_000;
        expect(width / 1e6).toBeLessThan(span(floor.map(({ x }) => x)) + slant);
        expect(height / 1e6).toBeLessThan(span(floor.map(({ y }) => y)) + slant);
        // Right under the gift: its upper side is the floor that the box is measured from.
        const heights = plan.assembly.parts
          .filter(({ piece }) => piece === plate.id)
          .map(({ at }) => Math.abs(at.z + paper.thickness / 2_000_000));
        expect(Math.min(...heights)).toBeLessThan(1e-6);
      }),
      { numRuns: 60 },
    );
  });

  it('is laid in before the gift', () => {
    const request = stiffened(usualRequest(sundial, 'inch'));
    const result = planBox(request);
    if (!result.ok) throw new Error(result.problems[0]?.message);
    const told = toldSteps(result.plan, request, 1).map(({ text }) => text);
    const at = (part: string) => told.findIndex((text) => text.includes(part));
    expect(at('Lay the stiffener in the base, flat on the floor.')).toBeGreaterThan(0);
    expect(at('Put the gift in.')).toBeGreaterThanOrEqual(at('Lay the stiffener in'));
  });
});
