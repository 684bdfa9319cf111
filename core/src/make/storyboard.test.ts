import { describe, expect, it } from 'vitest';
import {
  allStyles,
  assemblyScenes,
  foldingBox,
  litBy,
  madeBefore,
  paperFor,
  planBox,
  planJob,
  seen,
  type AssemblyStep,
  type FlatStep,
  type FoldingBox,
  type Job,
  type Plan,
  type PlanRequest,
  type Vector,
} from '../index.ts';
import { approvedBoxes } from '../testing/approved-boxes.ts';

/** A place in a picture, to the tenth of a millimetre. */
function at({ x, y, z }: Pick<Vector, 'x' | 'y'> & Partial<Vector>): string {
  const rounded = (value: number) => `${Math.round(value * 10) / 10 + 0}`;
  return [x, y, ...(z === undefined ? [] : [z])].map(rounded).join(' ');
}

/** How many there are of each, in the order of their names. */
function tally(names: readonly string[]): string {
  const counts = new Map<string, number>();
  for (const name of names) counts.set(name, (counts.get(name) ?? 0) + 1);
  const row = [...counts].sort(([a], [b]) => (a < b ? -1 : 1));
  return row.map(([name, count]) => `${count} ${name}`).join(', ');
}

/** The corners of the smallest block round some places. */
function extent(places: readonly Vector[]): string {
  const of = (pick: (place: Vector) => number) => places.map(pick);
  const corner = (pick: (...all: number[]) => number): Vector => ({
    x: pick(...of(({ x }) => x)),
    y: pick(...of(({ y }) => y)),
    z: pick(...of(({ z }) => z)),
  });
  return `${at(corner(Math.min))} to ${at(corner(Math.max))}`;
}

/** What the pictures of a flat step show: the card as it is, and what is lit on it. */
function flatPictures(job: Job, step: FlatStep, plan: Plan, request: PlanRequest): string[] {
  const piece = plan.pieces.find(({ id }) => id === step.piece);
  if (!piece) throw new Error('A step of no piece');
  const made = madeBefore(job, step, piece, paperFor(request.papers, piece.paper));
  const { size, traces } = seen(made, step.laid.lying);
  const card = `${at({ x: size.width / 1e6, y: size.height / 1e6 })} mm`;
  return [
    `  ${card}, with ${tally(traces.map(({ kind }) => kind)) || 'nothing on it'}`,
    ...step.operations.map((operation) => {
      const { lines, areas } = litBy(operation, piece);
      const lit = [
        ...lines.map(({ from, to }) => `${at(from)}–${at(to)}`),
        ...areas.map((ring) => `(${ring.map(at).join(', ')})`),
      ];
      return `  ${operation.kind}: ${lit.join('; ')}`;
    }),
  ];
}

/** What the pictures of an assembly step show: what is on the table, what turns, and where it comes to be. */
function assemblyPictures(box: FoldingBox, step: AssemblyStep): string[] {
  const scene = assemblyScenes(box, step);
  return step.operations.map((operation, nth) => {
    const [start, end] = [scene({ at: nth, share: 0 }), scene({ at: nth, share: 1 })];
    const moved = end.faces.filter((each) =>
      end.moving.some(({ part, face }) => part === each.part && face === each.face),
    );
    const turns = tally(moved.map(({ part, role }) => `${role} of ${part}`));
    const gift = end.gift === 0 ? '' : `, gift ${start.gift} to ${end.gift}`;
    return [
      `  ${operation.kind}: ${tally(end.faces.map(({ part }) => `faces of ${part}`))}${gift}`,
      `    moving ${turns || 'nothing'}${moved.length === 0 ? '' : `, at last ${extent(moved.flatMap(({ ring }) => ring))}`}`,
      `    all in ${extent(end.faces.flatMap(({ ring }) => ring))}`,
    ].join('\n');
  });
}

function storyboard(plan: Plan, request: PlanRequest): string {
  const job = planJob(plan, request, { boxes: 1 });
  const thickness = ({ paper }: { paper: number }) => paperFor(request.papers, paper).thickness;
  const box = foldingBox(plan.pieces, thickness, plan.assembly);
  return job.steps
    .flatMap((step) => {
      if (step.kind === 'cut' || step.kind === 'own') return [];
      const pictures =
        step.kind === 'flat' ? flatPictures(job, step, plan, request) : assemblyPictures(box, step);
      return [`${step.piece}, ${step.bench}`, ...pictures];
    })
    .join('\n');
}

/*
 * What the pictures of Make show of a few boxes of each kind, step by step, as they were looked at and approved.
 * After a change, look at Make, and where it is right take it over with
 * `npx vitest run --root . -u core/src/make/storyboard`.
 */
describe('what is pictured', () => {
  it.each(allStyles.map((style) => [style.id, style] as const))(
    'of a %s is as it was approved',
    async (id, style) => {
      const told = approvedBoxes(style).flatMap(({ request }, nth) => {
        const result = planBox(request);
        return result.ok ? [`== box ${nth + 1}`, storyboard(result.plan, request)] : [];
      });
      await expect(`${told.join('\n')}\n`).toMatchFileSnapshot(`approved/${id}.txt`);
    },
  );
});
