import { half, minus, plus, times, type Length } from '../length/index.ts';
import type { Cutout } from '../piece/index.ts';

/** A border of a punch is drawn as one bite each time that it repeats, so much of that wide. */
const bite = 1 / 2;

function timesOnEdge(edge: Length, repeat: Length): number {
  return Math.floor(edge / repeat);
}

/** Whether a border that repeats so fits on the edge of a flap, and leaves most of the flap behind it. */
export function borderFits(
  repeat: Length,
  { edge, deep }: { readonly edge: Length; readonly deep: Length },
): boolean {
  return timesOnEdge(edge, repeat) > 0 && times(repeat, bite / 2) <= times(deep, 0.35);
}

/** A punched border in the middle of a level edge, as often as there is room for it. */
export function punchedBorder({
  from,
  to,
  y,
  edge,
  repeat,
}: {
  readonly from: Length;
  readonly to: Length;
  readonly y: Length;
  readonly edge: 'top' | 'bottom';
  readonly repeat: Length;
}): readonly Cutout[] {
  const count = timesOnEdge(minus(to, from), repeat);
  const first = minus(half(plus(from, to)), times(repeat, (count - 1) / 2));
  return Array.from({ length: count }, (_, nth): Cutout => ({
    shape: 'notch',
    use: 'border',
    centre: { x: plus(first, times(repeat, nth)), y },
    radius: times(repeat, bite / 2),
    edge,
  }));
}
