import { add, direction, scale, vector } from '../fold/index.ts';
import { half, minus, nanometres, plus, smallest, times, type Length } from '../length/index.ts';
import type { Cutout, GridPoint, Patch } from '../piece/index.ts';
import {
  columnScore,
  diagonalScore,
  following,
  mountain,
  rowScore,
  valley,
  type PlacedSpan,
} from './draw-grid.ts';
import { lies } from './placing.ts';
import { besideLine, degrees, foldBetween, isFreePleat, slantedSeam } from './pleats.ts';
import type { FloorSections } from './sections.ts';
import type { EndPlace, TubeEnd } from './tube.ts';

/** A collar that is drawn in by a ribbon: one row that leans in, or one below a neck and a brim as deep as it. */
export type CollarRows = 'one' | 'three';

/** How much of each panel's width a pleat takes up at its edge, of the narrower panel's width. */
const pleatShares: Readonly<Record<CollarRows, number>> = {
  one: 0.42,
  // A neck is as wide as is left between the pleats, and has a hole in the middle.
  three: 0.3,
};

/** How wide the pleats of a collar are at their upper edge. */
export function pleatWidth(narrow: Length, rows: CollarRows): Length {
  return times(narrow, pleatShares[rows]);
}

/** How far a brim is turned out from the neck that stands upright below it, in degrees. */
const brimLean = 60;

/** How far a collar leans in and its pleats are turned when they lie flat, in degrees. */
function collarAngles(pleat: Length, collar: Length) {
  const sine = Math.min(0.999, pleat / collar);
  const lean = Math.asin(sine);
  const up = Math.cos(lean);
  const edge = vector(pleat, collar * sine, collar * up);
  const intoOne = besideLine(edge, vector(1, 0, 0));
  const intoOther = besideLine(edge, vector(0, 1, 0));
  const out = scale(direction(add(intoOne, intoOther)), -1);
  return { lean: lean * degrees, turn: foldBetween(edge, intoOne, out) };
}

interface Collar {
  /** The section of each of its rows. */
  readonly row: string;
  readonly rows: CollarRows;
  readonly floor: FloorSections;
  readonly begins: number;
}

const all = [0, 1, 2, 3];

/** What stands on the row that leans in: a neck that stands upright on each panel, and a brim turned out on it. */
function neckAndBrim(place: EndPlace, { lean, begins }: { lean: number; begins: number }) {
  const across = (outward: number, angle: number) =>
    rowScore(place.line(outward), 0, 5, mountain(angle, begins));
  return [across(1, lean), across(2, brimLean)];
}

/** Between the necks, and beside the first and the last of them, the card is cut away as wide as the pleats are. */
function besideNecks(place: EndPlace, shareOf: (panel: number) => number): readonly Patch[] {
  const [from, to] = [place.line(1), place.line(3)];
  return [0, 1, 2, 3, 4].map((corner) => {
    const left = corner === 0 ? 0 : corner - shareOf(corner - 1);
    const right = corner === 4 ? 5 : corner + shareOf(corner);
    const at = (column: number, row: number): GridPoint => ({ column, row });
    return {
      role: 'waste',
      corners: [at(left, from), at(right, from), at(right, to), at(left, to)],
    };
  });
}

/** A hole in the middle of each panel, for the ribbon. */
function ribbonHoles(place: EndPlace, at: Length, radius: Length): readonly Cutout[] {
  return all.map((panel) => ({
    shape: 'hole',
    use: 'ribbon',
    centre: { x: half(plus(place.x(panel), place.x(panel + 1))), y: at },
    radius,
  }));
}

/** The largest hole for a ribbon. */
const widest = nanometres(2_000_000);

/** An end gathered by a ribbon: panels lean in, and a pleat stands out at each corner. */
export function gatheredEnd({ row, rows, floor, begins }: Collar): TubeEnd {
  const hasNeck = rows === 'three';
  return {
    rows: hasNeck ? [row, row, row] : [row],
    // Beside the necks all is cut away, the seam too.
    picture: hasNeck ? ['wwwws', 'wwwws', 'wwwws'] : ['wwwws'],
    draw: (place, size) => {
      const narrow = smallest(size(floor.across), size(floor.deep));
      const pleat = pleatWidth(narrow, rows);
      const { lean, turn } = collarAngles(pleat, size(row));
      const [first, top] = [place.line(0), place.line(hasNeck ? 3 : 1)];
      const [from, to] = [Math.min(first, top), Math.max(first, top)];
      const shareOf = (panel: number) => pleat / size(panel % 2 === 0 ? floor.deep : floor.across);
      const pleats: readonly PlacedSpan[] = [
        ...[1, 2, 3].map((column) => columnScore(column, from, to, following(valley(180, begins)))),
        columnScore(4, from, to, valley(180, begins)),
        ...all.map((panel) => rowScore(first, panel, panel + 1, valley(lean, begins))),
      ];
      const outward = (share: number) => plus(place.y(1), times(size(row), share * place.outward));
      return {
        lines: [...pleats, ...(hasNeck ? neckAndBrim(place, { lean, begins }) : [])],
        diagonals: all.flatMap((panel) =>
          [false, true].map((isRight) => {
            const fold = mountain(turn, begins);
            return diagonalScore(
              { column: isRight ? panel + 1 : panel, row: first },
              {
                column: isRight ? panel + 1 - shareOf(panel) : panel + shareOf(panel),
                row: place.line(1),
              },
              isFreePleat(panel, { isRight }) ? fold : following(fold),
            );
          }),
        ),
        patches: hasNeck ? besideNecks(place, shareOf) : [],
        cutouts: [
          ...slantedSeam(place, pleat, size(row)),
          ...(hasNeck
            ? ribbonHoles(
                place,
                outward(0.5),
                smallest(
                  widest,
                  times(minus(narrow, times(pleat, 2)), 1 / 6),
                  times(size(row), 1 / 6),
                ),
              )
            : ribbonHoles(place, outward(-0.3), smallest(widest, times(narrow, 1 / 20)))),
        ],
      };
    },
    stacks: (part, place) => [
      // What is left of the seam lies behind the pleat of the first panel.
      lies(part, {
        face: [4.002, place.row(0) + 0.3],
        on: [0.002, place.row(0) + 0.3],
        side: 'inside',
        holds: 'glue',
      }),
      ...[1, 2, 3, 4].map((corner) =>
        lies(part, {
          face: [corner - 0.002, place.row(0) + 0.3],
          on: [corner + 0.002, place.row(0) + 0.3],
          side: 'inside',
          holds: 'rest',
        }),
      ),
    ],
  };
}
