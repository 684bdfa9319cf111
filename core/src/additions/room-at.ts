import type { Cavity } from '../fold/index.ts';

/** Where the sides of a room are so far over its floor, in millimetres; under it where that is below zero. */
export function roomAt({ floor, top, high }: Cavity, up: number): Cavity['floor'] {
  return floor.map((corner, i) => {
    const over = top[i] ?? corner;
    const share = up / high;
    return {
      x: corner.x + (over.x - corner.x) * share,
      y: corner.y + (over.y - corner.y) * share,
    };
  });
}
