import { toMillimetres, type ScoreRun } from '@rangoli/core';

/** A straight line of a drawing, in millimetres. */
export interface DrawnRun {
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
}

/** A score as it is drawn. */
export function drawnRun({ x1, y1, x2, y2 }: ScoreRun): DrawnRun {
  return {
    x1: toMillimetres(x1),
    y1: toMillimetres(y1),
    x2: toMillimetres(x2),
    y2: toMillimetres(y2),
  };
}

/** How far a sheet must be moved, turned clockwise by so many quarters, for its corner to lie at 0, 0. */
export function cornerAfter(quarters: number, wide: number, tall: number) {
  const shifts = [
    { x: 0, y: 0 },
    { x: tall, y: 0 },
    { x: wide, y: tall },
    { x: 0, y: wide },
  ];
  return shifts[quarters % 4] ?? { x: 0, y: 0 };
}
