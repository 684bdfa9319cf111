import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  allStyles,
  assemblyScenes,
  closedFaces,
  foldingBox,
  paperFor,
  planBox,
  planJob,
  type AssemblyScene,
  type AssemblyStep,
  type PlacedFace,
} from '../index.ts';
import { jointsOf } from '../fold/index.ts';
import { requestsIn } from '../testing/requests.ts';

type FaceAt = Pick<PlacedFace, 'part' | 'face'>;

/** How far the faces of one scene are from those of another, in millimetres; those that both show. */
function apart(one: readonly PlacedFace[], other: readonly PlacedFace[]): number {
  return Math.max(
    0,
    ...one.flatMap(({ part, face, ring }) => {
      const same = other.find((each) => each.part === part && each.face === face);
      return ring.map((a, i) => {
        const b = same?.ring[i];
        return b ? Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z) : 0;
      });
    }),
  );
}

/** How much farther or nearer two faces are than in the closed box, corner by corner; nothing where one isn't shown. */
function loosened(
  faces: readonly PlacedFace[],
  closed: readonly PlacedFace[],
  [one, other]: readonly [FaceAt, FaceAt],
): number {
  const between = (all: readonly PlacedFace[]) => {
    const ringOf = (at: FaceAt) =>
      all.find(({ part, face }) => part === at.part && face === at.face)?.ring ?? [];
    return ringOf(one).flatMap((a) =>
      ringOf(other).map((b) => Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z)),
    );
  };
  const whole = between(closed);
  return Math.max(0, ...between(faces).map((far, i) => Math.abs(far - (whole[i] ?? 0))));
}

/** The faces of a scene that are said to move. */
function pick({ faces, moving }: AssemblyScene): readonly PlacedFace[] {
  return faces.filter((each) =>
    moving.some(({ part, face }) => part === each.part && face === each.face),
  );
}

describe.each(allStyles.map((style) => ({ name: style.name, style })))('$name', ({ style }) => {
  it('is shown moment by moment from the folded pieces to the closed box, with no jump', () => {
    fc.assert(
      fc.property(requestsIn([style]), (request) => {
        const result = planBox(request);
        if (!result.ok) return;
        const { plan } = result;
        const { pieces, assembly } = plan;
        const thickness = ({ paper }: { paper: number }) =>
          paperFor(request.papers, paper).thickness;
        const box = foldingBox(pieces, thickness, assembly);
        const { steps } = planJob(plan, request, { boxes: 1, corners: 'round the base' });
        const inSpace = steps.filter(
          (step): step is AssemblyStep =>
            step.kind === 'assembly' && step.operations[0].kind !== 'fold',
        );
        let last: readonly PlacedFace[] = [];
        const closed = closedFaces(box);
        const joints = jointsOf(box).filter(
          ({ face, on, holds }) => holds === 'glue' && face.part !== on.part,
        );
        const glued: (readonly [FaceAt, FaceAt])[] = [];
        /** Flaps over one another are shown as one layer until the box is closed. */
        const spare = ([, on]: readonly [FaceAt, FaceAt]) => {
          const part = box.parts.find((each) => each.part.id === on.part);
          const isFlap = part?.pattern.faces[on.face]?.role === 'flap';
          return 0.5 + (isFlap ? (3 * thickness(part.piece)) / 1_000_000 : 0);
        };
        for (const step of inSpace) {
          const scene = assemblyScenes(box, step);
          step.operations.forEach((operation, at) => {
            const start = scene({ at, share: 0 });
            const end = scene({ at, share: 1 });
            if (at > 0)
              expect(apart(scene({ at: at - 1, share: 1 }).faces, start.faces)).toBeLessThan(1e-6);
            // What is glued together stays together.
            for (const pair of glued)
              for (const { faces } of [start, end])
                expect(loosened(faces, closed, pair)).toBeLessThan(spare(pair));
            if (operation.kind === 'attach')
              for (const { face, on } of joints)
                if (face.piece === operation.piece && on.piece === operation.onto) {
                  glued.push([face, on]);
                  expect(loosened(end.faces, closed, [face, on])).toBeLessThan(spare([face, on]));
                }
            // What is told is seen: something moves, and what moves is named.
            if (['glue', 'fold up', 'join', 'attach', 'close'].includes(operation.kind)) {
              const names = `${operation.kind} in ${step.id}`;
              expect(start.moving.length, names).toBeGreaterThan(0);
              expect(apart(start.faces, end.faces), names).toBeGreaterThan(1);
              expect(apart(pick(start), pick(end)), names).toBeGreaterThan(0.01);
            }
          });
          last = scene({ at: step.operations.length - 1, share: 1 }).faces;
        }
        expect(last.length).toBe(box.parts.reduce((sum, each) => sum + each.faces.length, 0));
        expect(apart(last, closed)).toBeLessThan(1e-6);
      }),
      { numRuns: 12 },
    );
  });
});
