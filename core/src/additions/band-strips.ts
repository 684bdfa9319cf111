import { vector, type Part } from '../fold/index.ts';
import {
  atFront,
  columnScore,
  drawGrid,
  openEnd,
  seamTaper,
  slitWidth,
  tubePart,
  tubeStacks,
  tubeTemplate,
  uprightSlit,
  valley,
  type TubeShape,
  type Worn,
} from '../forms/index.ts';
import { half, minus, plus, toMillimetres, zero, type Length } from '../length/index.ts';
import type { Cutout, Piece, Taper } from '../piece/index.ts';

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

/** Which of the columns of a strip over three sides is in front. */
export const frontOfThreeSides = 2;

/** What the flat strip of a band that lies over three sides has at its ends. */
type ThreeSides = Pick<BandSizes, 'id' | 'paper' | 'card' | 'across' | 'deep' | 'width'> & {
  readonly ends: readonly [Length, Length];
  readonly picture: string;
  readonly tapers?: readonly Taper[];
  readonly cutouts?: readonly Cutout[];
};

/** A strip with its front in the middle, as it stands: its ends come together at the back, in two layers of card. */
function threeSides(strip: ThreeSides): { readonly piece: Piece; readonly part: Part } {
  const { id, paper, card, across, deep, width, ends, picture, tapers = [], cutouts = [] } = strip;
  const [wide, far, high] = [across, deep, width].map(toMillimetres);
  return {
    piece: {
      id,
      name: 'Band',
      paper,
      copies: 1,
      grid: drawGrid({
        columns: [ends[0], deep, across, deep, ends[1]],
        rows: [width],
        picture: [picture],
        lines: [1, 2, 3, 4].map((column) => columnScore(column, 0, 1, valley(90, 0))),
        tapers,
        cutouts,
      }),
    },
    // The inner of the two layers lies before the outer one: the room is in the middle before that.
    part: atFront({
      id,
      root: { column: 2.1, row: 0.9 },
      at: vector(0.4 * (wide ?? 0), toMillimetres(card) / 2 - (far ?? 0) / 2, -0.4 * (high ?? 0)),
    }),
  };
}

/**
 * A band whose ends are slit, one from its upper edge and one from its lower, and hook into each other in the middle
 * of the back.
 */
export function hookedStrip({
  seam: end,
  otherSeam: otherEnd,
  ...strip
}: BandSizes & { readonly otherSeam: Length }): Worn {
  const { id, across, deep, width } = strip;
  const tip = half(minus(plus(end, otherEnd), across));
  const whole = plus(end, deep, across, deep, otherEnd);
  const slit = { use: 'hook', wide: slitWidth } as const;
  const { piece, part } = threeSides({
    ...strip,
    ends: [end, otherEnd],
    picture: 'wwwws',
    cutouts: [
      uprightSlit({ ...slit, at: tip, from: zero, to: half(width) }),
      uprightSlit({ ...slit, at: minus(whole, tip), from: half(width), to: width }),
    ],
  });
  const beside = (column: number) => ({ part: id, spot: { column, row: 0.5 } });
  return {
    pieces: [piece],
    parts: [part],
    stacks: [{ face: beside(4.1), on: beside(0.9), side: 'inside', holds: 'tuck' }],
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
  const { piece: strip, part: front } = threeSides({
    ...{ id, paper, card, across, deep, width, tapers },
    ends: [seam, otherSeam],
    picture: 'twwwt',
  });
  const back: Piece = {
    id: plate,
    name: under,
    paper,
    copies: 1,
    grid: drawGrid({ columns: [across], rows: [width], picture: ['w'], lines: [] }),
  };
  const behind: Part = {
    id: plate,
    piece: plate,
    root: { column: 0.5, row: 0.5 },
    right: vector(1, 0, 0),
    up: vector(0, 0, 1),
    at: vector(0, (toMillimetres(deep) + toMillimetres(card)) / 2, 0),
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
