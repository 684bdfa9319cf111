import { inchFraction, type Length } from '../length/index.ts';

/** How wide the holes are that usual round punches make, the smallest first. */
export const roundPunches: readonly Length[] = [4, 5, 6, 7, 8, 10, 12].map((quarters) =>
  inchFraction(quarters, 4),
);
