import { vector, type Part } from '../fold/index.ts';
import {
  atFront,
  columnScore,
  drawGrid,
  openEnd,
  seamTaper,
  tubePart,
  tubeStacks,
  tubeTemplate,
  valley,
  type TubeShape,
  type Worn,
} from '../forms/index.ts';
import { toMillimetres, type Length } from '../length/index.ts';
import type { Piece, Taper } from '../piece/index.ts';

/** A band as it stands: its panels from fold to fold, its seam, and how wide its strip is. */
export interface BandSizes {
  readonly id: string;
  /** Which of the box’s papers it is cut from. */
  readonly paper: number;
  readonly card: Length;
  readonly across: Length;
  readonly deep: Length;
  readonly seam: Length;
  readonly width: Length;
}

/** A band out of one strip, standing with its middle in the middle: its seam is beside its back, inside a side. */
export function oneStrip({ id, paper, card, ...sizes }: BandSizes): Worn {
  const shape: TubeShape = {
    floor: { across: 'across', deep: 'deep' },
    seam: { id: 'seam' },
    card,
  };
  const tube = {
    id,
    name: 'Band',
    paper,
    panels: shape,
    high: 'width',
    top: openEnd,
    bottom: openEnd,
  };
  const lengths = new Map<string, Length>(Object.entries(sizes));
  const size = (section: string) => lengths.get(section) ?? sizes.width;
  const { name, copies, draw } = tubeTemplate(tube);
  const lower = -toMillimetres(sizes.width) / 2;
  return {
    pieces: [{ id, name, paper, copies, grid: draw(size) }],
    parts: [tubePart(tube, size, { lower, joins: 0 })],
    stacks: [...tubeStacks(tube, size)],
  };
}

/**
 * A band that is longer than its sheet: a strip over three sides with a tab at either end, and a plate that is glued
 * on both at the back.
 */
export function twoStrips({
  id,
  paper,
  card,
  across,
  deep,
  seam,
  otherSeam,
  width,
  under,
}: BandSizes & {
  readonly otherSeam: Length;
  /** The name of the plate. */
  readonly under: string;
}): Worn {
  const plate = `${id} under`;
  const taper = seamTaper(0, width);
  const tapers: readonly Taper[] = [
    taper,
    { ...taper, cell: { column: 0, row: 0 }, hinge: 'right' },
  ];
  const strip: Piece = {
    id,
    name: 'Band',
    paper,
    copies: 1,
    grid: drawGrid({
      columns: [seam, deep, across, deep, otherSeam],
      rows: [width],
      picture: ['twwwt'],
      lines: [1, 2, 3, 4].map((column) => columnScore(column, 0, 1, valley(90, 0))),
      tapers,
    }),
  };
  const back: Piece = {
    id: plate,
    name: under,
    paper,
    copies: 1,
    grid: drawGrid({ columns: [across], rows: [width], picture: ['w'], lines: [] }),
  };
  // The tabs lie inside the plate: the room is in the middle before them.
  const aside = toMillimetres(card) / 2;
  const [wide, far, high] = [across, deep, width].map(toMillimetres);
  const front = atFront({
    id,
    root: { column: 2.1, row: 0.9 },
    at: vector(0.4 * (wide ?? 0), -(far ?? 0) / 2 + aside, -0.4 * (high ?? 0)),
  });
  const behind: Part = {
    id: plate,
    piece: plate,
    root: { column: 0.5, row: 0.5 },
    right: vector(1, 0, 0),
    up: vector(0, 0, 1),
    at: vector(0, (far ?? 0) / 2 + aside, 0),
    joins: 0,
  };
  return {
    pieces: [strip, back],
    parts: [front, behind],
    stacks: [0.6, 4.4].map((column) => ({
      face: { part: id, spot: { column, row: 0.5 } },
      on: { part: plate, spot: { column: 0.5, row: 0.5 } },
      side: 'inside',
      holds: 'glue',
    })),
  };
}
