import { inches, inchFraction, millimetres, times, type Length, type Unit } from '@rangoli/core';

/** Steps of a scale that a ruler has marks for, and that are read at once. */
const steps: Readonly<Record<Unit, readonly Length[]>> = {
  inch: [
    inchFraction(1, 8),
    inchFraction(1, 4),
    inchFraction(1, 2),
    ...[1, 2, 3, 6, 12].map(inches),
  ],
  mm: [1, 2, 5, 10, 20, 50, 100, 200, 500].map(millimetres),
};

/** Ticks of a scale from nothing to its end, on marks of a ruler; about so many at the most, and never fewer than three. */
export function lengthTicks(
  end: Length,
  { most, unit }: { readonly most: number; readonly unit: Unit },
): readonly Length[] {
  const step = steps[unit].find((each) => end / each <= Math.max(3, most)) ?? end;
  return Array.from({ length: Math.floor(end / step) + 1 }, (_, nth) => times(step, nth));
}
