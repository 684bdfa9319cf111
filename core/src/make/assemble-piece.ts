import { jointsOf, type FoldingBox, type FoldingPart, type Joint } from '../fold/index.ts';
import { nanometres } from '../length/index.ts';
import { faceNames, type FaceName } from './face-name.ts';
import { foldsOfPart, type FoldsOfPart } from './folds-of-part.ts';
import type {
  AssemblyOperation,
  CloseOperation,
  FoldCornersOperation,
  GlueOperation,
  HookOperation,
  TuckHold,
} from './operations/assembly.ts';

/** What is done at one stage of folding a part. */
export interface StageOfPart {
  readonly stage: number;
  readonly operations: readonly AssemblyOperation[];
}

/** How the top of a box closes where its walls have pleats of their own. */
export type PleatedTop = Extract<CloseOperation['way'], { kind: 'pinch' | 'gather' }>;

/** All that decides how one part is put together. */
interface PartAtHand extends FoldsOfPart {
  readonly part: FoldingPart;
  readonly names: readonly FaceName[];
  readonly joints: readonly Joint[];
  /** The stage at which the gift goes in. */
  readonly gift: number;
  readonly pleated: PleatedTop | undefined;
  /** How many parts close the box by going over one another all round, this one first; none where it is not the first. */
  readonly goingRound: number | undefined;
}

/** How many parts go over one another all round, for the first of them; 0 for the others, undefined where none do. */
function goingRound(box: FoldingBox, { part }: FoldingPart): number | undefined {
  const between = jointsOf(box).filter(
    ({ face, on, holds }) =>
      holds === 'tuck' && face.part !== on.part && face.role === 'flap' && on.role === 'flap',
  );
  if (!between.some(({ face, on }) => face.part === part.id || on.part === part.id))
    return undefined;
  return between.some(({ face }) => face.part === part.id) ? 0 : between.length + 1;
}

/** The joints between two faces of the same part. */
export function jointsWithin(box: FoldingBox, { part }: FoldingPart): readonly Joint[] {
  return jointsOf(box).filter(({ face, on }) => face.part === part.id && on.part === part.id);
}

function atHand(box: FoldingBox, part: FoldingPart, pleated: PleatedTop | undefined): PartAtHand {
  return {
    part,
    names: faceNames(box, part),
    ...foldsOfPart(part),
    joints: jointsWithin(box, part),
    gift: box.assembly.giftEnters,
    pleated,
    goingRound: goingRound(box, part),
  };
}

function namesOf({ names }: PartAtHand, faces: Iterable<number>): readonly FaceName[] {
  return [...new Set(faces)].flatMap((face) => names[face] ?? []);
}

/** When a joint is made: a seam is glued in one go, whatever its ends are folded to later. */
export function gluedAt(joint: Joint, joints: readonly Joint[]): number {
  if (joint.face.role !== 'seam') return joint.stage;
  return Math.min(...joints.filter(({ face }) => face.role === 'seam').map(({ stage }) => stage));
}

/** Which face of a panel is meant by the side of its card that is drawn: that lies inside the box. */
function sideOf(touch: Joint['touches']): 'inside' | 'outside' {
  return touch === 'drawn face' ? 'inside' : 'outside';
}

function glueOperation(
  hand: PartAtHand,
  joints: readonly [Joint, ...Joint[]],
  moves: GlueOperation['moves'],
): GlueOperation {
  const [{ touches, touched }] = joints;
  return {
    kind: 'glue',
    piece: hand.part.piece.id,
    faces: namesOf(
      hand,
      joints.map(({ face }) => face.face),
    ),
    adhesiveOn: sideOf(touches),
    onto: namesOf(
      hand,
      joints.map(({ on }) => on.face),
    ),
    ontoSide: sideOf(touched),
    moves,
    narrow: nanometres(Math.min(...joints.map(({ narrow }) => narrow))),
  };
}

/** Joints in groups by what a key says of each. */
function grouped(
  joints: readonly Joint[],
  keyOf: (joint: Joint) => string,
): readonly (readonly [Joint, ...Joint[]])[] {
  const groups = new Map<string, [Joint, ...Joint[]]>();
  for (const joint of joints) {
    const group = groups.get(keyOf(joint));
    if (group) group.push(joint);
    else groups.set(keyOf(joint), [joint]);
  }
  return [...groups.values()];
}

/** Where a wall that comes up is glued to tabs that wait for it, the adhesive is on the tabs. */
function gluedByTarget(hand: PartAtHand, joints: readonly Joint[], stage: number) {
  const moves = ({ face, on }: Joint) =>
    hand.stages.get(on.face) === stage && hand.stages.get(face.face) !== stage;
  return {
    waiting: grouped(joints.filter(moves), ({ on, touches }) => `${on.face} ${touches}`),
    moving: joints.filter((joint) => !moves(joint)),
  };
}

/** Faces that are folded onto others with their adhesive: each by itself, or all that go onto their own walls. */
function gluedByFace(hand: PartAtHand, joints: readonly Joint[]): readonly GlueOperation[] {
  // A seam that is folded on with its walls is still one seam, glued in one go.
  const byFace = grouped(joints, ({ face }) => (face.role === 'seam' ? face.role : `${face.face}`));
  const isOnParent = (group: readonly Joint[]) =>
    group.some(({ face, on }) => hand.parents.get(face.face) === on.face);
  const onParents = byFace.filter(isOnParent);
  const [first, ...more] = onParents.flat();
  const others = byFace.filter((group) => !isOnParent(group));
  // Flaps that do the same to the same ones are one thing to do.
  const together = new Map<string, [Joint, ...Joint[]]>();
  for (const group of others) {
    const key = `${group[0].face.role} ${group.map(({ on }) => on.face).join()}`;
    const known = together.get(key);
    if (known) known.push(...group);
    else together.set(key, [...group]);
  }
  return [
    ...(first ? [glueOperation(hand, [first, ...more], 'with adhesive')] : []),
    ...[...together.values()].map((group) => glueOperation(hand, group, 'with adhesive')),
  ];
}

function cornersAt(hand: PartAtHand, joints: readonly Joint[]): readonly FoldCornersOperation[] {
  const corners = joints.filter(({ face, on }) => face.role === 'gusset' && on.role === 'wall');
  const [first] = corners;
  if (!first) return [];
  return [
    {
      kind: 'fold corners',
      piece: hand.part.piece.id,
      count: new Set(corners.map(({ face }) => face.face)).size,
      on: namesOf(
        hand,
        corners.map(({ on }) => on.face),
      ),
      side: sideOf(first.touched),
      isHooked: hand.part.piece.grid.cutouts.some(({ use }) => use === 'hook'),
    },
  ];
}

/** The slit ends of a strip, one of which is its seam, that hook into each other as its walls come round. */
function hooksAt(hand: PartAtHand, joints: readonly Joint[]): readonly HookOperation[] {
  const hooked = joints.filter(({ face }) => face.role === 'seam');
  if (hooked.length === 0) return [];
  const [faces, onto] = [hooked.map(({ face }) => face.face), hooked.map(({ on }) => on.face)].map(
    (each) => namesOf(hand, each),
  );
  return [{ kind: 'hook', piece: hand.part.piece.id, faces: faces ?? [], onto: onto ?? [] }];
}

/** What holds flaps that are folded in to close the box: the last of them wants something. */
function holdOf(hand: PartAtHand, flaps: readonly FaceName[]): TuckHold {
  const overlaps = hand.joints.filter(
    ({ face, on, holds }) => holds === 'tuck' && face.role === 'flap' && on.role === 'flap',
  );
  const below = (face: number) => overlaps.find((joint) => joint.face.face === face)?.on.face;
  const isLast =
    flaps.length === 1 &&
    flaps.every(({ at }) => below(at) !== undefined && !overlaps.some(({ on }) => on.face === at));
  if (!isLast) return { kind: 'next' };
  const chain: number[] = [];
  for (let at = flaps[0]?.at; at !== undefined; at = below(at)) chain.unshift(at);
  const [first = -1] = chain;
  const flap = hand.names[first];
  // Three and more that go round overlap one another; of two the upper one just lies there.
  return chain.length > 2 && flap && new Set(chain.map((at) => hand.names[at]?.of?.at)).size > 2
    ? { kind: 'first', flap }
    : { kind: 'sticker' };
}

/** Faces that are folded at a stage and take part in no joint then. */
function freeMoves(
  hand: PartAtHand,
  stage: number,
  busy: ReadonlySet<number>,
): readonly AssemblyOperation[] {
  const piece = hand.part.piece.id;
  const isAfterGift = stage >= hand.gift;
  const moving = [...hand.stages]
    .filter(([face, at]) => at === stage && !hand.followers.has(face) && !busy.has(face))
    .map(([face]) => face);
  const faces = namesOf(hand, moving);
  const flaps = faces.filter(({ role }) => role === 'flap');
  const others = faces.filter(({ role }) => role !== 'flap' && role !== 'gusset');
  if (hand.pleated && isAfterGift && others.length > 0)
    return [{ kind: 'close', piece, way: hand.pleated }];
  const [round] = flaps;
  if (isAfterGift && round && hand.goingRound !== undefined)
    return [
      { kind: 'close', piece, way: { kind: 'go round', face: round, count: hand.goingRound } },
    ];
  const tucks: readonly AssemblyOperation[] =
    isAfterGift && hand.pleated
      ? flaps.map((face) => ({ kind: 'close', piece, way: { kind: 'fold down', face } }))
      : flaps.length > 0
        ? [{ kind: 'tuck', piece, faces: flaps, hold: holdOf(hand, flaps), isLast: isAfterGift }]
        : [];
  const bodies: readonly AssemblyOperation[] =
    others.length === 0
      ? []
      : isAfterGift
        ? [{ kind: 'close', piece, way: { kind: 'fold over', faces: others } }]
        : [{ kind: 'fold up', piece, faces: others }];
  return [...tucks, ...bodies];
}

function tucksAt(
  hand: PartAtHand,
  joints: readonly Joint[],
  stage: number,
): readonly AssemblyOperation[] {
  const piece = hand.part.piece.id;
  // A flap that goes down behind a wall as the lid comes over.
  const behind = joints.filter(
    ({ face, on }) =>
      face.role === 'flap' && on.role === 'wall' && hand.stages.get(face.face) !== stage,
  );
  if (behind.length === 0) return [];
  return [
    {
      kind: 'tuck',
      piece,
      faces: namesOf(
        hand,
        behind.map(({ face }) => face.face),
      ),
      hold: {
        kind: 'walls',
        walls: behind.flatMap(({ on }) => hand.names[on.face] ?? []),
      },
      isLast: stage >= hand.gift,
    },
  ];
}

function operationsAt(hand: PartAtHand, stage: number): readonly AssemblyOperation[] {
  const joints = hand.joints.filter((joint) => gluedAt(joint, hand.joints) === stage);
  const glued = joints.filter(({ holds }) => holds === 'glue');
  const tucked = joints.filter(({ holds }) => holds === 'tuck');
  const { waiting, moving } = gluedByTarget(hand, glued, stage);
  const busy = new Set([
    ...moving.map(({ face }) => face.face),
    ...waiting.flatMap(([{ on }]) => [on.face]),
  ]);
  // The walls of a tube come round with its seam.
  const comesRound = [...moving, ...tucked].some(({ face }) => face.role === 'seam');
  const free = comesRound ? [] : freeMoves(hand, stage, busy);
  return [
    ...free,
    ...cornersAt(hand, tucked),
    ...hooksAt(hand, tucked),
    ...gluedByFace(hand, moving),
    ...waiting.map((group) => glueOperation(hand, group, 'without')),
    ...tucksAt(hand, tucked, stage),
  ];
}

/** Everything that is done to a part by itself, stage by stage: folded up, glued, tucked in and closed. */
export function assemblePart(
  box: FoldingBox,
  part: FoldingPart,
  pleated: PleatedTop | undefined,
): readonly StageOfPart[] {
  const hand = atHand(box, part, pleated);
  return Array.from({ length: part.pattern.stages }, (_, stage) => ({
    stage,
    operations: operationsAt(hand, stage),
  })).filter(({ operations }) => operations.length > 0);
}
