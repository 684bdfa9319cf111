import { extentsOf, toMillimetres, type Gift } from '@rangoli/core';

/** A point on the screen, before scaling. */
interface ScreenPoint {
  readonly x: number;
  readonly y: number;
}

/** A drawn side of the gift, with how much light falls on it (−1 dark to 1 bright). */
export interface SolidFace {
  readonly path: string;
  readonly light: number;
}

/** A gift drawn in parallel projection: its faces, and the middles of the edges that carry measures. */
export interface GiftSolid {
  readonly faces: readonly SolidFace[];
  readonly width: number;
  readonly height: number;
  readonly across: ScreenPoint;
  readonly deep: ScreenPoint;
  readonly high: ScreenPoint;
}

const cos30 = Math.cos(Math.PI / 6);
/** How far from above the gift is seen: the height of a floor's unit square on the screen. */
const tilt = 0.42;

type Place = (x: number, y: number, z: number) => ScreenPoint;

function ellipsePath(points: readonly ScreenPoint[]): string {
  return `${points.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(2)} ${y.toFixed(2)}`).join('')}Z`;
}

const turn = Array.from({ length: 49 }, (_, i) => (i / 48) * 2 * Math.PI);

/** A prism over a convex outline, whose visible side is the outline's lower hull swept along the axis. */
function sweep(
  near: readonly ScreenPoint[],
  far: readonly ScreenPoint[],
  light: number,
): SolidFace {
  // The swept body's silhouette is the convex hull of both ends.
  return { path: ellipsePath(hull([...near, ...far])), light };
}

function hull(points: readonly ScreenPoint[]): readonly ScreenPoint[] {
  const sorted = [...points].sort((a, b) => a.x - b.x || a.y - b.y);
  const half = (list: readonly ScreenPoint[]) => {
    const chain: ScreenPoint[] = [];
    for (const point of list) {
      for (;;) {
        const b = chain.at(-1);
        const a = chain.at(-2);
        if (!a || !b || (b.x - a.x) * (point.y - a.y) - (b.y - a.y) * (point.x - a.x) > 0) break;
        chain.pop();
      }
      chain.push(point);
    }
    return chain.slice(0, -1);
  };
  return [...half(sorted), ...half([...sorted].reverse())];
}

function blockFaces(place: Place, a: number, d: number, h: number): readonly SolidFace[] {
  const face = (light: number, ...points: readonly ScreenPoint[]): SolidFace => ({
    path: ellipsePath(points),
    light,
  });
  return [
    face(0, place(0, 0, 0), place(a, 0, 0), place(a, 0, h), place(0, 0, h)),
    face(-0.2, place(a, 0, 0), place(a, d, 0), place(a, d, h), place(a, 0, h)),
    face(0.4, place(0, 0, h), place(a, 0, h), place(a, d, h), place(0, d, h)),
  ];
}

function standingFaces(place: Place, diameter: number, h: number): readonly SolidFace[] {
  const r = diameter / 2;
  const ring = (z: number) => turn.map((t) => place(r + r * Math.cos(t), r + r * Math.sin(t), z));
  return [sweep(ring(0), ring(h), -0.05), { path: ellipsePath(ring(h)), light: 0.4 }];
}

function lyingFaces(place: Place, length: number, diameter: number): readonly SolidFace[] {
  const r = diameter / 2;
  const ring = (x: number) => turn.map((t) => place(x, r + r * Math.cos(t), r + r * Math.sin(t)));
  return [sweep(ring(0), ring(length), 0.15), { path: ellipsePath(ring(length)), light: -0.15 }];
}

/** Draws a gift to fit the given size, at its real proportions. */
export function drawGift(gift: Gift, width: number, height: number): GiftSolid {
  const size = extentsOf(gift);
  const [a, d, h] = [size.across, size.deep, size.high].map(toMillimetres);
  const [across = 1, deep = 1, high = 1] = [a, d, h];
  // The front runs down to the right; depth runs up to the right.
  const project = (x: number, y: number, z: number): ScreenPoint => ({
    x: (x + y) * cos30,
    y: (x - y) * tilt - z,
  });
  const corners = [0, across].flatMap((x) =>
    [0, deep].flatMap((y) => [0, high].map((z) => project(x, y, z))),
  );
  const left = Math.min(...corners.map(({ x }) => x));
  const right = Math.max(...corners.map(({ x }) => x));
  const top = Math.min(...corners.map(({ y }) => y));
  const bottom = Math.max(...corners.map(({ y }) => y));
  const scale = Math.min(width / (right - left), height / (bottom - top));
  const place: Place = (x, y, z) => {
    const point = project(x, y, z);
    return { x: (point.x - left) * scale, y: (point.y - top) * scale };
  };
  const faces =
    gift.shape === 'block'
      ? blockFaces(place, across, deep, high)
      : gift.lies === 'standing'
        ? standingFaces(place, across, high)
        : lyingFaces(place, across, deep);
  return {
    faces,
    width: (right - left) * scale,
    height: (bottom - top) * scale,
    across: place(across / 2, 0, 0),
    deep: place(across, deep / 2, 0),
    high: place(0, 0, high / 2),
  };
}
