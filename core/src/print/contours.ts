import { millimetres } from '../length/index.ts';
import { onCircle, polygon } from './paths.ts';
import type { OwnPrint } from './own-print.ts';

interface Hill {
  readonly x: number;
  readonly y: number;
  readonly foot: number;
  readonly lines: number;
  readonly turned: number;
}

const hills: readonly Hill[] = [
  { x: 18, y: 19, foot: 15, lines: 6, turned: 0.4 },
  { x: 46, y: 43, foot: 13, lines: 5, turned: 2.1 },
  { x: 46, y: 14, foot: 10.5, lines: 4, turned: 4 },
  { x: 17, y: 47, foot: 11, lines: 4, turned: 5.2 },
];

/** A line of even height: rounder towards the top. */
function contour({ x, y, foot, lines, turned }: Hill, nth: number): string {
  const share = (nth + 1) / lines;
  return polygon(
    Array.from({ length: 40 }, (_, i) => {
      const angle = (i * Math.PI) / 20;
      const bulge =
        0.11 * Math.cos(2 * angle + turned) + 0.06 * Math.sin(3 * angle - turned) * share;
      return onCircle({ x, y }, foot * share * (1 + bulge * share - 0.1 * share), i * 9);
    }),
  );
}

/** Hills as they stand on a map. */
export const contours: OwnPrint = {
  name: 'contours',
  width: 62,
  height: 62,
  shapes: [
    {
      path: hills
        .flatMap((hill) => Array.from({ length: hill.lines }, (_, nth) => contour(hill, nth)))
        .join(''),
      line: 0.5,
      strength: 0.8,
    },
  ],
  runs: 'any way',
  usually: millimetres(60),
};
