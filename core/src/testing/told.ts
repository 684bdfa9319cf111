import {
  papersOf,
  planJob,
  sayStep,
  toMillimetres,
  type Plan,
  type PlanRequest,
  hasWayUp,
} from '../index.ts';
import {
  boxInSpace,
  flatSize,
  jointsInSpace,
  type FaceInSpace,
  type JointInSpace,
} from './joints-in-space.ts';
import {
  comparePiece,
  readBox,
  turnedPlace,
  type MadePiece,
  type ReadJoint,
  type ToldStep,
} from './reader/index.ts';

/** The steps of a job as they are printed. */
export function toldSteps(plan: Plan, request: PlanRequest, boxes: number): readonly ToldStep[] {
  const job = planJob(plan, request, { boxes });
  return job.steps.map((step) => ({
    tool: step.bench,
    copies: step.copies,
    text: sayStep(step, { job, box: plan, kit: request.kit }).text,
  }));
}

/** How often each piece that was read is turned to lie as it is drawn. */
type Turns = ReadonlyMap<string, number>;

/** Every way to choose one of each. */
function choices(all: readonly (readonly [string, readonly number[]])[]): readonly Turns[] {
  return all.reduce<readonly Turns[]>(
    (some, [name, ways]) =>
      some.flatMap((turns) => ways.map((way) => new Map([...turns, [name, way]]))),
    [new Map()],
  );
}

/** Whether a planned face is among those that were read. */
function isAmong(
  face: FaceInSpace,
  name: string,
  faces: ReadJoint['on'],
  { made, turns, plan }: { made: readonly MadePiece[]; turns: Turns; plan: Plan },
): boolean {
  const planned = plan.pieces.find(({ id }) => id === face.piece);
  if (planned?.name !== name) return false;
  if (!faces) return true;
  const piece = made.find((each) => each.name === name);
  const back = -(turns.get(name) ?? 0);
  const place = turnedPlace(face.spot, flatSize(planned), back);
  const at = piece?.parts?.faceAt(place);
  return at !== undefined && faces.includes(at);
}

/** Joints that a maker is told of: what is glued, and what goes behind a wall. */
function isTold({ holds, face, on }: JointInSpace): boolean {
  if (holds === 'glue') return true;
  return on.role === 'wall' && ['flap', 'gusset', 'seam'].includes(face.role);
}

/** How the joints that were read differ from those of the closed box, with the pieces turned so. */
function jointFaults(
  plan: Plan,
  planned: readonly JointInSpace[],
  read: readonly ReadJoint[],
  made: readonly MadePiece[],
  turns: Turns,
): readonly string[] {
  const at = { made, turns, plan };
  const told = new Set<ReadJoint>();
  const faults: string[] = [];
  for (const { holds, face, on, inward } of planned) {
    const described = `${face.role} of ${face.piece} on ${on.role} of ${on.piece}`;
    // The adhesive may be on either of the two.
    const ways = [
      { one: face, other: on },
      { one: on, other: face },
    ];
    const found = read.flatMap((joint) =>
      ways
        .filter(
          ({ one, other }) =>
            joint.holds === holds &&
            isAmong(one, joint.piece, joint.faces, at) &&
            isAmong(other, joint.onPiece, joint.on, at),
        )
        .map((way) => ({ joint, ...way })),
    );
    const [first] = found;
    if (!first) {
      faults.push(`nobody is told of ${described}`);
      continue;
    }
    const { joint, one, other } = first;
    told.add(joint);
    if (holds === 'glue' && found.length > 1) faults.push(`${described} is told twice`);
    if (joint.side !== undefined && one.side !== undefined && joint.side !== one.side)
      faults.push(`${described}: adhesive on the ${joint.side}`);
    if (joint.onSide !== undefined && other.side !== undefined && joint.onSide !== other.side)
      faults.push(`${described}: onto the ${joint.onSide}`);
    if (joint.fromFold !== undefined && Math.abs(joint.fromFold - inward) > 0.5)
      faults.push(`${described}: ${joint.fromFold} mm in, and not ${inward.toFixed(1)}`);
    const above = one.lowest - other.lowest;
    if (joint.isLevelAbove && Math.abs(one.highest - other.highest) > 1.3)
      faults.push(`${described}: not level above by ${(one.highest - other.highest).toFixed(1)}`);
    if (joint.above !== undefined && Math.abs(joint.above - above) > 1.3)
      faults.push(`${described}: ${joint.above} mm above, and not ${above.toFixed(1)}`);
  }
  for (const joint of read)
    if (!told.has(joint)) faults.push(`${joint.piece} on ${joint.onPiece}: told, and not planned`);
  return faults;
}

/** What differs between the planned box and the one that a reader makes of what is told; none is right. */
export function faultsInWords(
  plan: Plan,
  request: PlanRequest,
  boxes: number,
  pick: (ways: number) => number,
): readonly string[] {
  const steps = toldSteps(plan, request, boxes);
  const sheets = papersOf(request).map(({ name, sheet, print, printRuns }) => ({
    paper: name,
    width: toMillimetres(sheet.width),
    height: toMillimetres(sheet.height),
    ...(hasWayUp({ print, printRuns }) && { printTop: 'top' as const }),
  }));
  try {
    const { pieces: made, joints } = readBox(
      steps,
      request.kit,
      sheets,
      plan.pieces.map(({ name }) => name),
      pick,
    );
    const lyings: (readonly [string, readonly number[]])[] = [];
    const faults = plan.pieces.flatMap((piece) => {
      const found = made.find(({ name }) => name === piece.name);
      if (!found) return [`no ${piece.name}`];
      const count = found.count === piece.copies * boxes ? [] : [`${found.count} of ${piece.name}`];
      const compared = comparePiece(found.card, piece);
      const right = compared.filter((each) => each.faults.length === 0);
      lyings.push([piece.name, right.map(({ quarters }) => quarters)]);
      return [...count, ...(compared[0]?.faults ?? []).map((fault) => `${piece.name}: ${fault}`)];
    });
    if (faults.length > 0) return faults;
    const planned = jointsInSpace(plan, boxInSpace(plan, request)).filter(isTold);
    const ways = choices(lyings).map((turns) => jointFaults(plan, planned, joints, made, turns));
    return [...ways].sort((a, b) => a.length - b.length)[0] ?? [];
  } catch (error) {
    return [error instanceof Error ? error.message : 'It can’t be read'];
  }
}
