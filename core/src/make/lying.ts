import { minus, type Length } from '../length/index.ts';
import type { Side, Spot } from '../piece/index.ts';

/** How far a piece is turned on the table, clockwise seen from above. */
export type QuarterTurns = 0 | 1 | 2 | 3;

/**
 * How a piece lies in front of the maker, counted from the way it is drawn: first turned, then perhaps turned
 * over end to end, so that what lay at the left still does.
 */
export interface Lying {
  readonly turns: QuarterTurns;
  readonly over: boolean;
}

/** The way a piece is drawn on the mat. */
export const asDrawn: Lying = { turns: 0, over: false };

/** Every way to lay a piece with the same face up. */
export const allTurns: readonly QuarterTurns[] = [0, 1, 2, 3];

/** A piece as it is cut. */
export interface Size {
  readonly width: Length;
  readonly height: Length;
}

/** The sides in the order in which a clockwise turn brings one to the place of the next. */
const clockwise: readonly Side[] = ['left', 'top', 'right', 'bottom'];

/** The opposite of each side. */
export const opposite: Readonly<Record<Side, Side>> = {
  left: 'right',
  right: 'left',
  top: 'bottom',
  bottom: 'top',
};

/** Quarter turns, whatever their number, as one of the four. */
export function quarterTurns(count: number): QuarterTurns {
  return allTurns[((count % 4) + 4) % 4] ?? 0;
}

/** Whether a side runs from top to bottom. */
export function isUpright(side: Side): boolean {
  return side === 'left' || side === 'right';
}

/** The lying, not turned over, in which a drawn side comes to another one's place. */
export function lyingWith(drawn: Side, at: Side): Lying {
  return { turns: quarterTurns(clockwise.indexOf(at) - clockwise.indexOf(drawn)), over: false };
}

/** Where a drawn side lies. */
export function sideLying(drawn: Side, { turns, over }: Lying): Side {
  const turned = clockwise[(clockwise.indexOf(drawn) + turns) % 4] ?? drawn;
  return over && !isUpright(turned) ? opposite[turned] : turned;
}

/** The drawn side that lies at this place. */
export function drawnSide(at: Side, lying: Lying): Side {
  return clockwise.find((side) => sideLying(side, lying) === at) ?? at;
}

/** How wide and high a piece is as it lies. */
export function sizeLying({ width, height }: Size, { turns }: Lying): Size {
  return turns % 2 === 0 ? { width, height } : { width: height, height: width };
}

/** Where a drawn spot of a piece lies, from the upper left corner of the piece as it lies. */
export function spotLying(spot: Spot, size: Size, { turns, over }: Lying): Spot {
  let { x, y } = spot;
  let { width, height } = size;
  for (let turn = 0; turn < turns; turn++) {
    [x, y] = [minus(height, y), x];
    [width, height] = [height, width];
  }
  return over ? { x, y: minus(height, y) } : { x, y };
}
