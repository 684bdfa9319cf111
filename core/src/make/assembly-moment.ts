import {
  carriedAlong,
  foldedTo,
  giftAt,
  lyingFrames,
  partPlace,
  posePart,
  poseWorn,
  progressOf,
  wearerOf,
  type FoldingBox,
  type FoldingPart,
  type FoldProgress,
  type Frame,
  type Joint,
  type PartPose,
  type PlacedFace,
  type Scene,
} from '../fold/index.ts';
import { gluedAt, jointsWithin } from './assemble-piece.ts';
import { carriedPlace, carrierPlace, carryingsOf, heldBefore, type Carrying } from './carrying.ts';
import { dressScene, isWornBefore, wornOn } from './dress-moment.ts';
import { foldsOfPart, turnsAbout, withParents, type FoldsOfPart } from './folds-of-part.ts';
import type { AssemblyOperation, GlueOperation } from './operations/assembly.ts';
import type { AssemblyStep } from './step.ts';

/** What one operation of a step does to the box in space. */
interface Motion {
  readonly piece: string;
  /** Faces that turn about the fold by which they hang. */
  readonly turns: ReadonlySet<number>;
  /** Stages between which it happens. */
  readonly from: number;
  readonly to: number;
}

/** A part with all that decides how it moves. */
interface MovingPart extends FoldsOfPart {
  readonly part: FoldingPart;
  readonly joints: readonly Joint[];
}

function movingPart(box: FoldingBox, piece: string): MovingPart | undefined {
  const part = box.parts.find((each) => each.piece.id === piece);
  return part && { part, ...foldsOfPart(part), joints: jointsWithin(box, part) };
}

/** What turns as parts are glued: of all that a glued face or its partner hangs on, the last to be folded. */
function turnsOfGluing(
  { faces, onto }: Pick<GlueOperation, 'faces' | 'onto'>,
  { joints, parents, stages }: MovingPart,
): readonly number[] {
  const glued = new Set(faces.map(({ at }) => at));
  const targets = new Set(onto.map(({ at }) => at));
  return joints
    .filter(({ face, on }) => glued.has(face.face) && targets.has(on.face))
    .flatMap((joint) => {
      const stage = gluedAt(joint, joints);
      const one = withParents(joint.face.face, parents);
      const other = withParents(joint.on.face, parents);
      // What both hang on carries them along and brings them no nearer.
      return [...one, ...other].filter(
        (at) => stages.get(at) === stage && !(one.includes(at) && other.includes(at)),
      );
    });
}

function turnsOf(operation: AssemblyOperation, moving: MovingPart, gift: number) {
  const { part, stages } = moving;
  switch (operation.kind) {
    case 'glue':
    case 'hook':
      return turnsOfGluing(operation, moving);
    case 'fold up':
    case 'tuck':
      return operation.faces.map(({ at }) => at);
    case 'fold corners':
      return part.pattern.faces.flatMap(({ role }, at) => (role === 'gusset' ? [at] : []));
    case 'close': {
      const { way } = operation;
      if (way.kind === 'fold over') return way.faces.map(({ at }) => at);
      if (way.kind === 'fold down') return [way.face.at];
      return [...stages].flatMap(([face, stage]) => (stage >= gift ? [face] : []));
    }
    case 'fold':
    case 'thread':
    case 'join':
    case 'line':
    case 'attach':
    case 'dress':
    case 'lay ribbon':
    case 'tie':
    case 'tag':
    case 'spot':
    case 'put in':
      return [];
  }
}

/** The stage at which a piece comes to the others. */
function joinsAt(box: FoldingBox, piece: string): number {
  return box.parts.find((each) => each.piece.id === piece)?.part.joins ?? 0;
}

/** What each operation of a step does, in order; a face that two of them name turns with the first. */
function motionsOf(box: FoldingBox, step: AssemblyStep): readonly Motion[] {
  const { giftEnters } = box.assembly;
  // A pleated top takes along all that nothing else names.
  const named = (piece: string) =>
    step.operations.flatMap((each) => {
      const moving = each.piece === piece ? movingPart(box, piece) : undefined;
      const isTop =
        each.kind === 'close' && (each.way.kind === 'pinch' || each.way.kind === 'gather');
      return moving && !isTop ? turnsOf(each, moving, giftEnters) : [];
    });
  const taken = new Set<string>();
  return step.operations.map((operation): Motion => {
    const { kind, piece } = operation;
    const still = { piece, turns: new Set<number>(), from: step.from, to: step.from };
    if (kind === 'put in') return { ...still, from: giftEnters, to: giftEnters + 1 };
    if (kind === 'join' || kind === 'line')
      return { ...still, from: joinsAt(box, piece), to: joinsAt(box, piece) + 1 };
    if (kind === 'attach') {
      // What is carried from then on comes to where the other one lies, whatever the stage of the box.
      if (step.from >= giftEnters) return still;
      const meets = Math.max(joinsAt(box, piece), joinsAt(box, operation.onto));
      return { ...still, from: meets, to: meets + 1 };
    }
    const moving = movingPart(box, piece);
    if (!moving) return still;
    const others =
      kind === 'close' && (operation.way.kind === 'pinch' || operation.way.kind === 'gather')
        ? new Set(named(piece))
        : new Set<number>();
    const turns = turnsOf(operation, moving, giftEnters).filter(
      (at) => moving.stages.has(at) && !others.has(at) && !taken.has(`${piece} ${at}`),
    );
    for (const at of turns) taken.add(`${piece} ${at}`);
    const stages = turns.flatMap((at) => moving.stages.get(at) ?? []);
    if (stages.length === 0) return still;
    return {
      piece,
      turns: new Set(turns),
      from: Math.min(...stages),
      to: Math.max(...stages) + 1,
    };
  });
}

/** One operation of a step, a share of its way done. */
export interface AssemblyMoment {
  /** Which of the operations, from 0. */
  readonly at: number;
  readonly share: number;
}

/** The table at a moment of an assembly step. */
export interface AssemblyScene extends Scene {
  /** Faces that turn just now, by their part; of a part that moves as a whole the face it stands on. */
  readonly moving: readonly Pick<PlacedFace, 'part' | 'face'>[];
}

/** All that stays the same while a step is shown. */
interface Shown {
  readonly box: FoldingBox;
  readonly step: AssemblyStep;
  readonly motions: readonly Motion[];
  readonly lying: readonly Frame[];
  readonly parents: ReadonlyMap<FoldingPart, FoldsOfPart['parents']>;
  readonly carryings: readonly Carrying[];
}

/** Whether the whole box is on the table: pieces are brought together, or the gift is in. */
function isAllAtHand({ operations, from }: AssemblyStep, gift: number): boolean {
  // It is put through or in one piece, before that comes to the others.
  if (operations.some(({ kind }) => kind === 'lay ribbon')) return false;
  return (
    from >= gift ||
    operations.some(({ kind }) => ['join', 'line', 'attach', 'put in', 'close'].includes(kind))
  );
}

/** What is glued to a part of a step that is not in its place yet, and goes with it from then on. */
function carriedFrom({ step, carryings }: Shown): readonly Carrying[] {
  const attached = step.operations.flatMap((each) =>
    each.kind === 'attach' ? [[each.piece, each.onto]] : [],
  );
  return carryings.filter(({ part, by }) =>
    attached.some((pair) => pair.includes(part.piece.id) && pair.includes(by.piece.id)),
  );
}

/** The parts that are together when a step is done; those that come later are not on the table yet. */
function partsTogether(shown: Shown): readonly FoldingPart[] {
  const { box, step, motions } = shown;
  const glued = carriedFrom(shown).flatMap(({ part, by }) => [part, by]);
  if (glued.length > 0) return box.parts.filter((part) => glued.includes(part));
  const end = Math.max(...motions.map(({ to }) => to));
  const named = new Set(
    step.operations.flatMap((each) =>
      each.kind === 'join' || each.kind === 'line' || each.kind === 'attach'
        ? [each.piece, each.onto]
        : [each.piece],
    ),
  );
  return box.parts.filter(({ part, piece }) => part.joins < end || named.has(piece.id));
}

/** The finished piece round which a part of the step is glued, once that is at hand. */
function roundAt({ operations }: AssemblyStep, at: number): string | undefined {
  return operations
    .slice(0, at + 1)
    .flatMap((each) => (each.kind === 'glue' && each.round !== undefined ? [each.round] : []))
    .at(-1);
}

/**
 * Shows the box while an operation of a step is being done: what came before is done, what comes later is
 * not. A piece that is put together by itself lies by itself, as it lay when it was flat.
 */
export function assemblyScenes(
  box: FoldingBox,
  step: AssemblyStep,
): (moment: AssemblyMoment) => AssemblyScene {
  const motions = motionsOf(box, step);
  const lying = lyingFrames(box);
  const parents = new Map(box.parts.map((part) => [part, foldsOfPart(part).parents]));
  // Before that every piece is put together by itself.
  const carryings = step.from < box.assembly.giftEnters ? [] : carryingsOf(box);
  const [first] = step.operations;
  if (first.kind === 'dress') return (moment) => dressScene(box, lying, first, moment.share);
  return (moment) => sceneOf({ box, step, motions, lying, parents, carryings }, moment);
}

/** The piece that comes as a whole to what is there: of two that are glued together the one that joins later. */
function wholeMoving(box: FoldingBox, operation: AssemblyOperation): readonly string[] {
  if (operation.kind === 'join' || operation.kind === 'line') return [operation.piece];
  if (operation.kind !== 'attach') return [];
  const { piece, onto } = operation;
  return [joinsAt(box, onto) > joinsAt(box, piece) ? onto : piece];
}

interface PlacingMoment {
  /** What is being glued just now to a part that carries it from then on, and how far it has come. */
  readonly glued: readonly Carrying[];
  readonly share: number;
  readonly time: number;
  readonly progressIn: (part: FoldingPart) => FoldProgress;
}

/** Where each part is as a whole: on the mat, on its way into the box, or carried by what it is glued to. */
function placesOf(
  { box, lying, carryings }: Shown,
  { glued, share, time, progressIn }: PlacingMoment,
): (part: FoldingPart) => Frame {
  const onMat = (part: FoldingPart) => lying[box.parts.indexOf(part)] ?? part.closed;
  const byItself = (part: FoldingPart) => {
    if (glued.length > 0) return onMat(part);
    // What carries the part that the box stands on is there with it.
    const standing = carryings.find((each) => each.by === part && each.part === box.parts[0]);
    if (standing) return carrierPlace(standing, { progress: progressIn(part) });
    return partPlace(part, {
      from: onMat(part),
      to: part.closed,
      share: progressOf(part.part.joins, time),
    });
  };
  return (part) => {
    const carrying = carryings.find((each) => each.part === part);
    if (!carrying) return byItself(part);
    const { by } = carrying;
    const carrier = { place: byItself(by), progress: progressIn(by) };
    const to = carriedPlace(carrying, carrier);
    return glued.includes(carrying)
      ? partPlace(part, { from: heldBefore(carrying, carrier), to, share })
      : to;
  };
}

function sceneOf(shown: Shown, { at, share }: AssemblyMoment): AssemblyScene {
  const { box, step, motions, parents } = shown;
  const now = motions[at];
  const done = Math.max(step.from, ...motions.slice(0, at).map(({ to }) => to));
  // What no operation names goes along as time passes.
  const time = done + share * (Math.max(done, now?.to ?? done) - done);
  // What lines a box or lies in it comes when all has been folded that is before the gift.
  const comesIn = step.operations.every(({ kind }) => kind === 'join' || kind === 'line');
  const folded = comesIn ? Math.max(time, box.assembly.giftEnters) : time;

  const progressIn = (part: FoldingPart): FoldProgress => {
    const above = parents.get(part) ?? new Map<number, number>();
    return (crease) => {
      const face = turnsAbout(crease, above);
      const by =
        face === undefined
          ? -1
          : motions.findIndex(({ piece, turns }) => piece === part.piece.id && turns.has(face));
      const motion = motions[by];
      if (!motion) return progressOf(crease.stage, folded);
      if (by !== at) return by < at ? 1 : 0;
      return progressOf(crease.stage, motion.from + share * (motion.to - motion.from));
    };
  };
  const glued = carriedFrom(shown);
  const placeOf = placesOf(shown, { glued, share, time, progressIn });
  const poseAlone = (part: FoldingPart): PartPose => ({
    place: placeOf(part),
    progress: progressIn(part),
    settled: progressOf(part.pattern.stages - 1, time),
  });
  const poseOf = (part: FoldingPart): PartPose => {
    const wearer = wearerOf(box, part);
    return wearer ? poseWorn(part, wearer, poseAlone(wearer)) : poseAlone(part);
  };

  const movesWhole = new Set(
    glued.length > 0
      ? glued.map(({ part }) => part.piece.id)
      : step.operations.slice(at, at + 1).flatMap((each) => wholeMoving(box, each)),
  );
  const movingIn = ({ part, piece, root }: FoldingPart) => [
    ...(now?.piece === piece.id ? [...now.turns] : []).map((face) => ({ part: part.id, face })),
    ...(movesWhole.has(piece.id) ? [{ part: part.id, face: root }] : []),
  ];

  const own = box.parts.filter(({ piece }) => piece.id === step.piece);
  const [first] = own;
  if (isAllAtHand(step, box.assembly.giftEnters) || !first) {
    const here = partsTogether(shown);
    return {
      faces: here.flatMap((part) => posePart(part, poseOf(part))),
      gift: giftAt(box, time),
      moving: here.flatMap(movingIn),
    };
  }
  const pose = poseOf(first);
  const inner = box.parts.find(({ piece }) => piece.id === roundAt(step, at));
  return {
    faces: [
      ...posePart(first, pose),
      ...wornOn(box, first)
        .filter((part) => isWornBefore(box, part, step))
        .flatMap((part) => posePart(part, poseOf(part))),
      // It stands in the part that is glued round it as it will in the closed box.
      ...(inner
        ? posePart(inner, {
            place: carriedAlong(inner.closed, { from: first.closed, to: pose.place }),
            progress: foldedTo(box.assembly.giftEnters),
            settled: 1,
          })
        : []),
    ],
    gift: 0,
    moving: movingIn(first),
  };
}
