import type { RowWay } from '../make/index.ts';

/** Which way parts are passed, told before them. */
export const rowWays: Readonly<Record<RowWay, string>> = {
  across: 'From left to right',
  down: 'From top to bottom',
  falling: 'From the top left to the bottom right corner',
  rising: 'From the bottom left to the top right corner',
};
