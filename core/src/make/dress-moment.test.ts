import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  assemblyScenes,
  papersOf,
  planBox,
  planJob,
  type AssemblyStep,
  type PlacedFace,
  type PlanRequest,
} from '../index.ts';
import { dressed } from '../testing/dressed.ts';
import { boxInSpace, between, dot, middleOf } from '../testing/joints-in-space.ts';
import { anyRequest } from '../testing/requests.ts';

/** The steps of a job in which something is put on, with what is seen as they begin and end. */
function dressings(request: PlanRequest) {
  const result = planBox(request);
  if (!result.ok) return [];
  const { plan } = result;
  const box = boxInSpace(plan, request);
  const worn = new Set(plan.assembly.parts.flatMap(({ id, worn: on }) => (on ? [id] : [])));
  return planJob(plan, request, { boxes: 1 })
    .steps.filter((step): step is AssemblyStep => step.kind === 'assembly')
    .filter(({ operations: [{ kind }] }) => kind === 'dress')
    .map((step) => {
      const scene = assemblyScenes(box, step);
      const isBox = ({ part }: PlacedFace) => !worn.has(part);
      return {
        plan,
        step,
        isBox,
        start: scene({ at: 0, share: 0 }),
        end: scene({ at: 0, share: 1 }),
      };
    });
}

describe('what is put on a box', () => {
  it('comes straight on to its own piece, which lies with that side up as long as it is flat', () => {
    fc.assert(
      fc.property(dressed(anyRequest), (request) => {
        const cards = papersOf(request).map(({ thickness }) => thickness / 1e6);
        const most = cards.reduce((sum, card) => sum + card, 0);
        for (const { step, isBox, start, end } of dressings(request)) {
          const [operation] = step.operations;
          if (operation.kind !== 'dress') continue;
          expect(end.moving).toHaveLength(operation.count);
          for (const { part } of end.moving) {
            const here = end.faces.find((face) => face.part === part);
            const before = start.faces.find((face) => face.part === part);
            if (!here || !before) throw new Error(`${part} is not in the picture`);
            // Nearest to some face of the box, by no more than all the card that there is.
            const away = operation.side === 'outside' ? -1 : 1;
            const offs = end.faces
              .filter(isBox)
              .filter(({ out }) => Math.abs(dot(out, here.out)) > 0.999)
              .map(({ ring, out }) => away * dot(between(ring[0] ?? out, middleOf(here)), out));
            const nearest = Math.min(...offs.filter((off) => off > 0));
            expect(nearest).toBeLessThan(most + 0.1);
            // It comes straight, against its own drawn side.
            expect(dot(between(middleOf(before), middleOf(here)), here.out)).toBeGreaterThan(15);
            if (operation.lies === 'folded') continue;
            for (const { out } of end.faces.filter(isBox))
              expect(away * out.z).toBeGreaterThan(0.999);
          }
        }
      }),
      { numRuns: 30 },
    );
  });
});
