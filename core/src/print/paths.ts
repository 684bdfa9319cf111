/** A place in the units of a print, x to the right and y down. */
interface Place {
  readonly x: number;
  readonly y: number;
}

function figure(value: number): string {
  return String(Math.round(value * 100) / 100);
}

/** A place on a circle, at an angle in degrees, clockwise from the right. */
export function onCircle({ x, y }: Place, radius: number, degrees: number): Place {
  const angle = (degrees * Math.PI) / 180;
  return { x: x + radius * Math.cos(angle), y: y + radius * Math.sin(angle) };
}

/** A whole circle. */
export function circle({ x, y }: Place, radius: number): string {
  const [left, r] = [figure(x - radius), figure(radius)];
  return `M${left} ${figure(y)}a${r} ${r} 0 1 0 ${figure(2 * radius)} 0a${r} ${r} 0 1 0 ${figure(-2 * radius)} 0Z`;
}

/** Part of a circle, clockwise from one angle over less than a whole turn, in degrees. */
export function arc(
  centre: Place,
  radius: number,
  { from, over }: { readonly from: number; readonly over: number },
): string {
  const [start, end] = [onCircle(centre, radius, from), onCircle(centre, radius, from + over)];
  const r = figure(radius);
  return `M${figure(start.x)} ${figure(start.y)}A${r} ${r} 0 ${over > 180 ? 1 : 0} 1 ${figure(end.x)} ${figure(end.y)}`;
}

/** Straight lines from place to place. */
export function line(places: readonly Place[]): string {
  return `M${places.map(({ x, y }) => `${figure(x)} ${figure(y)}`).join('L')}`;
}

/** A shape with straight sides. */
export function polygon(places: readonly Place[]): string {
  return `${line(places)}Z`;
}

/** What is lit of a moon at a share of its month: 0 new, a half full. The right side is lit first. */
export function moon({ x, y }: Place, radius: number, share: number): string {
  const r = figure(radius);
  const isWaxing = share <= 0.5;
  const edge = Math.cos(2 * Math.PI * share) * radius;
  const across = figure(Math.abs(edge));
  const [top, bottom] = [
    `${figure(x)} ${figure(y - radius)}`,
    `${figure(x)} ${figure(y + radius)}`,
  ];
  // The shadow's edge bulges towards the lit side until half is lit, then away from it.
  const bulge = isWaxing === edge > 0 ? 0 : 1;
  return `M${top}A${r} ${r} 0 0 ${isWaxing ? 1 : 0} ${bottom}A${across} ${r} 0 0 ${bulge} ${top}Z`;
}
