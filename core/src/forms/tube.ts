import { vector, type Part, type Stack } from '../fold/index.ts';
import {
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
import {
  gridPositions,
  type Cutout,
  type Diagonal,
  type Patch,
  type Side,
  type Taper,
} from '../piece/index.ts';
import type { PieceTemplate, SizeOf, StyleBrief, StyleDepth, StyleSection } from './brief.ts';
import {
  columnScore,
  columnSlit,
  drawGrid,
  rowScore,
  valley,
  type PlacedSpan,
} from './draw-grid.ts';
import { seamDepth, seamSection } from './flap-widths.ts';
import { atFront, lies } from './placing.ts';
import { floorSections, type FloorSections } from './sections.ts';

type Brief = Pick<StyleBrief<unknown>, 'inside' | 'kit' | 'mayBeOblong'>;

/** A panel of a tube by its column, seen from the inside. */
export const panels = { right: 0, front: 1, left: 2, back: 3 } as const;

/**
 * Four panels and a seam: seen from the inside, right side, front, left side, back, and a seam that is
 * glued inside the right side, so that no edge shows from the front.
 */
export interface TubePanels {
  readonly floor: FloorSections;
  readonly seam: StyleSection;
  readonly card: Length;
  readonly sections: readonly StyleSection[];
  /** How wide the seam may be. */
  readonly seamDepth: StyleDepth;
}

/** The panels and the seam of a tube round the gift; more card may lie before its front or its back. */
export function tubePanels(
  brief: Brief,
  prefix: string,
  card: Length,
  linedWith: Length = zero,
): TubePanels {
  // The seam lies beside one of the two sides.
  const floor = floorSections(brief, prefix, card, { across: card, deep: linedWith });
  const { deep } = brief.inside;
  const room = times(deep.least, 0.8);
  const beside = seamSection(brief, `${prefix} seam`, room);
  const seam = { ...beside, most: smallest(beside.most, largest(deep.least, beside.target)) };
  return {
    floor,
    seam,
    card,
    sections: [...floor.sections, seam],
    seamDepth: seamDepth(seam, room),
  };
}

/** Clear inside of a tube whose panels have these sizes. */
export function tubeInside(size: SizeOf, { floor, card }: Pick<TubeShape, 'floor' | 'card'>) {
  return {
    across: minus(size(floor.across), card, card),
    deep: minus(size(floor.deep), card),
  };
}

/** Where an end of a tube is drawn, counted outward from the panels. */
export interface EndPlace {
  /** The row line between the panels and the end's first row is line 0. */
  readonly line: (outward: number) => number;
  /** The cell row that lies beyond that line. */
  readonly row: (outward: number) => number;
  /** How far down the card a line is drawn. */
  readonly y: (outward: number) => Length;
  /** How far across it a column line is. */
  readonly x: (column: number) => Length;
  /** The side of a cell that is towards the panels. */
  readonly hinge: Side;
  /** Which way is outward. */
  readonly outward: 1 | -1;
}

/** What is drawn at an end of a tube. */
interface EndDrawing {
  readonly lines: readonly PlacedSpan[];
  readonly tapers?: readonly Taper[];
  readonly cutouts?: readonly Cutout[];
  readonly diagonals?: readonly Diagonal[];
  readonly patches?: readonly Patch[];
}

/** What stands on the edges of a tube's panels at one end. */
export interface TubeEnd {
  /** Sections from the panels outward. */
  readonly rows: readonly string[];
  /** Roles of their five cells, row by row outward. */
  readonly picture: readonly string[];
  readonly draw: (place: EndPlace, size: SizeOf) => EndDrawing;
  /** What lies on what at the end of a tube of these sizes. */
  readonly stacks: (part: string, place: Pick<EndPlace, 'row'>, size: SizeOf) => readonly Stack[];
}

/** Panels with nothing beyond their edges. */
export const openEnd: TubeEnd = {
  rows: [],
  picture: [],
  draw: () => ({ lines: [] }),
  stacks: () => [],
};

/** How far the corners of a closing flap are drawn in. */
export function flapTaper(width: Length): Length {
  return smallest(millimetres(2), times(width, 1 / 8));
}

/** The taper of a seam beside panels of this height. */
export function seamTaper(row: number, high: Length): Taper {
  return {
    cell: { column: 4, row },
    hinge: 'left',
    inset: smallest(millimetres(2), times(high, 1 / 8)),
  };
}

/** A flap that clears its neighbours at the hinge and at its free end. */
export function flapOf(panel: number, place: EndPlace, width: Length, outward = 0): Taper {
  return {
    cell: { column: panel, row: place.row(outward) },
    hinge: place.hinge,
    inset: flapTaper(width),
    shoulder: smallest(millimetres(0.4), times(width, 1 / 20)),
  };
}

/**
 * The flaps of a glued end: the two sides fold first, then the back, then the front over it; together with the
 * back where it doesn't reach that.
 */
function gluedOrder(frontMeetsBack: boolean) {
  return [
    { panel: panels.right, stage: 0 },
    { panel: panels.left, stage: 0 },
    { panel: panels.back, stage: 1 },
    { panel: panels.front, stage: frontMeetsBack ? 2 : 1 },
  ] as const;
}

/** An end closed by four flaps glued on one another. */
export function gluedEnd(flaps: string, floor: FloorSections, begins: number): TubeEnd {
  // Two flaps that face each other meet where they are longer than half of the way.
  const meet = (size: SizeOf, way: string) =>
    times(size(flaps), 2) > plus(size(way), millimetres(1));
  return {
    rows: [flaps],
    picture: ['pppp.'],
    draw: (place, size) => ({
      lines: [
        ...[1, 2, 3].map((column) => columnSlit(column, place.row(0), place.row(0) + 1)),
        ...gluedOrder(meet(size, floor.deep)).map(({ panel, stage }) =>
          rowScore(place.line(0), panel, panel + 1, valley(90, begins + stage)),
        ),
      ],
      tapers: [0, 1, 2, 3].map((panel) =>
        flapOf(panel, place, size(panel % 2 === 0 ? floor.deep : floor.across)),
      ),
    }),
    stacks: (part, place, size) => {
      const flap = (panel: number) => [panel + 0.5, place.row(0) + 0.5] as const;
      const { right, front, left, back } = panels;
      const glued = (face: number, on: number) =>
        lies(part, { face: flap(face), on: flap(on), side: 'outside' });
      const rests = (face: number, on: number) =>
        lies(part, { face: flap(face), on: flap(on), side: 'outside', holds: 'rest' });
      return [
        ...(meet(size, floor.across)
          ? [lies(part, { face: flap(left), on: flap(right), side: 'outside', holds: 'tuck' })]
          : []),
        glued(back, right),
        glued(back, left),
        ...(meet(size, floor.deep)
          ? [glued(front, back), rests(front, right), rests(front, left)]
          : [glued(front, right), glued(front, left)]),
      ];
    },
  };
}

/** What of a tube’s panels its drawing and its place in the box go by: the names of their sections, and their card. */
export interface TubeShape {
  readonly floor: Pick<FloorSections, 'across' | 'deep'>;
  readonly seam: Pick<StyleSection, 'id'>;
  readonly card: Length;
}

interface TubePiece {
  readonly id: string;
  readonly name: string;
  readonly paper: number;
  readonly panels: TubeShape;
  readonly high: string;
  readonly top: TubeEnd;
  readonly bottom: TubeEnd;
  /** More that is cut out of the panels; y counts from their upper edge. */
  readonly cutouts?: (size: SizeOf, top: Length) => readonly Cutout[];
}

function endPlaces(tube: TubePiece, columns: readonly Length[], rows: readonly Length[]) {
  const above = tube.top.rows.length;
  const xs = gridPositions(columns);
  const ys = gridPositions(rows);
  const x = (column: number) => xs[column] ?? zero;
  const top: EndPlace = {
    line: (outward) => above - outward,
    row: (outward) => above - 1 - outward,
    y: (outward) => ys[above - outward] ?? zero,
    x,
    hinge: 'bottom',
    outward: -1,
  };
  const bottom: EndPlace = {
    line: (outward) => above + 1 + outward,
    row: (outward) => above + 1 + outward,
    y: (outward) => ys[above + 1 + outward] ?? zero,
    x,
    hinge: 'top',
    outward: 1,
  };
  return { top, bottom };
}

/** A tube as a piece to be cut. Its panels turn at stage 0. */
export function tubeTemplate(tube: TubePiece): PieceTemplate {
  const { floor, seam } = tube.panels;
  const above = tube.top.rows.length;
  const across = [floor.deep, floor.across, floor.deep, floor.across, seam.id];
  const down = [...[...tube.top.rows].reverse(), tube.high, ...tube.bottom.rows];
  return {
    id: tube.id,
    name: tube.name,
    paper: tube.paper,
    copies: 1,
    across,
    down,
    draw: (size) => {
      const columns = across.map(size);
      const rows = down.map(size);
      const places = endPlaces(tube, columns, rows);
      const ends = [tube.top.draw(places.top, size), tube.bottom.draw(places.bottom, size)];
      return drawGrid({
        columns,
        rows,
        picture: [...[...tube.top.picture].reverse(), 'wwwws', ...tube.bottom.picture],
        lines: [
          ...[1, 2, 3, 4].map((column) => columnScore(column, above, above + 1, valley(90, 0))),
          ...ends.flatMap(({ lines }) => lines),
        ],
        tapers: [seamTaper(above, size(tube.high)), ...ends.flatMap(({ tapers = [] }) => tapers)],
        diagonals: ends.flatMap(({ diagonals = [] }) => diagonals),
        patches: ends.flatMap(({ patches = [] }) => patches),
        cutouts: [
          ...ends.flatMap(({ cutouts = [] }) => cutouts),
          ...(tube.cutouts?.(size, places.top.y(0)) ?? []),
        ],
      });
    },
  };
}

/** The rows of both ends as they are counted on the piece. */
function endRows({ top }: TubePiece) {
  const above = top.rows.length;
  return {
    panels: above,
    top: { row: (outward: number) => above - 1 - outward },
    bottom: { row: (outward: number) => above + 1 + outward },
  };
}

/** The seam and the ends of a tube on what they lie on. */
export function tubeStacks(tube: TubePiece, size: SizeOf): readonly Stack[] {
  const rows = endRows(tube);
  return [
    lies(tube.id, { face: [4.3, rows.panels + 0.5], on: [0.5, rows.panels + 0.5], side: 'inside' }),
    ...tube.top.stacks(tube.id, rows.top, size),
    ...tube.bottom.stacks(tube.id, rows.bottom, size),
  ];
}

/** How high the lower edges of a tube stand, in millimetres, and the stage at which it turns upright. */
export interface Standing {
  readonly lower: number;
  readonly joins: number;
}

/** A tube standing in its place. */
export function tubePart(tube: TubePiece, size: SizeOf, { lower, joins }: Standing): Part {
  const { floor } = tube.panels;
  const above = tube.top.rows.length;
  return atFront({
    id: tube.id,
    // In a corner of the front, where nothing is cut out of it.
    root: { column: 1.1, row: above + 0.9 },
    at: vector(
      tubeAside(tube.panels) + 0.4 * toMillimetres(size(floor.across)),
      -toMillimetres(size(floor.deep)) / 2,
      lower + 0.1 * toMillimetres(size(tube.high)),
    ),
    joins,
  });
}

/** How far in millimetres a tube stands to the right, so that its room beside the seam is in the middle. */
export function tubeAside({ card }: Pick<TubeShape, 'card'>): number {
  return toMillimetres(card) / 2;
}
