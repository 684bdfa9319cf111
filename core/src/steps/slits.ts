import { minus, zero } from '../length/index.ts';
import {
  gridPositions,
  lineName,
  type GridLine,
  type ScoreGrid,
  type Side,
} from '../piece/index.ts';
import type { SlitStep } from './step.ts';

/** Whether card stays on neither side of a grid line, or on one of them only: there it is cut away anyway. */
function isCutAway({ roles }: ScoreGrid, { axis, index }: GridLine, along: number): boolean {
  const sides =
    axis === 'column'
      ? [roles[along]?.[index - 1], roles[along]?.[index]]
      : [roles[index - 1]?.[along], roles[index]?.[along]];
  return sides.includes('waste');
}

/**
 * The slits along a grid line, each from the edge of the piece as far as it goes: what lies between the edge
 * and a slit is cut away. A slit that reaches no edge begins so far in.
 */
export function slitsOf(grid: ScoreGrid, line: GridLine): SlitStep['slits'] {
  const cells = line.axis === 'column' ? grid.rows : grid.columns;
  const along = gridPositions(cells);
  const whole = along[cells.length] ?? zero;
  const [start, end]: readonly [Side, Side] =
    line.axis === 'column' ? ['top', 'bottom'] : ['left', 'right'];
  const isFree = (from: number, to: number) =>
    cells.slice(from, to).every((_, i) => isCutAway(grid, line, from + i));
  return line.spans
    .filter(({ make }) => make === 'slit')
    .map(({ from, to }) => {
      const [first, last] = [along[from] ?? zero, along[to] ?? zero];
      const name = { line: lineName(line) };
      if (isFree(0, from)) return { ...name, from: start, length: last };
      if (isFree(to, cells.length)) return { ...name, from: end, length: minus(whole, first) };
      return { ...name, from: start, length: minus(last, first), begins: first };
    });
}
