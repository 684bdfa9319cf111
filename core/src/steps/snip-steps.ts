import {
  absolute,
  largest,
  minus,
  plus,
  millimetres,
  times,
  zero,
  type Length,
} from '../length/index.ts';
import type { Cutout, Piece, ScoreGrid, Spot } from '../piece/index.ts';
import type { Punch, PunchShape } from '../tools/index.ts';
import { fromEdges } from './slant-steps.ts';
import type { SnipStep } from './step.ts';

/** How large a punched thing is: a hole's width, a corner's radius. */
function sizeOf(cutout: Cutout, grid: ScoreGrid): Length | undefined {
  switch (cutout.shape) {
    case 'hole':
    case 'notch':
      return times(cutout.radius, 2);
    case 'corner':
      return absolute(cutout.along);
    case 'trim':
      return legOf(cutout.corners, grid);
  }
}

/** How far along both edges a tip is cut off the corner of a piece; undefined for any other cut. */
function legOf(corners: readonly Spot[], grid: ScoreGrid): Length | undefined {
  if (corners.length !== 3) return undefined;
  const places = corners.map((corner) => fromEdges(corner, grid));
  const tip = places.findIndex(({ across, down }) => across === 0 && down === 0);
  const [one, other] = places.filter((_, i) => i !== tip);
  if (tip < 0 || !one || !other) return undefined;
  const legs = [one, other].map(({ across, down }) => largest(across, down));
  const [leg, second] = legs;
  const isEven =
    leg !== undefined && second !== undefined && Math.abs(leg - second) < millimetres(0.1);
  return isEven ? leg : undefined;
}

const shapes: Readonly<Record<Cutout['shape'], PunchShape | undefined>> = {
  hole: 'hole',
  // A round punch that is pushed half over the edge.
  notch: 'hole',
  corner: 'corner',
  trim: undefined,
};

/** Through these goes something thin: the size hardly matters. */
const loose: ReadonlySet<string> = new Set([
  'ribbon',
  'ribbon pull',
  'wire',
  'thumb notch',
  'finger',
  'hanging',
  'hang tab',
]);

/** The punch that makes a thing of this size; undefined where it is better cut by hand. */
export function punchFor(
  shape: Cutout['shape'],
  use: string,
  size: Length,
  punches: readonly Punch[],
): Punch | undefined {
  const allowed = loose.has(use) ? times(size, 0.3) : millimetres(0.6);
  const off = (punch: Punch) => absolute(minus(punch.size, size));
  return punches
    .filter((punch) => punch.shape === shapes[shape] && off(punch) <= allowed)
    .sort((a, b) => off(a) - off(b))[0];
}

function middleOf(cutout: Cutout): Spot {
  switch (cutout.shape) {
    case 'hole':
    case 'notch':
      return cutout.centre;
    case 'corner':
      return cutout.at;
    case 'trim': {
      const { corners } = cutout;
      const share = 1 / corners.length;
      return {
        x: times(plus(...corners.map(({ x }) => x)), share),
        y: times(plus(...corners.map(({ y }) => y)), share),
      };
    }
  }
}

/** Where all of them are, where they lie alike. */
function placeOf(cutouts: readonly Cutout[], grid: ScoreGrid): SnipStep['from'] {
  const [first, ...more] = cutouts.map((each) => fromEdges(middleOf(each), grid));
  const tolerance = millimetres(0.1);
  const isAlike = more.every(
    ({ across, down }) =>
      absolute(minus(across, first?.across ?? zero)) <= tolerance &&
      absolute(minus(down, first?.down ?? zero)) <= tolerance,
  );
  return isAlike ? first : undefined;
}

/** What is punched, rounded or snipped off a piece: one step for things that are alike. */
export function snipSteps(
  { id, name, copies, grid }: Piece,
  punches: readonly Punch[],
): readonly SnipStep[] {
  const alike = new Map<string, number[]>();
  grid.cutouts.forEach((cutout, place) => {
    const size = sizeOf(cutout, grid);
    const punch =
      size === undefined ? undefined : punchFor(cutout.shape, cutout.use, size, punches);
    // What one punch does is one thing, whatever the exact sizes.
    const key = `${cutout.shape} ${cutout.use} ${punch?.id ?? size ?? ''}`;
    alike.set(key, [...(alike.get(key) ?? []), place]);
  });
  return [...alike.values()].flatMap((places): readonly SnipStep[] => {
    const cutouts = places.flatMap((place) => grid.cutouts[place] ?? []);
    const [first] = cutouts;
    if (!first) return [];
    const { shape, use } = first;
    const size = sizeOf(first, grid);
    const punch = size === undefined ? undefined : punchFor(shape, use, size, punches);
    const from = placeOf(cutouts, grid);
    return [
      {
        kind: 'snip',
        piece: id,
        name,
        copies,
        shape,
        use,
        places,
        ...(size !== undefined && { size }),
        ...(punch && { punch: punch.name }),
        ...(from && { from }),
      },
    ];
  });
}
