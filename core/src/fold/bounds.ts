import type { Vector } from './vector.ts';

/** The upright box round some places, by its least and its greatest corner. */
export interface Bounds {
  readonly least: Vector;
  readonly most: Vector;
}

/** The bounds of some places; of none, bounds that hold nothing. */
export function boundsOf(places: readonly Vector[]): Bounds {
  const pick = (choose: (...values: number[]) => number) => ({
    x: choose(...places.map(({ x }) => x)),
    y: choose(...places.map(({ y }) => y)),
    z: choose(...places.map(({ z }) => z)),
  });
  return { least: pick(Math.min), most: pick(Math.max) };
}

/** Whether two bounds come within `reach` of each other every way. */
export function mayTouch(a: Bounds, b: Bounds, reach = 0): boolean {
  return (
    a.least.x <= b.most.x + reach &&
    b.least.x <= a.most.x + reach &&
    a.least.y <= b.most.y + reach &&
    b.least.y <= a.most.y + reach &&
    a.least.z <= b.most.z + reach &&
    b.least.z <= a.most.z + reach
  );
}
