import type { Unit } from '../length/index.ts';
import type {
  AssemblyOperation,
  AttachOperation,
  CloseOperation,
  FoldCornersOperation,
  FoldOperation,
  FoldUpOperation,
  GlueOperation,
  OutFolds,
  ThreadOperation,
  TuckOperation,
} from '../make/index.ts';
import { dressSentences } from './dress.ts';
import { spotSentences } from './spot.ts';
import { tagSentences } from './tag.ts';
import { layRibbonSentences, ribbonSentences } from './ribbon.ts';
import { faceInWords, facesInWords, nextTo, rowOfFaces } from './faces.ts';
import { joinSentences, lineSentences } from './join.ts';
import { formatNearest } from './measures.ts';
import { atCorners, placeInWords } from './places.ts';
import { capitalised, countInWords, inRow } from './plain.ts';
import { allInWords, roleInWords } from './roles.ts';
import { rowWays } from './row-ways.ts';
import type { NameOf } from './said.ts';

function it(count: number): string {
  return count === 1 ? 'it' : 'them';
}

function firstAcross(count: number): string {
  if (count === 0) return '';
  const which = count === 1 ? 'score' : `${countInWords(count)} scores`;
  return ` and, from the top edge, the first ${which} across`;
}

function outSentences(out: OutFolds, unit: Unit): readonly string[] {
  switch (out.kind) {
    case 'none':
      return ['Fold every score in, towards you, and burnish it. Open it flat again.'];
    case 'all':
      return ['Fold every score out, away from you, and burnish it. Open it flat again.'];
    case 'slanting':
      return [
        `Fold the slanting scores${firstAcross(out.across)} out, away from you, and all the others in. Burnish each, and open it flat again.`,
      ];
    case 'these':
      return [
        'Burnish every score, and open it flat again. Fold these out, away from you, and all the others in:',
        ...out.lines.map(({ spots, corners }) => {
          const [from, to] = spots.map((spot) => placeInWords(spot, corners, unit));
          return `${capitalised(`${atCorners(corners)}from ${from ?? ''} to ${to ?? ''}`)}.`;
        }),
      ];
  }
}

function foldSentences({ out, rows }: FoldOperation, unit: Unit): readonly string[] {
  return [
    ...outSentences(out, unit),
    ...rows.map(({ way, faces }) => `${rowWays[way]} it becomes ${rowOfFaces(faces)}.`),
  ];
}

/** Parts that are folded where nothing is glued, in the order in which hands do it, and how that is called. */
export function foldedUp({ faces }: FoldUpOperation) {
  const ways = [
    { verb: 'Turn in', here: faces.filter(({ role }) => role === 'tab') },
    { verb: 'Fold up', here: faces.filter(({ role }) => role === 'wall') },
    { verb: 'Bend', here: faces.filter(({ role }) => role === 'end' || role === 'arch') },
    { verb: 'Turn in', here: faces.filter(({ role }) => role === 'rim') },
    { verb: 'Fold down', here: faces.filter(({ role }) => role === 'leg') },
    { verb: 'Fold', here: faces.filter(({ role }) => role === 'lid' || role === 'seam') },
    { verb: 'Fold', here: faces.filter(({ role }) => role === 'seat') },
  ];
  return ways.flatMap(({ verb, here }) => {
    const [first] = here;
    return first ? [{ verb, here, first }] : [];
  });
}

function foldUpSentences(operation: FoldUpOperation): readonly string[] {
  return foldedUp(operation).map(({ verb, here, first }) => {
    if (verb === 'Bend') return 'Bend it to an arch along its scores.';
    if (first.role === 'seat')
      return 'Fold the seat forward, level over the floor, and lift it again.';
    // Of many tabs that are all turned in only their number is told.
    const isCounted = first.role === 'tab' && first.of?.nth !== undefined && here.length > 1;
    return `${verb} ${isCounted ? allInWords('tab', here.length) : facesInWords(here)}.`;
  });
}

/** A tab of a wall that is told by its number, glued onto the tab of another such wall. */
function tabOnTab({ faces, onto, moves }: GlueOperation) {
  const [face, ...more] = faces;
  const [on, ...others] = onto;
  const isRing =
    moves === 'with adhesive' &&
    [more, others].every(({ length }) => length === 0) &&
    [face, on].every((tab) => tab?.role === 'tab' && tab.of?.nth !== undefined);
  return isRing && face && on?.of ? { face, wall: faceInWords(on.of) } : undefined;
}

/** The same again with the next tab of a ring; undefined where the two are not alike. */
export function sameAgain(
  before: AssemblyOperation | undefined,
  operation: AssemblyOperation,
): string | undefined {
  if (before?.kind !== 'glue' || operation.kind !== 'glue') return undefined;
  const next = tabOnTab(operation);
  return next && tabOnTab(before)
    ? `Do the same with the ${faceInWords(next.face)}, onto that of the ${next.wall}.`
    : undefined;
}

function glueSentences(glue: GlueOperation, nameOf: NameOf): readonly string[] {
  const { piece, faces, adhesiveOn, onto, ontoSide, moves, round } = glue;
  const [first] = faces;
  const [target] = onto;
  if (!first || !target) return [];
  const count = faces.length;
  if (moves === 'without') {
    const over =
      round === undefined
        ? []
        : [
            `Put the ${nameOf(piece).toLowerCase()} over the finished ${nameOf(round).toLowerCase()}.`,
            `Its last ${countInWords(count)} ${roleInWords(first.role, count)} are glued there.`,
          ];
    return [
      ...over,
      `Adhesive on the ${adhesiveOn} of ${nextTo(faces, target)}.`,
      `Fold the ${faceInWords(target)} up and press its ${ontoSide} onto ${it(count)}; hold it.`,
    ];
  }
  if (first.role === 'seam')
    return [
      `Adhesive on the ${adhesiveOn} of the seam.`,
      `Fold the walls round, and press the ${ontoSide} of the ${faceInWords(target)} onto the seam, edges level. Hold it flat.`,
    ];
  if (first.of?.role === 'seat')
    return [
      `Adhesive on the ${adhesiveOn} of ${facesInWords(faces)}.`,
      `Lower the seat, and press the ${roleInWords(first.role, 1)} onto the ${ontoSide} of ${facesInWords(onto)}.`,
    ];
  const isOwnWall = faces.every(({ of }) =>
    onto.some((face) => face.role === of?.role && face.faces === of.faces),
  );
  if (isOwnWall) {
    const tabs = onto.some(({ role }) => role === 'tab') ? ' and its tabs' : '';
    const wall = count === 1 ? `the ${ontoSide} of the wall` : `the ${ontoSide} of its own wall`;
    return [
      `Adhesive on the ${adhesiveOn} of ${facesInWords(faces)}.`,
      `Turn ${count === 1 ? 'it' : 'each'} in, and press ${it(1)} onto ${wall}${tabs}.`,
    ];
  }
  return [
    `Adhesive on the ${adhesiveOn} of ${facesInWords(faces)}.`,
    `Fold ${it(count)} in, and press ${it(count)} onto the ${ontoSide} of ${facesInWords(onto)}.`,
  ];
}

function tuckSentences({ faces, hold }: TuckOperation): readonly string[] {
  const what = facesInWords(faces);
  switch (hold.kind) {
    case 'next':
      return [`Fold in ${what}.`];
    case 'walls': {
      const [wall, ...walls] = hold.walls;
      if (!wall) return [];
      return walls.length === 0
        ? [`Tuck ${what} in behind the ${faceInWords(wall)}.`]
        : [`Tuck ${what} in, each behind the wall on its side.`];
    }
    case 'first':
      return [
        `Fold in ${what}. Lift ${facesInWords([hold.flap])}, and push the edge of the last one under it: that holds them.`,
      ];
    case 'sticker':
      return [`Fold in ${what}, and hold it there with a sticker or a dot of glue.`];
  }
}

function cornerSentences({ count, on, side, isHooked }: FoldCornersOperation): readonly string[] {
  return [
    `As the walls come up, fold ${count === 4 ? 'each corner' : `${countInWords(count)} corners`} in half along its slanting score.`,
    `Lay ${it(count)} flat against the ${side} of ${facesInWords(on)}; nothing is glued.`,
    ...(isHooked ? ['Hook the two corners of each wall into each other by their slits.'] : []),
  ];
}

function hookSentences(): readonly string[] {
  return [
    'Bring the walls round, and hook both ends into each other by their slits, both tips inside; nothing is glued.',
  ];
}

const holesInWords = ['', 'the hole', 'both holes'];

function threadSentences({ what, cutouts: { length } }: ThreadOperation): readonly string[] {
  const holes = holesInWords[length] ?? `all ${countInWords(length)} holes`;
  switch (what) {
    case 'ribbon pull':
      return [
        `Thread a loop of ribbon through ${holes} from the outside, while the wall lies flat.`,
        'Knot or tape its ends on the inside.',
      ];
    case 'wire':
      return [
        `Bend a wire to a handle. Push its ends through ${holes} from the outside.`,
        'Curl them up on the inside.',
      ];
    case 'ribbon': {
      // More than four are those of fins and of what is folded in between them.
      const places =
        length > 4 ? 'the holes, in both places where they lie over one another' : holes;
      return [`Thread a ribbon through ${places}, draw it together and tie it.`];
    }
    case 'brad':
      return [`Push the brad through ${holes} and spread its legs.`];
    case 'tongue':
      return ['Bend the tongue over and push it through the slot.'];
  }
}

/** Which of several alike pieces is meant, in the order of the hand. */
function whichOf(count: number, at: number, name: string): string {
  if (count === 1) return '';
  if (at === 0) return ` of one ${name}`;
  return count === 2 ? ` of the other ${name}` : ` of the next ${name}`;
}

/** Whether all parts with adhesive wait for one face of the other piece, as the tabs of a ring for its plate. */
export function waitForOne({ joints }: AttachOperation): boolean {
  const [first] = joints;
  return (
    joints.length > 1 &&
    joints.every(({ on }) => on.role === first?.on.role && on.faces === first.on.faces)
  );
}

function attachSentences(attach: AttachOperation, nameOf: NameOf, unit: Unit): readonly string[] {
  const { joints, piece, pieces, onto, isFlat } = attach;
  const [name, other] = [nameOf(piece).toLowerCase(), nameOf(onto).toLowerCase()];
  const [first] = joints;
  if (!first) return [];
  if (waitForOne(attach)) {
    const role = first.face.role;
    const what =
      joints.length > 2
        ? allInWords(role, joints.length)
        : facesInWords(joints.map(({ face }) => face));
    return [
      `Adhesive on the ${first.adhesiveOn} of ${what}.`,
      `Press the ${first.onSide} of the ${other} onto ${it(joints.length)}, edges level; hold it.`,
    ];
  }
  const lay = isFlat ? [`Lay the ${other} flat, inside up.`] : [];
  const told = (joint: Joint, at: number) => {
    const { face, adhesiveOn, on, onSide } = joint;
    // What hides the bottom has no parts of its own.
    if (on.faces === 'bottom')
      return [
        `Adhesive all over the ${adhesiveOn} of the ${name}.`,
        `Turn the ${other} upside down, and press the ${name} onto its bottom, as far in from every edge.`,
      ];
    return [
      `Adhesive on the ${adhesiveOn} of the ${faceInWords(face)}${whichOf(pieces, at, name)}.`,
      `Press it onto the ${onSide} of the ${faceInWords(on)} of the ${other}, in the middle, ${placeOnWall(joint, unit)}.`,
    ];
  };
  const [, ...others] = joints;
  if (pieces > 2 && others.every((each) => isSamePlace(each, first)))
    return [
      ...lay,
      ...told(first, 0),
      `Do the same with the other ${countInWords(others.length)} on ${facesInWords(others.map(({ on }) => on))}.`,
    ];
  return [...lay, ...joints.flatMap(told)];
}

type Joint = AttachOperation['joints'][number];

/** Where a part comes to lie on a wall, up and down. */
function placeOnWall({ above, isLevelAbove }: Joint, unit: Unit): string {
  if (isLevelAbove) return 'its score level with the upper edge of the wall';
  if (above === undefined) return 'lower edges level';
  return above > 0
    ? `its lower edge ${formatNearest(above, unit)} above that of the wall`
    : 'edges level';
}

/** Whether two of several alike come to lie in the same place, each on a wall of its own. */
function isSamePlace(one: Joint, other: Joint): boolean {
  return (
    one.face.at === other.face.at &&
    one.adhesiveOn === other.adhesiveOn &&
    one.onSide === other.onSide &&
    one.on.role === 'wall' &&
    other.on.role === 'wall' &&
    one.on.nth === undefined &&
    one.isLevelAbove === other.isLevelAbove &&
    (one.isLevelAbove === true || one.above === other.above)
  );
}

function closeSentences({ way }: CloseOperation): readonly string[] {
  switch (way.kind) {
    case 'fold over':
      return way.faces.every(({ role }) => role === 'lid')
        ? [`Fold the ${inRow(way.faces.map(faceInWords))} over the box.`]
        : [`Fold up ${facesInWords(way.faces)}.`];
    case 'pinch':
      return [
        `Push in ${inRow(way.pushedIn.map((side) => `the ${side}`))} wall along the middle, at the top.`,
        'Pinch the other two walls together over them, until the top edges lie flat on one another.',
      ];
    case 'gather':
      return way.to === 'a point'
        ? [
            'Push in all four walls above the box along their slanting scores, and gather the top together.',
          ]
        : [
            'Push in all four walls above the box along their slanting scores.',
            'Gather them till the four necks stand upright, side by side, and fold the brims out.',
          ];
    case 'go round':
      return way.count === 0
        ? []
        : [
            `Fold in the ${faceInWords(way.face)} at the back, then the others going round, ${countInWords(way.count)} in all, each over the one before.`,
            'Lift the first, and push the edge of the last one under it: that holds them.',
          ];
    case 'fold down':
      return [
        `Fold the ${faceInWords(way.face)} over the pinched top, and fix it there with a tag or a dot of glue.`,
      ];
  }
}

/** How the gift is put in, by what holds it there. */
const putIn = {
  nothing: 'Put the gift in.',
  elastics: 'Put the gift in, under the elastics.',
  slits: 'Put the gift in, its ends through the slits of the insert.',
} as const;

/** An assembly operation, sentence by sentence; `laid` tells how the flat piece lies for it, where one does. */
export function assemblySentences(
  operation: AssemblyOperation,
  nameOf: NameOf,
  unit: Unit,
  laid?: string,
): readonly string[] {
  switch (operation.kind) {
    case 'fold':
      return foldSentences(operation, unit);
    case 'fold up':
      return foldUpSentences(operation);
    case 'glue':
      return glueSentences(operation, nameOf);
    case 'tuck':
      return tuckSentences(operation);
    case 'fold corners':
      return cornerSentences(operation);
    case 'hook':
      return hookSentences();
    case 'thread':
      return threadSentences(operation);
    case 'join':
      return joinSentences(operation, nameOf);
    case 'line':
      return lineSentences(operation, nameOf);
    case 'attach':
      return attachSentences(operation, nameOf, unit);
    case 'dress':
      return dressSentences(operation, nameOf, { unit, laid });
    case 'spot':
      return spotSentences(operation.spot, nameOf, { unit, laid });
    case 'tag':
      return tagSentences(operation.tag, nameOf, unit);
    case 'lay ribbon':
      return layRibbonSentences(operation, nameOf, unit);
    case 'tie':
      return ribbonSentences(operation.ribbon, unit);
    case 'put in':
      return [putIn[operation.heldBy ?? 'nothing']];
    case 'close':
      return closeSentences(operation);
  }
}
