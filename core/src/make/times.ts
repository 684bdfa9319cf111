import type { Operation } from './operation.ts';

/** Seconds that one of each thing takes a practised hand: the one table of times. */
export const takes = {
  cut: 15,
  /** Finding how a piece has to lie, and laying it there. */
  lay: 4,
  mark: 3,
  /** A line along a ruler. */
  ruled: 14,
  punchedLine: 8,
  slit: 4,
  cutAway: 6,
  taper: 5,
  round: 8,
  cutOut: 7,
  /** Folding and burnishing a score, and folding it again when the box goes together. */
  fold: 5,
  gluedPart: 14,
  gluedPiece: 20,
  thread: 40,
  join: 14,
  putIn: 12,
  stamp: 30,
} as const;

/** About how long an operation takes for one piece, in seconds; cuts for all of them together. */
export function secondsOf(operation: Operation): number {
  switch (operation.kind) {
    case 'cut':
      return operation.cuts.length * takes.cut;
    case 'punch':
      return (
        takes.lay +
        operation.sides *
          (operation.setting.kind === 'mark' ? 1 : operation.setting.lines) *
          takes.punchedLine
      );
    case 'score':
    case 'mark':
      return (
        takes.lay + operation.marks.length * (operation.tool === 'ruler' ? takes.ruled : takes.mark)
      );
    case 'slanted score':
      return operation.diagonals.length * takes.ruled;
    case 'slit':
      return operation.lines.length * takes.slit;
    case 'cut away':
      return operation.at.corners.length * takes.cutAway;
    case 'cut to shape':
      return operation.points.length * takes.cutAway;
    case 'taper':
      return operation.places.length * takes.taper;
    case 'round':
      return operation.cutouts.length * takes.round;
    case 'cut out':
      return operation.cutouts.length * takes.cutOut;
    case 'fold':
      return operation.folds * takes.fold;
    case 'glue':
      return operation.faces.length * takes.gluedPart;
    case 'attach':
      return operation.joints.length * takes.gluedPiece;
    case 'spot':
      return takes.stamp;
    case 'dress':
      return operation.count * takes.gluedPiece;
    case 'line':
      return (
        takes.gluedPiece *
        (typeof operation.walls === 'number' ? operation.walls : operation.walls.length)
      );
    case 'tag':
      return takes.thread + operation.tag.layers.length * takes.gluedPiece;
    case 'thread':
    case 'lay ribbon':
    case 'tie':
      return takes.thread;
    case 'join':
      return takes.join;
    case 'put in':
      return takes.putIn;
    // These are counted with the folds that they follow.
    case 'fold up':
    case 'tuck':
    case 'fold corners':
    case 'hook':
    case 'close':
      return 0;
  }
}
