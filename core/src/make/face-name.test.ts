import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { closedFaces, planBox, planJob, type FoldingBox, type Job, type Plan } from '../index.ts';
import { casesWanted } from '../testing/cases.ts';
import { between, boxInSpace, dot, middleOf } from '../testing/joints-in-space.ts';
import { anyRequest } from '../testing/requests.ts';

function jobsInSpace(check: (job: Job, box: FoldingBox, plan: Plan) => void): void {
  fc.assert(
    fc.property(anyRequest, (request) => {
      const result = planBox(request);
      if (!result.ok) return;
      const { plan } = result;
      check(planJob(plan, request, { boxes: 1 }), boxInSpace(plan, request), plan);
    }),
    { numRuns: 150 },
  );
}

describe('the names of the faces of a piece', () => {
  it('tell a wall by the side of the box on which it stands', () => {
    const ways = {
      front: { x: 0, y: -1, z: 0 },
      back: { x: 0, y: 1, z: 0 },
      left: { x: -1, y: 0, z: 0 },
      right: { x: 1, y: 0, z: 0 },
    };
    let seen = 0;
    jobsInSpace((job, box, plan) => {
      // The walls of a gathered or pinched top lean where they may.
      if (plan.assembly.closes !== undefined) return;
      const placed = closedFaces(box);
      const names = job.steps.flatMap((step) =>
        step.kind === 'assembly'
          ? step.operations.flatMap((each) =>
              each.kind === 'glue' || each.kind === 'fold up'
                ? [...each.faces, ...(each.kind === 'glue' ? each.onto : [])]
                : [],
            )
          : [],
      );
      for (const name of names) {
        if (name.role !== 'wall' || name.leans || name.nth !== undefined) continue;
        if (name.faces === 'top' || name.faces === 'bottom') continue;
        const part = box.parts.find(({ piece }) => piece.id === name.piece)?.part.id;
        const own = placed.filter((face) => face.part === part);
        const wall = own.find(({ face }) => face === name.at);
        const walls = own.filter(({ role }) => role === 'wall').map(middleOf);
        const centre = walls.reduce(
          (sum, { x, y, z }) => ({
            x: sum.x + x / walls.length,
            y: sum.y + y / walls.length,
            z: sum.z + z / walls.length,
          }),
          { x: 0, y: 0, z: 0 },
        );
        if (!wall) throw new Error('A named wall is not in the box');
        expect(dot(between(centre, middleOf(wall)), ways[name.faces])).toBeGreaterThan(0);
        seen++;
      }
    });
    expect(seen).toBeGreaterThanOrEqual(casesWanted(300));
  });
});
