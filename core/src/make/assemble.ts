import { jointsOf, type Joint } from '../fold/index.ts';
import { nanometres } from '../length/index.ts';
import type { Papers } from '../paper/index.ts';
import type { Piece } from '../piece/index.ts';
import { assemblePart, type PleatedTop, type StageOfPart } from './assemble-piece.ts';
import { firstPart, step, type Bench } from './bench.ts';
import { boxOf, copiesInBox, type BoxToMake } from './box-to-make.ts';
import { countFolds } from './count-folds.ts';
import { dressings, isWorn, type DressTime } from './dress-steps.ts';
import { edgeHeights } from './edge-heights.ts';
import { layRibbonSteps, spotSteps, tagSteps, tieSteps } from './finishing-steps.ts';
import { foldedInOneGo, inOneGo, pleatedOnce, type AssemblyDraft } from './in-one-go.ts';
import { faceNames, faceRows, type FaceName } from './face-name.ts';
import { heldOnCard } from './held-on-card.ts';
import { joinsOf } from './joins.ts';
import { outFolds } from './out-folds.ts';
import type { LidCorners } from './lid-corners.ts';
import { printTowards } from './print-towards.ts';
import { threadsOf, type ThreadTime } from './threads.ts';
import type {
  AssemblyOperation,
  AttachOperation,
  DressOperation,
  FoldOperation,
  GlueOperation,
  JoinOperation,
  LineOperation,
} from './operations/assembly.ts';

/** Fold and burnish: everything of a piece that is folded by hand. */
function foldSteps(bench: Bench, piece: Piece): readonly AssemblyDraft[] {
  const { id } = piece;
  const folds = countFolds(piece);
  const isTag = bench.box.parts.every((each) => each.piece.id !== id);
  // A tag is folded with all else that is done to it.
  if (folds === 0 || isTag) return [];
  const part = firstPart(bench, id);
  const names = faceNames(bench.box, part);
  const operation: FoldOperation = {
    kind: 'fold',
    piece: id,
    folds,
    out: outFolds(piece),
    rows: faceRows(names, part),
  };
  return step(bench, id, [operation], 0, 0);
}

/** How the pleats of a box's top are closed, where it has any. */
function pleatedTop({ assembly }: BoxToMake): PleatedTop | undefined {
  const { closes } = assembly;
  if (closes === undefined) return undefined;
  switch (closes) {
    case 'gathered':
      return { kind: 'gather', to: 'a point' };
    case 'gathered to a neck':
      return { kind: 'gather', to: 'a neck' };
    case 'pinched sides':
      return { kind: 'pinch', pushedIn: ['left', 'right'] };
    case 'pinched front and back':
      return { kind: 'pinch', pushedIn: ['front', 'back'] };
  }
}

/** What kind of joint a stage is about: it tells where one step ends and another begins. */
function classOf({ operations }: StageOfPart): string | undefined {
  const glued = operations.find((each): each is GlueOperation => each.kind === 'glue');
  if (glued) return glued.faces[0]?.role;
  return operations.some(({ kind }) => kind === 'fold corners') ? 'gusset' : undefined;
}

/** The stages of a part in steps: what leads up to a joint goes with it. */
function stepsOfStages(
  bench: Bench,
  piece: string,
  stages: readonly StageOfPart[],
): readonly AssemblyDraft[] {
  const steps: { readonly about: string | undefined; readonly stages: StageOfPart[] }[] = [];
  let waiting: StageOfPart[] = [];
  for (const each of stages) {
    const about = classOf(each);
    if (about === undefined) {
      waiting.push(each);
      continue;
    }
    const last = steps[steps.length - 1];
    if (last?.about === about) last.stages.push(...waiting, each);
    else steps.push({ about, stages: [...waiting, each] });
    waiting = [];
  }
  const last = steps[steps.length - 1];
  if (last) last.stages.push(...waiting);
  else if (waiting.length > 0) steps.push({ about: undefined, stages: waiting });
  return steps.flatMap(({ stages: here }) =>
    step(
      bench,
      piece,
      here.flatMap(({ operations }) => operations),
      Math.min(...here.map(({ stage }) => stage)),
      Math.max(...here.map(({ stage }) => stage)) + 1,
    ),
  );
}

/** The last two corners of a lid are glued round its finished base. */
function withLidCorners(bench: Bench, steps: readonly AssemblyDraft[]): readonly AssemblyDraft[] {
  if (bench.corners === 'all at once') return steps;
  // Without the band that it goes over, the base is no measure of a lid.
  if (bench.box.assembly.parts.some(({ wraps }) => wraps === 'under lid')) return steps;
  return steps.map((each): AssemblyDraft => {
    const pair = bench.make.pairs.find(({ kind, outer }) => kind === 'lid' && outer === each.piece);
    // Round a piece that is closed last there is nothing to glue it on yet.
    if (pair && isGluedFlat(bench, pair.inner)) return each;
    const waiting = each.operations.filter(isWaitingTab);
    const last = waiting[waiting.length - 1];
    if (!pair || waiting.length < 2 || !last) return each;
    const round: GlueOperation = { ...last, round: pair.inner };
    const [first = round, ...more] = each.operations.map((operation) =>
      operation === last ? round : operation,
    );
    return { ...each, operations: [first, ...more] };
  });
}

/** Tabs that wait with their adhesive for a wall to be folded up against them. */
function isWaitingTab(operation: AssemblyOperation): operation is GlueOperation {
  return (
    operation.kind === 'glue' && operation.faces[0]?.role === 'tab' && operation.moves === 'without'
  );
}

/** Glue between two pieces: all of their joints together. */
function attachSteps(bench: Bench): readonly AssemblyDraft[] {
  const between = bench.joints.filter(
    (joint) =>
      joint.holds === 'glue' && joint.face.part !== joint.on.part && !isWorn(bench.box, joint),
  );
  const pairs = [...new Set(between.map(({ face, on }) => JSON.stringify([face.piece, on.piece])))];
  return pairs.flatMap((pair) => {
    const here = between.filter(({ face, on }) => JSON.stringify([face.piece, on.piece]) === pair);
    const [first] = here;
    if (!first) return [];
    const nameIn = (piece: string, face: number): FaceName | undefined =>
      faceNames(bench.box, firstPart(bench, piece))[face];
    const operation: AttachOperation = {
      kind: 'attach',
      piece: first.face.piece,
      onto: first.on.piece,
      joints: here.flatMap((joint) => {
        const face = nameIn(joint.face.piece, joint.face.face);
        const on = nameIn(joint.on.piece, joint.on.face);
        if (!face || !on) return [];
        return [
          {
            face,
            adhesiveOn: joint.touches === 'drawn face' ? ('inside' as const) : ('outside' as const),
            on,
            onSide: joint.touched === 'drawn face' ? ('inside' as const) : ('outside' as const),
            ...edgeHeights(bench.box, joint),
          },
        ];
      }),
      pieces: new Set(here.map(({ face }) => face.part)).size,
      narrow: nanometres(Math.min(...here.map(({ narrow }) => narrow))),
      isFlat: isGluedFlat(bench, first.on.piece),
    };
    // What comes into the box later is glued before the gift all the same.
    const at = Math.min(meetsAt(bench, first), bench.box.assembly.giftEnters);
    // Counted by boxes: all joints between two pieces are one thing to do.
    return step(bench, first.face.piece, [operation], at, at).map((each) => ({
      ...each,
      copies: 1,
    }));
  });
}

function meetsAt({ box }: Bench, { face, on }: Joint): number {
  const joins = (id: string) => box.parts.find(({ part }) => part.id === id)?.part.joins ?? 0;
  return Math.max(joins(face.part), joins(on.part));
}

function joinSteps(bench: Bench): readonly AssemblyDraft[] {
  return joinsOf(bench.make).flatMap(({ operation: put, stage }) => {
    const operation = withPrint(bench, put);
    const drafts = step(bench, operation.piece, [operation], stage, stage + 1);
    if (operation.kind !== 'line') return drafts;
    // All plates of one piece are glued in in one go.
    const copies = copiesInBox(bench.make, operation.onto);
    return drafts.map((each) => ({ ...each, copies }));
  });
}

function threadSteps(bench: Bench, wanted: ThreadTime): readonly AssemblyDraft[] {
  const { giftEnters } = bench.box.assembly;
  const at = { flat: 0, 'before the gift': giftEnters, 'to close': bench.box.end };
  return bench.make.pieces.flatMap((piece) =>
    threadsOf(piece, wanted).flatMap((operation) =>
      step(bench, piece.id, [operation], at[wanted], at[wanted]),
    ),
  );
}

/** Something that is put on or in, with where the top of its print comes to. */
function withPrint<Put extends DressOperation | JoinOperation | LineOperation>(
  { box, papers }: Bench,
  operation: Put,
): Put {
  // What stands free or goes round is turned by hand until its print looks right.
  if (operation.kind === 'join' && operation.how !== 'on its floor') return operation;
  const prints = printTowards(box, papers, operation.piece);
  return prints.length === 0 ? operation : { ...operation, prints };
}

/** What the box wears, put on at this time. */
function dressSteps(bench: Bench, when: DressTime): readonly AssemblyDraft[] {
  return dressings(bench.box, bench.joints, when).flatMap(({ operation, times }) =>
    step(bench, operation.piece, [withPrint(bench, operation)], 0, 0).map((each) => ({
      ...each,
      copies: times,
    })),
  );
}

/** Whether several parts are glued onto a piece that nothing else holds together, so that it must lie flat for it. */
function isGluedFlat(bench: Bench, piece: string): boolean {
  const holdsItself = bench.joints.some(
    ({ face, on, holds }) => holds === 'glue' && face.piece === piece && on.piece === piece,
  );
  if (holdsItself) return false;
  const faces = bench.joints.filter(
    (joint) =>
      joint.holds === 'glue' &&
      joint.face.part !== joint.on.part &&
      joint.on.piece === piece &&
      !isWorn(bench.box, joint),
  );
  return new Set(faces.map(({ face }) => face.part)).size > 1;
}

/**
 * The steps from flat pieces to the closed box with the gift in it. Every fold is burnished first. Then each
 * piece is put together by itself, what stands inside before what goes over it; pieces are glued to one
 * another before the gift goes in; then the box is closed, to its end.
 */
export function assemblySteps(
  make: BoxToMake,
  papers: Papers,
  corners: LidCorners,
): readonly AssemblyDraft[] {
  const box = boxOf(make, papers);
  const bench: Bench = { make, box, joints: jointsOf(box), corners, papers };
  const gift = box.assembly.giftEnters;
  const pieces = [...new Set(box.parts.map(({ piece }) => piece.id))];
  const pleated = pleatedTop(make);
  const stages = pieces.map((piece) => ({
    piece,
    isFlat: isGluedFlat(bench, piece),
    stages: assemblePart(box, firstPart(bench, piece), pleated),
    joins: firstPart(bench, piece).part.joins,
  }));
  const early = stages.flatMap(({ piece, isFlat, stages: all }) => {
    const before = isFlat ? [] : all.filter(({ stage }) => stage < gift);
    return withLidCorners(bench, stepsOfStages(bench, piece, before));
  });
  const late = stages.flatMap(({ piece, isFlat, stages: all }) =>
    all
      .filter(({ stage }) => isFlat || stage >= gift)
      .map((each) => ({ piece, stage: each.stage, operations: each.operations })),
  );
  const attached = attachSteps(bench);
  // What a piece that is glued on is folded to first goes with the gluing.
  const folded = (each: AssemblyDraft) =>
    early.filter(
      (before) =>
        before.piece === each.piece && before.operations.every(({ kind }) => kind === 'fold up'),
    );
  const attachedFolded = attached.map((each): AssemblyDraft => {
    const [first, ...more] = folded(each).flatMap(({ operations }) => operations);
    return first ? { ...each, operations: [first, ...more, ...each.operations] } : each;
  });
  const goneWith = new Set(attached.flatMap(folded));
  const joined = joinSteps(bench);
  const [first] = box.parts;
  const heldBy = heldOnCard(make);
  const givesIn: readonly AssemblyDraft[] = first
    ? step(
        bench,
        first.piece.id,
        [{ kind: 'put in', piece: first.piece.id, ...(heldBy && { heldBy }) }],
        gift,
        gift + 1,
      ).map((each) => ({ ...each, copies: 1 }))
    : [];
  return [
    ...make.pieces.flatMap((piece) => foldSteps(bench, piece)),
    ...threadSteps(bench, 'flat'),
    ...spotSteps(bench),
    ...dressSteps(bench, 'flat'),
    ...early.filter((each) => !goneWith.has(each)),
    ...attachedFolded,
    ...dressSteps(bench, 'folded'),
    ...layRibbonSteps(bench),
    ...joined.filter(({ from }) => from < gift),
    ...threadSteps(bench, 'before the gift'),
    ...inOneGo([
      ...givesIn,
      ...tieSteps(bench, ({ way }) => way === 'notches'),
      ...closingSteps(
        bench,
        late,
        joined.filter(({ from }) => from >= gift),
      ),
      ...tieSteps(bench, ({ way }) => way === 'holes'),
      ...threadSteps(bench, 'to close'),
    ]),
    ...tieSteps(bench, ({ way }) => way !== 'holes' && way !== 'notches'),
    ...tagSteps(bench),
  ];
}

interface LateStage {
  readonly piece: string;
  readonly stage: number;
  readonly operations: readonly AssemblyOperation[];
}

function isGoingRound(operation: AssemblyOperation): boolean {
  return operation.kind === 'close' && operation.way.kind === 'go round';
}

/** What closes the filled box, in order; what is done to one piece is one step. */
function closingSteps(
  bench: Bench,
  late: readonly LateStage[],
  joined: readonly AssemblyDraft[],
): readonly AssemblyDraft[] {
  const pieces = [...new Set(late.map(({ piece }) => piece))];
  const closings = pieces.flatMap((piece) => {
    const here = late.filter((each) => each.piece === piece);
    const isRound = here.some(({ operations }) => operations.some(isGoingRound));
    return step(
      bench,
      piece,
      foldedInOneGo(pleatedOnce(here.flatMap(({ operations }) => operations))),
      Math.min(...here.map(({ stage }) => stage)),
      Math.max(...here.map(({ stage }) => stage)) + 1,
      // Parts that close over one another are closed together, however many copies they are.
    ).map((each) => (isRound ? { ...each, copies: 1 } : each));
  });
  return [...closings, ...joined].sort((a, b) => a.from - b.from);
}
