import { foldingBox, jointsOf, type FoldingBox, type Joint, type Part } from '../fold/index.ts';
import { nanometres } from '../length/index.ts';
import { paperFor, type Papers } from '../paper/index.ts';
import type { Piece } from '../piece/index.ts';
import type { Plan } from '../planning/index.ts';
import { plural } from './plural.ts';
import type { LidCorners } from './lid-corners.ts';
import type {
  AssemblyStep,
  CloseStep,
  FastenStep,
  FoldStep,
  GlueStep,
  JoinStep,
} from './assembly-step.ts';

function pieceNamed(plan: Plan, id: string): Piece {
  const piece = plan.pieces.find((each) => each.id === id);
  if (!piece) throw new Error(`No piece ${id} in this box`);
  return piece;
}

/** How often a piece stands in a box. */
function copiesOf({ assembly }: Plan, id: string): number {
  return assembly.parts.filter(({ piece }) => piece === id).length;
}

/** Scores that are folded by hand, each run once. */
function foldStep(plan: Plan, { id, name, grid }: Piece): readonly FoldStep[] {
  const folds = [...grid.lines.flatMap(({ spans }) => spans), ...grid.diagonals].flatMap((made) =>
    made.make === 'score' && made.fold.angle > 0 ? [made.fold.sense] : [],
  );
  const inwards = folds.filter((sense) => sense === 'valley').length;
  const outwards = folds.filter((sense) => sense === 'mountain').length;
  if (inwards + outwards === 0) return [];
  return [
    { kind: 'fold', piece: id, name, copies: copiesOf(plan, id), stage: 0, inwards, outwards },
  ];
}

/** Joints that are made in one go: alike, and at the same time. */
function groupJoints(joints: readonly Joint[]): readonly (readonly [Joint, ...Joint[]])[] {
  const groups = new Map<string, [Joint, ...Joint[]]>();
  for (const joint of joints) {
    const { face, on, touches, stage } = joint;
    // A seam is glued in one go, whatever else its ends are folded to later.
    const when = face.role === 'seam' ? 'at once' : stage;
    const key = [face.piece, face.role, on.role, touches, when].join(' ');
    const group = groups.get(key);
    if (group) group.push(joint);
    else groups.set(key, [joint]);
  }
  return [...groups.values()];
}

function glueStep(plan: Plan, joints: readonly [Joint, ...Joint[]]): GlueStep {
  const [{ face, on, touches }] = joints;
  const { id, name } = pieceNamed(plan, face.piece);
  return {
    kind: 'glue',
    piece: id,
    name,
    copies: copiesOf(plan, id),
    stage: Math.min(...joints.map(({ stage }) => stage)),
    role: face.role,
    count: joints.length,
    onto: on.role,
    adhesiveOn: touches === 'drawn face' ? 'inside' : 'outside',
    narrow: nanometres(Math.min(...joints.map(({ narrow }) => narrow))),
  };
}

/** The glue steps of a lid's corners. */
function lidCornerSteps(plan: Plan, step: GlueStep, corners: LidCorners): readonly GlueStep[] {
  if (corners === 'all at once') return [step];
  const pair = plan.pairs.find(({ kind, outer }) => kind === 'lid' && outer === step.piece);
  if (!pair || step.count < 4 || step.role !== 'tab') return [step];
  const round = pieceNamed(plan, pair.inner).name;
  return [
    { ...step, count: step.count - 2 },
    { ...step, count: 2, round },
  ];
}

/** Flaps that only lie on others, each folded in once whatever it lies on. */
function closeSteps(plan: Plan, joints: readonly Joint[]): readonly CloseStep[] {
  const groups = new Map<string, Joint[]>();
  for (const joint of joints) {
    const key = [joint.face.piece, joint.face.role, joint.stage].join(' ');
    groups.set(key, [...(groups.get(key) ?? []), joint]);
  }
  const steps = [...groups.values()].flatMap((group): readonly CloseStep[] => {
    const [first] = group;
    if (!first) return [];
    const { face, stage } = first;
    const { id, name, grid } = pieceNamed(plan, face.piece);
    const isHooked = face.role === 'gusset' && grid.cutouts.some(({ use }) => use === 'hook');
    return [
      {
        kind: 'close',
        ...(isHooked && { hooked: true }),
        piece: id,
        name,
        copies: copiesOf(plan, id),
        stage,
        role: face.role,
        count: new Set(group.map((joint) => joint.face.face)).size,
        isLast: stage >= plan.assembly.giftEnters,
      },
    ];
  });
  return steps.map((step) => inTurn(step, steps));
}

/** Flaps that are folded in one by one are told by their turn. */
function inTurn(step: CloseStep, steps: readonly CloseStep[]): CloseStep {
  const alike = steps
    .filter(
      ({ piece, role, count, isLast }) =>
        piece === step.piece && role === step.role && count === 1 && isLast === step.isLast,
    )
    .sort((a, b) => a.stage - b.stage);
  if (step.count !== 1 || alike.length < 2) return step;
  return { ...step, turn: { nth: alike.indexOf(step) + 1, of: alike.length } };
}

/** Glued inside one part, as often as the part stands in the box. */
function withinParts(
  plan: Plan,
  joints: readonly Joint[],
  corners: LidCorners,
): readonly AssemblyStep[] {
  const firsts = new Set(
    plan.pieces.map(({ id }) => plan.assembly.parts.find(({ piece }) => piece === id)?.id),
  );
  const own = joints.filter(({ face, on }) => face.part === on.part && firsts.has(face.part));
  const glued = own.filter(({ holds }) => holds === 'glue');
  return [
    ...groupJoints(glued).flatMap((group) => lidCornerSteps(plan, glueStep(plan, group), corners)),
    ...closeSteps(
      plan,
      own.filter(({ holds }) => holds === 'tuck'),
    ),
  ];
}

/** The glued joint between a part and one that is there already. */
function gluedTo(part: Part, there: ReadonlySet<string>, joints: readonly Joint[]) {
  for (const { face, on, holds } of joints) {
    if (holds !== 'glue' || face.part === on.part) continue;
    if (face.piece === part.piece && there.has(on.piece)) return on.piece;
    if (on.piece === part.piece && there.has(face.piece)) return face.piece;
  }
  return undefined;
}

/** How a part comes to those that are there: glued on, over one of them, into one, or beside them. */
function joinStep(plan: Plan, part: Part, there: ReadonlySet<string>, joints: readonly Joint[]) {
  const { id, name } = pieceNamed(plan, part.piece);
  const step = (how: JoinStep['how'], onto: string): JoinStep => ({
    kind: 'join',
    piece: id,
    name,
    copies: copiesOf(plan, id),
    stage: part.joins,
    how,
    onto:
      copiesOf(plan, onto) > 1 ? plural(pieceNamed(plan, onto).name) : pieceNamed(plan, onto).name,
  });
  const glued = gluedTo(part, there, joints);
  if (glued !== undefined) return step('glue', glued);
  const over = plan.pairs.find(({ outer, inner }) => outer === id && there.has(inner));
  if (over && over.inner !== id) return step('over', over.inner);
  const into = plan.pairs.find(({ outer, inner }) => inner === id && there.has(outer));
  if (into && into.outer !== id) return step('into', into.outer);
  const [first = part.piece] = there;
  return step('place', first);
}

function joinSteps(plan: Plan, joints: readonly Joint[]): readonly JoinStep[] {
  const [first, ...others] = plan.assembly.parts;
  const there = new Set(first ? [first.piece] : []);
  return others.flatMap((part): readonly JoinStep[] => {
    if (there.has(part.piece)) return [];
    const step = joinStep(plan, part, there, joints);
    there.add(part.piece);
    return [step];
  });
}

/** What goes through holes, and when: a pull is knotted behind its wall, a ribbon ties the closed box. */
const fastenings: Readonly<Record<FastenStep['with'], FastenStep['when']>> = {
  'ribbon pull': 'flat',
  wire: 'before the gift',
  ribbon: 'to close',
  brad: 'to close',
  tongue: 'to close',
};

function fastenSteps(plan: Plan, box: FoldingBox): readonly FastenStep[] {
  const stages = { flat: 0, 'before the gift': plan.assembly.giftEnters, 'to close': box.end - 1 };
  return plan.pieces.flatMap(({ id, name, grid }) =>
    (['ribbon pull', 'wire', 'ribbon', 'brad', 'tongue'] as const).flatMap(
      (use): readonly FastenStep[] => {
        const places = grid.cutouts.flatMap((cutout, place) => (cutout.use === use ? [place] : []));
        if (places.length === 0) return [];
        const when = fastenings[use];
        const copies = copiesOf(plan, id);
        return [
          { kind: 'fasten', piece: id, name, copies, stage: stages[when], with: use, when, places },
        ];
      },
    ),
  );
}

/** What comes first at one stage: a piece is finished before it goes over another one. */
function orderOf(step: AssemblyStep): number {
  switch (step.kind) {
    case 'fold':
      return 0;
    case 'fasten':
      return { flat: 0.5, 'before the gift': 3.5, 'to close': 6 }[step.when];
    case 'glue':
      return 1;
    case 'join':
      return step.how === 'glue' ? 2 : 3;
    case 'gift':
      return 4;
    case 'close':
      return 5;
  }
}

/** A plan's pieces as a box that folds. */
export function boxOf(plan: Plan, papers: Papers): FoldingBox {
  return foldingBox(plan.pieces, ({ paper }) => paperFor(papers, paper).thickness, plan.assembly);
}

/**
 * The steps from flat pieces to the closed box with the gift in it: every fold is burnished before anything
 * is glued; then in the order in which the box folds, tabs before what covers them, what goes over the gift
 * last.
 */
export function assemblySteps(
  plan: Plan,
  papers: Papers,
  corners: LidCorners,
): readonly AssemblyStep[] {
  const box = boxOf(plan, papers);
  const joints = jointsOf(box);
  const [first] = plan.assembly.parts;
  const folds = plan.pieces.flatMap((piece) => foldStep(plan, piece));
  const steps = [
    ...withinParts(plan, joints, corners),
    ...joinSteps(plan, joints),
    ...fastenSteps(plan, box),
  ];
  const gift: readonly AssemblyStep[] = first
    ? [
        {
          kind: 'gift',
          piece: first.piece,
          name: pieceNamed(plan, first.piece).name,
          copies: 1,
          stage: plan.assembly.giftEnters,
        },
      ]
    : [];
  return [...folds, ...inOrder([...steps, ...gift])];
}

/** By stage; at one stage glue before joining, the gift after what it stands in, closing last. */
function inOrder(steps: readonly AssemblyStep[]): readonly AssemblyStep[] {
  return [...steps].sort((a, b) => a.stage - b.stage || orderOf(a) - orderOf(b));
}
