import { millimetres } from '../length/index.ts';
import { circle, moon } from './paths.ts';
import type { OwnPrint } from './own-print.ts';

const [apart, between, radius] = [7, 8, 2.5];
const [phases, width] = [8, 8 * apart];

/** Two rows of a month each; the second begins half a month and half a place later. */
const rows = [0, 1].map((row) =>
  Array.from({ length: phases }, (_, i) => ({
    at: { x: (i + 0.5) * apart, y: (row + 0.5) * between },
    share: ((i + 4 * row) % phases) / phases,
  })),
);

/** The moon through its month, row over row. */
export const moonPhases: OwnPrint = {
  name: 'moon phases',
  width,
  height: 2 * between,
  shapes: [
    {
      path: rows
        .flat()
        .map(({ at }) => circle(at, radius))
        .join(''),
      line: 0.3,
      strength: 0.55,
    },
    {
      path: rows
        .flat()
        .filter(({ share }) => share > 0)
        .map(({ at, share }) => moon(at, radius, share))
        .join(''),
      strength: 0.95,
    },
  ],
  runs: 'one way',
  usually: millimetres(56),
};
