import { seatGap } from '../gaps/index.ts';
import type { Section } from '../marks/index.ts';
import type { GridSpot, Stack } from '../fold/index.ts';
import {
  half,
  largest,
  millimetres,
  minus,
  plus,
  smallest,
  times,
  toMillimetres,
  zero,
  type Length,
} from '../length/index.ts';
import type { Cutout, Spot } from '../piece/index.ts';
import type { PieceTemplate, SizeOf, StyleBrief, StyleDepth, StyleFit } from './brief.ts';
import { drawGrid, mountain, rowScore, valley } from './draw-grid.ts';
import { moveGrid } from './move-grid.ts';
import { lies } from './placing.ts';
import { depthWindow, marksWindow, section, type FloorSections, type Layers } from './sections.ts';
import { trayStacks, trayStages, trayTemplate, type Tray } from './tray.ts';

/** What is folded when, after the walls of the base stand. */
const stages = { tongue: trayStages.rims, drop: trayStages.rims, seat: trayStages.end } as const;

/** Rows of the seat before those of the base: its tongue, the seat, and what hangs down from the back wall. */
const before = 3;

/** So much narrower than the floor the seat is on either side: a strip that can still be cut off. */
const sideSpare = millimetres(1.6);

/** A tongue is as long as holds, and no longer than the seat stands high. */
const tongueLength = { least: millimetres(6), target: millimetres(12) } as const;

/** A drop that is shorter has too little for glue. */
const leastDrop = millimetres(6);

/** A seat that is one with its base: it hangs on the back wall, and its tongue is glued behind the front. */
export interface BuiltInSeat {
  readonly sections: readonly Section[];
  readonly template: PieceTemplate;
  readonly fit: StyleFit;
  readonly depth: (option: string) => StyleDepth;
  /** The middle of the base's floor. */
  readonly root: GridSpot;
  readonly stacks: (size: SizeOf) => readonly Stack[];
}

/** From how high on walls take a seat that these don't. */
interface TooLow {
  readonly wallFrom: Length;
}

/** Card inside the walls of a base with such a seat: tabs, what hangs at the back and the tongue, one each. */
export function seatLayers(card: Length): Layers {
  return { across: times(sideSpare, 2), deep: plus(times(card, 3), seatGap.target) };
}

/**
 * The base with its seat, or how high its walls would have to be for one. `opening` is cut out of the seat
 * round the spot that is its middle.
 */
export function builtInSeat(
  brief: Pick<StyleBrief<unknown>, 'kit'>,
  {
    base,
    card,
    panel,
    wall,
    high,
    opening,
  }: {
    readonly base: Tray & { readonly floor: FloorSections };
    readonly card: Length;
    /** How deep the seat must be. */
    readonly panel: { readonly least: Length; readonly target: Length };
    readonly wall: Section;
    /** How high it stands over the floor. */
    readonly high: Length;
    readonly opening: (middle: Spot) => Cutout;
  },
): BuiltInSeat | TooLow {
  // Wherever the marks put the wall and the strip that hangs down, the tongue stays over the floor.
  const beside = plus(card, millimetres(2));
  const under = plus(minus(wall.target, wall.least), beside);
  const limits = {
    least: plus(tongueLength.least, under),
    most: minus(wall.target, leastDrop),
  };
  // So much is left to the marks: between limits that are nearer there may be none.
  const wallFrom = plus(leastDrop, tongueLength.least, beside, marksWindow(brief));
  if (wall.least < wallFrom) return { wallFrom };
  const stands = smallest(largest(high, limits.least), limits.most);
  const tongueMost = smallest(plus(tongueLength.target, millimetres(4)), minus(stands, under));
  const tongue: Section = {
    ...section(brief, 'seat tongue', {
      least: tongueLength.least,
      target: smallest(tongueLength.target, tongueMost),
      weight: 0.05,
    }),
    most: tongueMost,
  };
  const dropTarget = minus(wall.target, stands);
  const drop: Section = {
    ...section(brief, 'seat drop', { least: dropTarget, target: dropTarget, weight: 0.2 }),
    least: largest(leastDrop, minus(dropTarget, depthWindow)),
    most: minus(wall.least, tongueMost, card),
  };
  const seat = section(brief, 'seat deep', panel);
  const plain = trayTemplate(base);
  const across = plain.across;
  const down = [tongue.id, seat.id, drop.id, ...plain.down];
  const draw = (size: SizeOf) => {
    const columns = across.map(size);
    const rows = down.map(size);
    const top = plus(size(tongue.id), size(seat.id), size(drop.id));
    const [left = zero, wide = zero] = columns;
    const side = (from: Length): Cutout => ({
      shape: 'trim',
      use: 'seat side',
      corners: [
        { x: from, y: zero },
        { x: plus(from, sideSpare), y: zero },
        { x: plus(from, sideSpare), y: top },
        { x: from, y: top },
      ],
    });
    const tray = moveGrid(plain.draw(size), {
      columns: 0,
      rows: before,
      reach: { x: zero, y: top },
    });
    const outer = drawGrid({
      columns,
      rows,
      picture: ['.t.', '.o.', '.r.', 'twt', 'wfw', 'twt'],
      lines: [
        rowScore(1, 1, 2, valley(90, stages.tongue)),
        rowScore(2, 1, 2, mountain(90, stages.seat)),
        rowScore(3, 1, 2, valley(180, stages.drop)),
      ],
    });
    return {
      ...outer,
      lines: [...outer.lines, ...tray.lines],
      tapers: tray.tapers,
      cutouts: [
        ...tray.cutouts,
        side(left),
        side(minus(plus(left, wide), sideSpare)),
        // Over the middle of the floor, counted from the back wall that the seat hangs on.
        opening({
          x: plus(left, half(wide)),
          y: minus(plus(size(tongue.id), size(seat.id)), half(size(base.floor.deep))),
        }),
      ],
    };
  };
  // A fold right round takes up no card here: what the seat is shorter by lies all at the front.
  const fromFront = (size: SizeOf) =>
    largest(zero, minus(size(base.floor.deep), size(seat.id), times(card, 2)));
  const tabs = (row: number) => [0.5, 2.5].map((column) => [column, row] as const);
  const over = (face: readonly [number, number], on: readonly [number, number]) =>
    lies(base.id, { face, on, side: 'inside', holds: 'rest' });
  const [dropSpot, tongueSpot] = [[1.5, 2.9] as const, [1.5, 0.9] as const];
  const [back, front] = [3 + 0.998, 3 + 2.002];
  return {
    sections: [tongue, seat, drop],
    template: { ...plain, across, down, draw },
    fit: {
      kind: 'seat',
      outer: base.id,
      inner: base.id,
      direction: 'deep',
      outerSection: base.floor.deep,
      innerSection: seat.id,
      // On either side lie a tab and what is glued over it, each from the middle of its card.
      layers: times(card, 4),
      gap: seatGap,
    },
    depth: (option) => ({
      option,
      ...limits,
      comes: (size) => minus(size(wall.id), size(drop.id)),
      sets: { section: drop.id, to: (asked) => minus(wall.target, asked) },
    }),
    root: { column: 1.5, row: before + 1.5 },
    stacks: (size) => [
      ...trayStacks(base, { id: base.id }).map((stack) => ({
        ...stack,
        face: { ...stack.face, spot: { ...stack.face.spot, row: stack.face.spot.row + before } },
        on: { ...stack.on, spot: { ...stack.on.spot, row: stack.on.spot.row + before } },
      })),
      lies(base.id, { face: dropSpot, on: [1.5, 3.1], side: 'inside' }),
      ...tabs(back).map((tab) => over(dropSpot, tab)),
      ...[
        lies(base.id, { face: tongueSpot, on: [1.5, front], side: 'inside' }),
        ...tabs(front).map((tab) => over(tongueSpot, tab)),
      ].map((stack) => ({ ...stack, bows: toMillimetres(fromFront(size)) })),
    ],
  };
}
