import type { Length, Unit } from '../length/index.ts';
import type { Corner, FromCorner } from '../make/index.ts';
import { formatNearest, nearestMark } from './measures.ts';
import { inRow } from './plain.ts';

/** The edges that something is measured from, at one corner or at several. */
export interface EdgeNames {
  readonly side: string;
  readonly end: string;
}

/** What the two edges of these corners are called, as the piece lies. */
export function edgesOf(corners: readonly Corner[]): EdgeNames {
  const isAll = (half: string) => corners.every((corner) => corner.includes(half));
  return {
    side: isAll('left') ? 'left edge' : isAll('right') ? 'right edge' : 'side edge',
    end: isAll('top') ? 'top edge' : isAll('bottom') ? 'bottom edge' : 'top or bottom edge',
  };
}

/** Which corners are meant: `At each corner, `; nothing where it is one, since its edges are named. */
export function atCorners(corners: readonly Corner[]): string {
  if (corners.length === 1) return '';
  return `At ${cornersInWords(corners)}, `;
}

/** Corners as they are said: `each corner`, `the top left and the top right corner`. */
export function cornersInWords(corners: readonly Corner[]): string {
  if (corners.length === 4) return 'each corner';
  return `${inRow(corners.map((corner) => `the ${corner}`))} corner`;
}

/** A place by how far it is from two named edges. */
export function placeInWords(from: FromCorner, corners: readonly Corner[], unit: Unit): string {
  const { side, end } = edgesOf(corners);
  const [corner] = corners;
  // What no ruler tells from the edge is on it.
  const [across, down] = [nearestMark(from.across, unit), nearestMark(from.down, unit)];
  if (across === 0 && down === 0)
    return corners.length === 1 && corner ? `the ${corner} corner` : 'the corner';
  if (across === 0) return `the point on the ${side} ${farFrom(down, end, unit)}`;
  if (down === 0) return `the point on the ${end} ${farFrom(across, side, unit)}`;
  return `the point ${farFrom(across, side, unit)} and ${farFrom(down, end, unit)}`;
}

function farFrom(distance: Length, edge: string, unit: Unit): string {
  return `${formatNearest(distance, unit)} from the ${edge}`;
}
