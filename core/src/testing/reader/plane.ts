/** A place on a flat piece, in millimetres from its upper left corner. */
export interface Place {
  readonly x: number;
  readonly y: number;
}

export type Line = readonly [Place, Place];

/** Whether a place lies within a closed ring of corners. */
export function isInRing(ring: readonly Place[], { x, y }: Place): boolean {
  let inside = false;
  ring.forEach((a, i) => {
    const b = ring[(i + 1) % ring.length] ?? a;
    if (a.y > y !== b.y > y && a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x) > x) inside = !inside;
  });
  return inside;
}

/** How far a place is from a line that ends. */
export function fromLine([a, b]: Line, { x, y }: Place): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const long = dx * dx + dy * dy;
  const share = long === 0 ? 0 : Math.min(1, Math.max(0, ((x - a.x) * dx + (y - a.y) * dy) / long));
  return Math.hypot(x - a.x - share * dx, y - a.y - share * dy);
}

/** The lines round a ring of corners. */
export function edgesOf(ring: readonly Place[]): readonly Line[] {
  return ring.map((a, i): Line => [a, ring[(i + 1) % ring.length] ?? a]);
}
