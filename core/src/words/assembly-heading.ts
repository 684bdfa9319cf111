import type { AssemblyOperation, FoldUpOperation, GlueOperation } from '../make/index.ts';
import { foldedUp, waitForOne } from './assembly.ts';
import { faceInWords } from './faces.ts';
import { countInWords, plural } from './plain.ts';
import { allInWords, roleInWords } from './roles.ts';
import type { NameOf } from './said.ts';

/** What is folded first where nothing is glued, to be read from two metres. */
export function foldUpFigure(operation: FoldUpOperation): string {
  const [part] = foldedUp(operation);
  if (!part) return 'Fold it up';
  const { verb, here, first } = part;
  if (verb === 'Bend') return 'Bend it to an arch';
  return here.length === 1
    ? `${verb} the ${faceInWords(first)}`
    : `${verb} the ${roleInWords(first.role, here.length)}`;
}

const spotOn = { stamp: 'Stamp', sticker: 'Sticker on', punch: 'Punch' } as const;
const spotDone = {
  stamp: 'stamp it',
  sticker: 'put a sticker on it',
  punch: 'punch the shape',
} as const;

type Operations = readonly [AssemblyOperation, ...AssemblyOperation[]];

/** What a step is about that glues nothing within its piece: what is glued to another one, else what comes first. */
function mainOperation(operations: Operations): AssemblyOperation {
  return operations.find(({ kind }) => kind === 'attach') ?? operations[0];
}

/** The figure of an assembly step: what is done, to be read from two metres. */
export function assemblyFigure(operations: Operations, nameOf: NameOf): string {
  const glue = operations.find((each): each is GlueOperation => each.kind === 'glue');
  const main = mainOperation(operations);
  if (glue) {
    const faces = operations.flatMap((each) => (each.kind === 'glue' ? each.faces : []));
    const [face] = faces;
    if (!face) return 'Glue';
    return face.role === 'seam' ? 'Glue the seam' : `Glue ${allInWords(face.role, faces.length)}`;
  }
  switch (main.kind) {
    case 'fold':
      return main.folds === 1 ? 'Fold and burnish' : `Burnish ${countInWords(main.folds)} folds`;
    case 'put in':
      return operations.length === 1 ? 'Gift in' : 'Fill and close';
    case 'join':
      switch (main.how) {
        case 'into':
          return `${nameOf(main.piece)} in`;
        case 'on its floor':
          return `Lay the ${nameOf(main.piece).toLowerCase()} in`;
        case 'on its legs':
          return `${nameOf(main.piece)} in`;
        case 'place':
          return `${nameOf(main.piece)} in place`;
        case 'through its slots':
          return 'Join the dividers';
        case 'between the things':
        case 'on edge':
          return 'Dividers in';
        default:
          return `${nameOf(main.piece)} on`;
      }
    case 'line': {
      const name = nameOf(main.piece).toLowerCase();
      const count = typeof main.walls === 'number' ? main.walls : main.walls.length;
      return `Glue the ${count > 1 ? plural(name) : name} in`;
    }
    case 'attach': {
      const comes = nameOf(waitForOne(main) ? main.onto : main.piece).toLowerCase();
      return `Glue the ${main.pieces > 1 ? plural(comes) : comes} on`;
    }
    case 'dress': {
      const name = nameOf(main.piece).toLowerCase();
      return `Glue the ${main.count > 1 ? plural(name) : name} on`;
    }
    case 'thread':
      return {
        'ribbon pull': 'Thread the pull',
        wire: 'Put the wire on',
        ribbon: 'Tie the ribbon',
        brad: 'Close with the brad',
        tongue: 'Close with the tongue',
      }[main.what];
    case 'spot':
      return `${spotOn[main.spot.use]} the ${nameOf(main.piece).toLowerCase()}`;
    case 'tag':
      return 'Tag on';
    case 'tie':
      if (main.ribbon.through !== undefined)
        return main.ribbon.way === 'notches' ? 'Tie the ribbons' : 'Tie the ribbon';
      return main.ribbon.way === 'holes' ? 'Cut the ribbon' : 'Ribbon on';
    case 'lay ribbon':
      return main.ribbon.way === 'notches' ? 'Lay the ribbons in' : 'Thread the ribbon';
    case 'fold corners':
      return 'Fold the corners';
    case 'hook':
      return 'Hook the ends';
    case 'tuck':
    case 'fold up':
    case 'close':
    case 'glue':
      return operations.some(({ kind }) => kind === 'fold corners')
        ? 'Fold the corners'
        : operations.some((each) => each.kind === 'close' || (each.kind === 'tuck' && each.isLast))
          ? 'Close the box'
          : 'Fold it up';
  }
}

/** What tells an assembly step from the others of its piece in the list. */
export function assemblyLine(operations: Operations, nameOf: NameOf): string {
  const glues = operations.flatMap((each) => (each.kind === 'glue' ? [each] : []));
  const [first] = glues;
  const face = first?.faces[0];
  if (first && face) {
    const count = glues.reduce((sum, { faces }) => sum + faces.length, 0);
    const what = `glue ${countInWords(count)} ${roleInWords(face.role, count)}`;
    const last = glues.find(({ round }) => round !== undefined);
    if (last?.round !== undefined)
      return `${what}, the last ${countInWords(last.faces.length)} round the ${nameOf(last.round).toLowerCase()}`;
    return face.role === 'seam' ? 'glue the seam' : what;
  }
  const main = mainOperation(operations);
  switch (main.kind) {
    case 'fold':
      return 'fold and burnish';
    case 'put in':
      return operations.length === 1 ? 'gift in' : 'gift in, close the box';
    case 'join':
      switch (main.how) {
        case 'on its floor':
          return `lay it in the ${nameOf(main.onto).toLowerCase()}`;
        case 'on its legs':
          return `stand it in the ${nameOf(main.onto).toLowerCase()}`;
        case 'place':
          return 'in its place';
        case 'through its slots':
          return `join with the ${nameOf(main.onto).toLowerCase()}`;
        case 'between the things':
        case 'on edge':
          return `stand them in the ${nameOf(main.onto).toLowerCase()}`;
        case 'over':
        case 'into':
          return `${main.how} the ${nameOf(main.onto).toLowerCase()}`;
        case 'round the base':
          return `round the ${nameOf(main.onto).toLowerCase()}`;
        default:
          return 'round the closed box';
      }
    case 'line':
      return `glue into the ${nameOf(main.onto).toLowerCase()}`;
    case 'dress':
      return `glue on to the ${nameOf(main.onto.piece).toLowerCase()}`;
    case 'tag':
      return main.tag.hole ? 'put together, hang it on' : 'put together, stick it on';
    case 'spot':
      return spotDone[main.spot.use];
    case 'attach':
      return `glue to the ${nameOf(main.onto).toLowerCase()}`;
    default: {
      const figure = assemblyFigure(operations, nameOf);
      return `${figure.charAt(0).toLowerCase()}${figure.slice(1)}`;
    }
  }
}
