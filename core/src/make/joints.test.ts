import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  closedFaces,
  foldingBox,
  paperFor,
  planBox,
  planJob,
  sayStep,
  type FoldingBox,
  type Job,
  type PlacedFace,
  type Plan,
  type PlanRequest,
  type Vector,
} from '../index.ts';
import { anyRequest } from '../testing/requests.ts';

/** Measured in the closed box in space, with arithmetic of its own. */
function dot(a: Vector, b: Vector): number {
  return a.x * b.x + a.y * b.y + a.z * b.z;
}

function from(a: Vector, b: Vector): Vector {
  return { x: b.x - a.x, y: b.y - a.y, z: b.z - a.z };
}

function middle({ ring }: PlacedFace): Vector {
  const mean = (pick: (place: Vector) => number) =>
    ring.reduce((sum, place) => sum + pick(place), 0) / ring.length;
  return { x: mean(({ x }) => x), y: mean(({ y }) => y), z: mean(({ z }) => z) };
}

type CardSide = 'inside' | 'outside';

/** On which side of a face something lies; the drawn side becomes the inside. None too near to tell. */
function sideTowards(face: PlacedFace, place: Vector): CardSide | undefined {
  const off = dot(from(middle(face), place), face.out);
  if (Math.abs(off) < 0.05) return undefined;
  return off > 0 ? 'inside' : 'outside';
}

/** A face that is glued to another one, and which sides of both meet. */
interface Joint {
  readonly face: string;
  readonly on: string;
  readonly faceSide: CardSide | undefined;
  readonly onSide: CardSide | undefined;
}

function jointsInSpace(plan: Plan, box: FoldingBox): readonly Joint[] {
  const placed = closedFaces(box);
  const found = (ref: Plan['assembly']['stacks'][number]['face']) => {
    const part = box.parts.find(({ part: { id } }) => id === ref.part);
    const at = part?.pattern.faceAt(ref.spot);
    const face = placed.find((each) => each.part === ref.part && each.face === at);
    if (!part || !face) throw new Error('A face of the assembly is not in the box');
    return { name: `${part.piece.id} ${face.face}`, face };
  };
  return plan.assembly.stacks
    .filter(({ holds }) => holds === 'glue')
    .map(({ face, on }): Joint => {
      const [one, other] = [found(face), found(on)];
      return {
        face: one.name,
        on: other.name,
        faceSide: sideTowards(one.face, middle(other.face)),
        onSide: sideTowards(other.face, middle(one.face)),
      };
    });
}

/** What the job tells of each glued face: which side takes the adhesive, what it goes onto, and where. */
function jointsTold({ steps }: Job) {
  return steps
    .flatMap((step) => (step.kind === 'assembly' ? step.operations : []))
    .flatMap((each) => {
      if (each.kind === 'glue')
        return each.faces.map((face) => ({
          face: `${each.piece} ${face.at}`,
          onto: each.onto.map(({ at }) => `${each.piece} ${at}`),
          adhesiveOn: each.adhesiveOn,
          ontoSide: each.ontoSide,
        }));
      if (each.kind !== 'attach') return [];
      return each.joints.map(({ face, on, adhesiveOn, onSide }) => ({
        face: `${face.piece} ${face.at}`,
        onto: [`${on.piece} ${on.at}`],
        adhesiveOn,
        ontoSide: onSide,
      }));
    });
}

function jobsInSpace(
  check: (job: Job, box: FoldingBox, plan: Plan, request: PlanRequest) => void,
): void {
  fc.assert(
    fc.property(
      anyRequest,
      fc.constantFrom('round the base' as const, 'all at once' as const),
      (request, corners) => {
        const result = planBox(request);
        if (!result.ok) return;
        const { plan } = result;
        const thicknessOf = ({ paper }: Plan['pieces'][number]) =>
          paperFor(request.papers, paper).thickness;
        const box = foldingBox(plan.pieces, thicknessOf, plan.assembly);
        check(planJob(plan, request, { boxes: 1, corners }), box, plan, request);
      },
    ),
    { numRuns: 150 },
  );
}

describe('the joints of a job', () => {
  it('put the adhesive on the side that meets its partner in the closed box', () => {
    let seen = 0;
    jobsInSpace((job, box, plan) => {
      const told = jointsTold(job);
      for (const { face, on, faceSide, onSide } of jointsInSpace(plan, box)) {
        const here = told.filter((each) => each.face === face || each.onto.includes(face));
        const joint = here.find(
          (each) =>
            (each.face === face && each.onto.includes(on)) ||
            (each.face === on && each.onto.includes(face)),
        );
        expect(joint, `${face} on ${on}`).toBeDefined();
        if (!joint) continue;
        const isTurned = joint.face !== face;
        const [one, other] = isTurned ? [onSide, faceSide] : [faceSide, onSide];
        if (one !== undefined) expect(joint.adhesiveOn, `${face} on ${on}`).toBe(one);
        if (other !== undefined) expect(joint.ontoSide, `${on} under ${face}`).toBe(other);
        seen++;
      }
    });
    expect(seen).toBeGreaterThan(300);
  });

  it('are told on that side, one after the other', () => {
    jobsInSpace((job, _, plan, request) => {
      for (const step of job.steps) {
        if (step.kind !== 'assembly') continue;
        const glues = step.operations.flatMap((each) => (each.kind === 'glue' ? [each] : []));
        if (glues.length === 0) continue;
        const { text } = sayStep(step, { job, box: plan, kit: request.kit });
        const sides = [...text.matchAll(/Adhesive on the (inside|outside) of/g)];
        const presses = [...text.matchAll(/press \S+ (?:onto the )?(inside|outside)/g)];
        expect(sides.map(([, side]) => side)).toEqual(glues.map(({ adhesiveOn }) => adhesiveOn));
        expect(presses.map(([, side]) => side)).toEqual(glues.map(({ ontoSide }) => ontoSide));
      }
    });
  });

  it('name a wall by the side of the box on which it stands', () => {
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
        const walls = own.filter(({ role }) => role === 'wall').map(middle);
        const centre = walls.reduce(
          (sum, { x, y, z }) => ({
            x: sum.x + x / walls.length,
            y: sum.y + y / walls.length,
            z: sum.z + z / walls.length,
          }),
          { x: 0, y: 0, z: 0 },
        );
        if (!wall) throw new Error('A named wall is not in the box');
        expect(dot(from(centre, middle(wall)), ways[name.faces])).toBeGreaterThan(0);
        seen++;
      }
    });
    expect(seen).toBeGreaterThan(300);
  });
});
