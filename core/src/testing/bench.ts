import {
  cutSizeOf,
  gridPositions,
  toMillimetres,
  type Kit,
  type Piece,
  type ScoreStep,
  type Side,
  type Step,
} from '../index.ts';
import { near, scoreFaults, type Line, type Place } from './lines.ts';

/*
 * A bench on which the steps of a piece are done one after the other, with a sheet of card and tools that
 * know nothing but their own numbers: a board scores from its ruler to the end of a groove at a distance
 * from its fence, a punch board scores from a notch at 45°. The sheet is turned by hand, clockwise, and what
 * was scored is looked up on it afterwards.
 */

/** How a sheet lies: where the drawn place of every spot on the bench is, and how large it is there. */
interface Lying {
  readonly across: number;
  readonly down: number;
  readonly drawn: (spot: Place) => Place;
}

function asDrawn(across: number, down: number): Lying {
  return { across, down, drawn: (spot) => spot };
}

/** A quarter turn clockwise: what was on the left comes to the top. */
function turned({ across, down, drawn }: Lying): Lying {
  return { across: down, down: across, drawn: ({ x, y }) => drawn({ x: y, y: down - x }) };
}

/** Over end to end: the left edge stays on the left. */
function turnedOver({ across, down, drawn }: Lying): Lying {
  return { across, down, drawn: ({ x, y }) => drawn({ x, y: down - y }) };
}

function edgeAt({ across, down, drawn }: Lying, side: Side, piece: Lying): Side {
  const middle: Readonly<Record<Side, Place>> = {
    left: { x: 0, y: down / 2 },
    right: { x: across, y: down / 2 },
    top: { x: across / 2, y: 0 },
    bottom: { x: across / 2, y: down },
  };
  const { x, y } = drawn(middle[side]);
  if (x < near) return 'left';
  if (y < near) return 'top';
  return Math.abs(x - piece.across) < near ? 'right' : 'bottom';
}

/** Whether a distance is one that the tool's marks have. */
function isMark(distance: number, step: number): boolean {
  return Math.abs(distance / step - Math.round(distance / step)) < 1e-6;
}

/** The scores of one step on a board, or along a ruler or under a tip at the same distance from an edge. */
function scored(step: ScoreStep, flat: Lying, { board, trimmer, without }: Kit): readonly Line[] {
  const reading = toMillimetres(step.reading);
  const isBoard = step.tool === 'board';
  const fence = isBoard ? board.fence : 'left';
  if (isBoard) {
    const groove = reading + (step.shim === undefined ? 0 : toMillimetres(step.shim));
    if (without.includes('boards')) throw new Error('There is no board on this bench');
    if (!isMark(groove, toMillimetres(board.pitch))) throw new Error(`No groove at ${groove}`);
    if (groove > toMillimetres(board.reach) + near) throw new Error(`Out of reach: ${groove}`);
    if (step.shim !== undefined && step.shim !== board.shim) throw new Error('No such shim');
  }
  if (step.tool === 'tip') {
    if (!trimmer.scoringTip) throw new Error('There is no scoring tip on this bench');
    if (!isMark(reading, toMillimetres(trimmer.step))) throw new Error(`No mark at ${reading}`);
    if (step.passes.some(({ part }) => part)) throw new Error('The tip scores right across');
  }
  return step.passes.map((pass): Line => {
    let lying = flat;
    while (edgeAt(lying, fence, flat) !== pass.edge) lying = turned(lying);
    if (pass.over) lying = turnedOver(lying);
    if (edgeAt(lying, fence, flat) !== pass.edge) throw new Error('The wrong edge at the fence');
    const x = fence === 'left' ? reading : lying.across - reading;
    // From the ruler downwards, as far as the grooves or the cut go.
    const longest = isBoard
      ? toMillimetres(board.grooveLength)
      : step.tool === 'tip'
        ? toMillimetres(trimmer.cutLength)
        : Infinity;
    const upright = pass.edge === 'left' || pass.edge === 'right';
    const along = ({ x: left, y: top }: Place) => (upright ? top : left);
    const ends = [lying.drawn({ x, y: 0 }), lying.drawn({ x, y: lying.down })].map(along);
    const [start = 0, end = 0] = ends;
    const onBench = (at: number) => (start < end ? at : start - at);
    const wanted = pass.part
      ? [toMillimetres(pass.part.from), toMillimetres(pass.part.to)].map(onBench)
      : [0, lying.down];
    const [from, to] = [Math.min(...wanted), Math.max(...wanted)];
    if (to > longest + near) throw new Error(`Scored to ${to}, and the groove ends at ${longest}`);
    return [lying.drawn({ x, y: from }), lying.drawn({ x, y: to })];
  });
}

/** A line at 45° from a notch on the upper edge, down to the left until it leaves the sheet. */
function fromNotch({ across, down, drawn }: Lying, at: number): Line {
  const long = Math.min(at, down);
  if (at < -near || at > across + near) throw new Error('A notch beside the sheet');
  return [drawn({ x: at, y: 0 }), drawn({ x: at - long, y: long })];
}

/** All punch steps of a piece, on a diagonal board: the sheet is turned, and the last lines are followed. */
function punchedAslant(
  steps: readonly Step[],
  flat: Lying,
  { diagonalBoard }: Kit,
): readonly Line[] {
  const lines: Line[] = [];
  let lying = flat;
  let notches: readonly number[] = [];
  for (const step of steps) {
    if (step.kind !== 'punch') continue;
    if (!diagonalBoard) throw new Error('There is no diagonal board on this bench');
    if (step.setting.kind === 'mark') {
      const at = toMillimetres(step.setting.at);
      const { least, most, step: mark, largestSheet } = diagonalBoard;
      if (!isMark(at, toMillimetres(mark))) throw new Error(`No mark at ${at}`);
      if (step.setting.at < least || step.setting.at > most)
        throw new Error(`Off the ruler: ${at}`);
      if (flat.across > toMillimetres(largestSheet) + near) throw new Error('Too large a sheet');
      lines.push(fromNotch(lying, at));
      notches = [...notches, at];
      continue;
    }
    for (let side = 0; side < step.sides; side++) {
      // The lines that were scored last end on the left; turned, they end on the upper edge.
      const ends = notches.map((at) => lying.down - at);
      lying = turned(lying);
      notches = ends;
      lines.push(...ends.map((at) => fromNotch(lying, at)));
    }
  }
  return lines;
}

/** A corner board: from the corner on the upper left two straight lines and one across, four times. */
function punchedCorners(
  steps: readonly Step[],
  flat: Lying,
  { cornerBoard }: Kit,
): readonly Line[] {
  return steps.flatMap((step): readonly Line[] => {
    if (step.kind !== 'punch' || step.setting.kind !== 'mark') return [];
    const { setting } = step;
    const named = cornerBoard?.marks.find(({ name }) => name === setting.name);
    if (!cornerBoard || named?.at !== setting.at) throw new Error('No such mark on the board');
    const lines: Line[] = [];
    let lying = flat;
    for (let corner = 0; corner < step.sides; corner++) {
      const at = toMillimetres(setting.at);
      const { drawn, across, down } = lying;
      const long = toMillimetres(cornerBoard.lineLength);
      lines.push(
        [drawn({ x: at, y: 0 }), drawn({ x: at, y: Math.min(long, down) })],
        [drawn({ x: 0, y: at }), drawn({ x: Math.min(long, across), y: at })],
        [drawn({ x: 0, y: 0 }), drawn({ x: at, y: at })],
      );
      lying = turned(lying);
    }
    return lines;
  });
}

/** The diagonals that a step along a ruler names; where it says that they are, they must be. */
function ruled(step: Step, piece: Piece): readonly Line[] {
  if (step.kind !== 'slant') return [];
  const { width, height } = cutSizeOf(piece.grid);
  const [across, down] = [toMillimetres(width), toMillimetres(height)];
  const place = placer(piece);
  const said = [step.ends?.from, step.ends?.to]
    .flatMap((end) => (end ? [end] : []))
    .map((end) =>
      [toMillimetres(end.across), toMillimetres(end.down)].sort((a, b) => a - b).join(),
    );
  return step.lines.flatMap((runs) => {
    const lines = runs.flatMap((at): readonly Line[] => {
      const diagonal = piece.grid.diagonals[at];
      return diagonal ? [[place(diagonal.from), place(diagonal.to)]] : [];
    });
    const points = lines.flat();
    const ends = points.filter(
      (point) =>
        points.filter((other) => Math.hypot(other.x - point.x, other.y - point.y) < near).length ===
        1,
    );
    for (const { x, y } of ends) {
      const edges = [Math.min(x, across - x), Math.min(y, down - y)].sort((a, b) => a - b);
      const isSaid = said.some((end) =>
        end.split(',').every((each, i) => Math.abs(Number(each) - (edges[i] ?? 0)) < 0.11),
      );
      if (!isSaid && said.length > 0)
        throw new Error('A line from somewhere else than its step says');
    }
    return lines;
  });
}

function placer({ grid }: Piece) {
  const xs = gridPositions(grid.columns).map(toMillimetres);
  const ys = gridPositions(grid.rows).map(toMillimetres);
  const between = (all: readonly number[], at: number) => {
    const from = all[Math.floor(at)] ?? 0;
    return from + ((all[Math.floor(at) + 1] ?? from) - from) * (at - Math.floor(at));
  };
  return ({ column, row }: { readonly column: number; readonly row: number }): Place => ({
    x: between(xs, column),
    y: between(ys, row),
  });
}

/** What the steps of a piece leave on its card. */
function madeOnBench(steps: readonly Step[], piece: Piece, kit: Kit): readonly Line[] {
  const cut = steps.find((step) => step.kind === 'cut');
  if (cut?.kind !== 'cut') throw new Error('A piece must be cut first');
  const flat = asDrawn(toMillimetres(cut.width), toMillimetres(cut.height));
  const lines = steps.flatMap((step): readonly Line[] => {
    if (step.kind === 'score') return step.make === 'score' ? scored(step, flat, kit) : [];
    return ruled(step, piece);
  });
  const punched =
    piece.punchBoard === 'corner'
      ? punchedCorners(steps, flat, kit)
      : punchedAslant(steps, flat, kit);
  return [...lines, ...punched];
}

/** What a piece's grid says is scored; where nothing stays on either side of a line it is scored through. */
function linesOf(piece: Piece): readonly Line[] {
  const { grid } = piece;
  const place = placer(piece);
  const lines = grid.lines.flatMap(({ axis, index, spans }): readonly Line[] => {
    const cells = (axis === 'column' ? grid.rows : grid.columns).length;
    const waste = (along: number, before: boolean) =>
      (axis === 'column'
        ? grid.roles[along]?.[before ? index - 1 : index]
        : grid.roles[before ? index - 1 : index]?.[along]) === 'waste';
    const isMade = (along: number) =>
      spans.some(({ from, to }) => from <= along && along < to) ||
      waste(along, true) ||
      waste(along, false);
    const made = Array.from({ length: cells }, (_, along) => isMade(along));
    const used = spans.flatMap(({ from, to }) => [from, to]);
    const [first, last] = made.includes(false)
      ? [Math.min(...used), Math.max(...used)]
      : [0, cells];
    const at = (along: number) =>
      axis === 'column'
        ? place({ column: index, row: along })
        : place({ column: along, row: index });
    return spans.length === 0 ? [] : [[at(first), at(last)]];
  });
  const diagonals = grid.diagonals.flatMap(({ make, from, to }): readonly Line[] =>
    make === 'score' ? [[place(from), place(to)]] : [],
  );
  return [...lines, ...diagonals];
}

/** From where to where each slit of the steps runs along a line, from the first edge. */
function slitOnBench(steps: readonly Step[], name: string, long: number) {
  return steps.flatMap((step) =>
    step.kind === 'slit'
      ? step.slits
          .filter(({ line }) => line === name)
          .map(({ from, length, begins }) => {
            const first = begins === undefined ? 0 : toMillimetres(begins);
            const ends = [first, first + toMillimetres(length)];
            const isStart = from === 'top' || from === 'left';
            return isStart ? ends : ends.map((end) => long - end);
          })
      : [],
  );
}

/** Slits that are missing, and card that is slit where it ought to stay whole; what is cut away may be slit. */
function slitFaults(steps: readonly Step[], { grid }: Piece): readonly string[] {
  return grid.lines.flatMap(({ axis, index, spans }) => {
    const along = gridPositions(axis === 'column' ? grid.rows : grid.columns).map(toMillimetres);
    const made = slitOnBench(steps, `${axis} ${index}`, along[along.length - 1] ?? 0);
    return along.slice(0, -1).flatMap((start, cell) => {
      const middle = (start + (along[cell + 1] ?? start)) / 2;
      const isMade = made.some((ends) => Math.min(...ends) < middle && middle < Math.max(...ends));
      const isWanted = spans.some(
        ({ make, from, to }) => make === 'slit' && from <= cell && cell < to,
      );
      const roles =
        axis === 'column'
          ? [grid.roles[cell]?.[index - 1], grid.roles[cell]?.[index]]
          : [grid.roles[index - 1]?.[cell], grid.roles[index]?.[cell]];
      const isRight = isWanted ? isMade : !isMade || roles.includes('waste');
      return isRight ? [] : [`${axis} ${index} ${isWanted ? 'not slit' : 'slit'} at ${middle}`];
    });
  });
}

/** Tabs that are left as they are, and places that are not punched or trimmed exactly once. */
function snipFaults(steps: readonly Step[], { grid }: Piece): readonly string[] {
  const tapered = steps.flatMap((step) =>
    step.kind === 'taper'
      ? step.places.filter(
          (place) => Math.abs((grid.tapers[place]?.inset ?? 0) - step.inset) <= 800_000,
        )
      : [],
  );
  const snipped = steps.flatMap((step) => (step.kind === 'snip' ? step.places : []));
  const isEach = grid.cutouts.every(
    (_, place) => snipped.filter((at) => at === place).length === 1,
  );
  return [
    ...(tapered.length === grid.tapers.length && new Set(tapered).size === tapered.length
      ? []
      : ['not every tab is tapered']),
    ...(isEach && snipped.length === grid.cutouts.length
      ? []
      : ['not everything is punched or trimmed']),
  ];
}

/**
 * How what the steps of a piece leave on its card differs from what its grid wants: scores and slits that
 * are missing or too many, tabs and cut-aways that are left out. None where every step is right.
 * @throws Error when a tool can't do what a step says.
 */
export function faultsOnBench(steps: readonly Step[], piece: Piece, kit: Kit): readonly string[] {
  return [
    ...scoreFaults(madeOnBench(steps, piece, kit), linesOf(piece)),
    ...slitFaults(steps, piece),
    // Slits run along grid lines only: aslant they would need a step of their own.
    ...piece.grid.diagonals.flatMap(({ make }) => (make === 'slit' ? ['a slanting slit'] : [])),
    ...snipFaults(steps, piece),
  ];
}
