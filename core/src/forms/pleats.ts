import { direction, dot, scale, subtract, vector, type Stack, type Vector } from '../fold/index.ts';
import {
  half,
  largest,
  minus,
  nanometres,
  plus,
  smallest,
  times,
  type Length,
} from '../length/index.ts';
import type { Cutout, Diagonal, Fold, GridPoint } from '../piece/index.ts';
import {
  columnScore,
  columnSlit,
  diagonalScore,
  following,
  mountain,
  rowScore,
  valley,
} from './draw-grid.ts';
import { lies } from './placing.ts';
import type { FloorSections } from './sections.ts';
import { panels, type EndPlace, type TubeEnd } from './tube.ts';

export const degrees = 180 / Math.PI;

/** Into a face from a line, at right angles to it: the part of `into` that is not along the line. */
export function besideLine(line: Vector, into: Vector): Vector {
  const along = direction(line);
  return direction(subtract(into, scale(along, dot(along, into))));
}

/** How far a crease is folded whose two faces run off it in these directions, in degrees. */
export function foldBetween(line: Vector, one: Vector, other: Vector): number {
  const cosine = dot(besideLine(line, one), besideLine(line, other));
  return 180 - Math.acos(Math.min(1, Math.max(-1, cosine))) * degrees;
}

/** What is left of the seam beside a fold that reaches so far along the end's first row: the rest is waste. */
export function slantedSeam(place: EndPlace, reach: Length, rise: Length): readonly Cutout[] {
  const [x, end] = [place.x(4), place.x(5)];
  const [y, top] = [place.y(0), place.y(1)];
  const wide = minus(end, x);
  const up = (length: Length) => plus(y, times(length, place.outward));
  const corners =
    wide >= reach
      ? [
          { x: plus(x, reach), y: top },
          { x: end, y: top },
        ]
      : [{ x: end, y: up(times(wide, rise / reach)) }];
  return [{ shape: 'trim', use: 'seam', corners: [{ x, y }, ...corners, { x: end, y }] }];
}

interface Pinch {
  readonly gable: string;
  readonly fin: string;
  /** A flap on one fin that is folded over the other, where there is one. */
  readonly over?: string;
  readonly floor: FloorSections;
  readonly begins: number;
}

/** Whether it is the sides that fold in along their middle: the narrower panels do. */
export function pinchesSides(across: number, deep: number): boolean {
  return across >= deep;
}

interface PinchPanels {
  readonly folded: readonly number[];
  readonly leaning: readonly number[];
}

/** Which panels fold in along their middle, the narrower ones, and which lean together over them. */
export function pinchPanels(across: number, deep: number): PinchPanels {
  const { right, front, left, back } = panels;
  return pinchesSides(across, deep)
    ? { folded: [right, left], leaning: [front, back] }
    : { folded: [front, back], leaning: [right, left] };
}

/** The pleat beside the seam's corner hangs on its own panel alone. */
export function isFreePleat(panel: number, { isRight }: { readonly isRight: boolean }): boolean {
  return (panel === panels.right && !isRight) || (panel === panels.back && isRight);
}

/**
 * An end pinched flat: two panels lean together to a ridge and stand up as fins, the two between fold in
 * along their middle.
 */
export function pinchedEnd({ gable, fin, over, floor, begins }: Pinch): TubeEnd {
  return {
    rows: [gable, fin, ...(over === undefined ? [] : [over])],
    picture: ['wwwws', 'wwww.', ...(over === undefined ? [] : ['pppp.'])],
    draw: (place, size) => {
      const { folded, leaning } = pinchPanels(size(floor.across), size(floor.deep));
      const narrow = smallest(size(floor.across), size(floor.deep));
      const rise = size(gable);
      const { lean, slant } = pinchAngles(narrow, rise);
      const line = (outward: number) => place.line(outward);
      const at = (column: number, outward: number): GridPoint => ({
        column,
        row: line(outward),
      });
      const rows = (outward: number): readonly [number, number] => {
        const [a, b] = [line(outward), line(outward + 1)];
        return [Math.min(a, b), Math.max(a, b)];
      };
      const diagonals = folded.flatMap((panel): readonly Diagonal[] => [
        ...[false, true].flatMap((isRight) => {
          const corner = isRight ? panel + 1 : panel;
          const give = isFreePleat(panel, { isRight }) ? (fold: Fold) => fold : following;
          return [
            diagonalScore(at(corner, 0), at(panel + 0.5, 1), give(mountain(slant, begins))),
            diagonalScore(at(corner, 1), at(panel + 0.5, 1), give(valley(lean, begins + 1))),
          ];
        }),
        diagonalScore(
          at(panel + 0.5, 1),
          at(panel + 0.5, 2),
          // The fins stand askew until the ridge is pinched; the card bows between them.
          { ...following(mountain(180, begins + 1)), bows: true },
        ),
      ]);
      const [gableFrom, gableTo] = rows(0);
      const [finFrom, finTo] = rows(1);
      const flap = leaning[1] ?? panels.back;
      return {
        lines: [
          ...[1, 2, 3].flatMap((column) => [
            columnScore(column, gableFrom, gableTo, following(valley(180, begins))),
            columnScore(column, finFrom, finTo, following(valley(180, begins))),
          ]),
          columnScore(4, gableFrom, gableTo, valley(180, begins)),
          ...leaning.flatMap((panel) => [
            rowScore(line(0), panel, panel + 1, valley(lean, begins)),
            rowScore(line(1), panel, panel + 1, mountain(lean, begins + 1)),
          ]),
          ...folded.map((panel) =>
            rowScore(line(0), panel, panel + 1, following(valley(lean, begins))),
          ),
          ...(over === undefined
            ? []
            : [
                rowScore(line(2), flap, flap + 1, valley(180, begins + 2)),
                ...[1, 2, 3].map((column) => columnSlit(column, ...rows(2))),
              ]),
        ],
        diagonals,
        patches:
          over === undefined
            ? []
            : [0, 1, 2, 3]
                .filter((panel) => panel !== flap)
                .map((panel) => ({
                  role: 'waste' as const,
                  corners: [at(panel, 2), at(panel + 1, 2), at(panel + 1, 3), at(panel, 3)],
                })),
        cutouts: [
          ...slantedSeam(place, half(narrow), rise),
          ...(over === undefined ? finHoles(place, { leaning, folded, narrow }) : []),
        ],
      };
    },
    stacks: (part, place, size) => {
      const pinched = pinchPanels(size(floor.across), size(floor.deep));
      return [
        ...gableRests(part, place, pinched),
        ...finRests(part, place, pinched),
        // A flap over the fins lies on the far one.
        ...(over === undefined
          ? []
          : [
              lies(part, {
                face: [(pinched.leaning[1] ?? panels.back) + 0.5, place.row(2) + 0.5],
                on: [(pinched.leaning[0] ?? panels.front) + 0.5, place.row(1) + 0.5],
                side: 'outside',
                holds: 'rest',
              }),
            ]),
      ];
    },
  };
}

type Rows = Pick<EndPlace, 'row'>;

/** Of a panel that is folded in, the share of its width at which its half beside the first leaning one lies. */
function nearSide(panel: number, { leaning: [under] }: PinchPanels, aside: number): number {
  return panel === (under ?? 0) + 1 ? aside : 1 - aside;
}

/** The corners of the panels that are folded in lie under the slopes beside them. */
function gableRests(part: string, { row }: Rows, pinched: PinchPanels): readonly Stack[] {
  const { leaning, folded } = pinched;
  const at = (column: number) => [column, row(0) + 0.5] as const;
  const seam = at(4.002);
  // The seam lies between two of them: it goes on from the last panel and is glued inside the first.
  const seamFrom = panels.back;
  const isOnSlope = folded.includes(seamFrom);
  return [
    lies(part, {
      face: seam,
      on: at((isOnSlope ? panels.right : seamFrom) + 0.5),
      side: 'inside',
      holds: 'rest',
    }),
    ...folded.flatMap((panel) =>
      leaning.map((slope, i) => {
        const near = nearSide(panel, pinched, 0.1);
        const isBesideSeam = isOnSlope
          ? panel === seamFrom && slope === panels.right
          : panel === panels.right && slope === seamFrom;
        return lies(part, {
          face: at(panel + (i === 0 ? near : 1 - near)),
          on: isBesideSeam ? seam : at(slope + 0.5),
          side: isBesideSeam && !isOnSlope ? 'outside' : 'inside',
          holds: 'rest',
        });
      }),
    ),
  ];
}

/** The fins of a pinched end as they lie on one another: the folded halves between the two that lean. */
function finRests(part: string, { row }: Rows, pinched: PinchPanels): readonly Stack[] {
  const { leaning, folded } = pinched;
  const [under = panels.right, over = panels.left] = leaning;
  const at = (column: number) => [column, row(1) + 0.5] as const;
  return folded.flatMap((panel) => {
    const [near, far] = [0.25, 0.75].map((aside) => at(panel + nearSide(panel, pinched, aside)));
    if (!near || !far) return [];
    return [
      lies(part, { face: near, on: at(under + 0.5), side: 'inside', holds: 'rest' }),
      lies(part, { face: far, on: near, side: 'outside', holds: 'rest' }),
      lies(part, { face: at(over + 0.5), on: far, side: 'inside', holds: 'rest' }),
    ];
  });
}

/** How far the panels lean and how far the slanting folds beside them are turned, in degrees. */
function pinchAngles(narrow: Length, gable: Length) {
  const run = narrow / 2;
  const up = Math.sqrt(Math.max(0, gable * gable - run * run));
  const apex = vector(-run, run, up);
  const slant = foldBetween(apex, vector(0, 1, 0), vector(0, run, up));
  return { lean: Math.atan2(run, up) * degrees, slant };
}

/** How far a hole keeps from a fold or the middle, and so from the hole beside it. */
const holeStand = nanometres(1_200_000);

interface Pinched {
  readonly leaning: readonly number[];
  readonly folded: readonly number[];
  /** Width of the panels that are folded in. */
  readonly narrow: Length;
}

/**
 * Holes for a ribbon, two through the fins that stand side by side: beside the halves that are folded in
 * between them where there is room, else through those too.
 */
function finHoles(place: EndPlace, { leaning, folded, narrow }: Pinched): readonly Cutout[] {
  const [from, to] = [place.y(1), place.y(2)];
  const tall = times(minus(to, from), place.outward);
  const [first = 0] = leaning;
  const wide = minus(place.x(first + 1), place.x(first));
  const radius = smallest(nanometres(2_000_000), times(tall, 1 / 5), times(wide, 1 / 15));
  const stand = plus(radius, holeStand);
  const wanted = times(wide, 0.4);
  const besideHalves = plus(half(narrow), stand);
  const isBeside = besideHalves <= minus(half(wide), stand);
  const aside = isBeside
    ? largest(wanted, besideHalves)
    : smallest(wanted, minus(half(narrow), stand));
  return [...leaning, ...(isBeside ? [] : folded)].flatMap((panel) =>
    [plus(place.x(panel), aside), minus(place.x(panel + 1), aside)].map((x): Cutout => ({
      shape: 'hole',
      use: 'ribbon',
      centre: { x, y: half(plus(from, to)) },
      radius,
    })),
  );
}
