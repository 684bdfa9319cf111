import { millimetres } from '../length/index.ts';
import { polygon } from './paths.ts';
import type { OwnPrint } from './own-print.ts';

/** Slanting ribs as of a woven cloth; the corners complete the rib of the next repeat. */
export const twill: OwnPrint = {
  name: 'twill',
  width: 4,
  height: 4,
  shapes: [
    {
      path: polygon([
        { x: 0, y: 3 },
        { x: 3, y: 0 },
        { x: 4, y: 0 },
        { x: 4, y: 1 },
        { x: 1, y: 4 },
        { x: 0, y: 4 },
      ]),
      strength: 0.6,
    },
  ],
  runs: 'any way',
  usually: millimetres(4),
};
