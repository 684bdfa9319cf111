import { millimetres } from '../length/index.ts';
import { circle } from './paths.ts';
import type { OwnPrint } from './own-print.ts';

/** Dots in rows, each row over the gaps of the next. */
export const dots: OwnPrint = {
  name: 'dots',
  width: 8,
  height: 8,
  shapes: [{ path: circle({ x: 2, y: 2 }, 1) + circle({ x: 6, y: 6 }, 1), strength: 0.95 }],
  runs: 'any way',
  usually: millimetres(8),
};
