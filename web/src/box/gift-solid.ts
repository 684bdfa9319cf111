import {
  extentsOf,
  solidsOf,
  toMillimetres,
  type Gift,
  type GiftSolid,
  type Place,
} from '@rangoli/core';

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
export interface GiftPicture {
  readonly faces: readonly SolidFace[];
  readonly width: number;
  readonly height: number;
}

const cos30 = Math.cos(Math.PI / 6);
/** How far from above the gift is seen: the height of a floor's unit square on the screen. */
const tilt = 0.42;

function ringPath(points: readonly ScreenPoint[]): string {
  return `${points.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(2)} ${y.toFixed(2)}`).join('')}Z`;
}

const turn = Array.from({ length: 49 }, (_, i) => (i / 48) * 2 * Math.PI);

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

/** The front runs down to the right; depth runs up to the right. */
function project({ x, y, z }: Place): ScreenPoint {
  return { x: (x + y) * cos30, y: (x - y) * tilt - z };
}

interface Outline {
  readonly points: readonly ScreenPoint[];
  readonly light: number;
}

function blockOutlines(middle: Place, size: Place): readonly Outline[] {
  const at = (x: number, y: number, z: number) =>
    project({
      x: middle.x + (x * size.x) / 2,
      y: middle.y + (y * size.y) / 2,
      z: middle.z + (z * size.z) / 2,
    });
  return [
    { light: 0, points: [at(-1, -1, -1), at(1, -1, -1), at(1, -1, 1), at(-1, -1, 1)] },
    { light: -0.2, points: [at(1, -1, -1), at(1, 1, -1), at(1, 1, 1), at(1, -1, 1)] },
    { light: 0.4, points: [at(-1, -1, 1), at(1, -1, 1), at(1, 1, 1), at(-1, 1, 1)] },
  ];
}

function roundOutlines(solid: Extract<GiftSolid, { kind: 'round' }>): readonly Outline[] {
  const stands = solid.from.z !== solid.to.z;
  const ring = (at: Place, radius: number) =>
    turn.map((t) =>
      project(
        stands
          ? { x: at.x + radius * Math.cos(t), y: at.y + radius * Math.sin(t), z: at.z }
          : { x: at.x, y: at.y + radius * Math.cos(t), z: at.z + radius * Math.sin(t) },
      ),
    );
  const near = ring(solid.from, solid.fromRadius);
  const far = ring(solid.to, solid.toRadius);
  // The swept body's silhouette is the convex hull of both ends.
  return [
    { light: stands ? -0.05 : 0.15, points: hull([...near, ...far]) },
    { light: stands ? 0.4 : -0.15, points: far },
  ];
}

function lumpOutlines(middle: Place, size: Place): readonly Outline[] {
  const points = turn.flatMap((t) =>
    [-1, -0.7, -0.3, 0, 0.3, 0.7, 1].map((share) => {
      const wide = Math.cos(Math.asin(share));
      return project({
        x: middle.x + (wide * Math.cos(t) * size.x) / 2,
        y: middle.y + (wide * Math.sin(t) * size.y) / 2,
        z: middle.z + (share * size.z) / 2,
      });
    }),
  );
  return [{ light: 0.15, points: hull(points) }];
}

function outlinesOf(solid: GiftSolid): readonly Outline[] {
  switch (solid.kind) {
    case 'block':
      return blockOutlines(solid.middle, solid.size);
    case 'round':
      return roundOutlines(solid);
    case 'lump':
      return lumpOutlines(solid.middle, solid.size);
    case 'ball': {
      const wide = 2 * solid.radius;
      return lumpOutlines(solid.middle, { x: wide, y: wide, z: wide });
    }
  }
}

function depthOf(solid: GiftSolid): number {
  const { x, y, z } = solid.kind === 'round' ? solid.from : solid.middle;
  return x - y + z * 0.6;
}

/** Draws a gift to fit the given size, at its real proportions. */
export function drawGift(gift: Gift, width: number, height: number): GiftPicture {
  const size = extentsOf(gift);
  const [across = 1, deep = 1, high = 1] = [size.across, size.deep, size.high].map(toMillimetres);
  const corners = [-across / 2, across / 2].flatMap((x) =>
    [-deep / 2, deep / 2].flatMap((y) => [0, high].map((z) => project({ x, y, z }))),
  );
  const left = Math.min(...corners.map(({ x }) => x));
  const right = Math.max(...corners.map(({ x }) => x));
  const top = Math.min(...corners.map(({ y }) => y));
  const bottom = Math.max(...corners.map(({ y }) => y));
  const scale = Math.min(width / (right - left), height / (bottom - top));
  const place = ({ x, y }: ScreenPoint): ScreenPoint => ({
    x: (x - left) * scale,
    y: (y - top) * scale,
  });
  const solids = [...solidsOf(gift)].sort((a, b) => depthOf(a) - depthOf(b));
  return {
    faces: solids
      .flatMap(outlinesOf)
      .map(({ points, light }) => ({ path: ringPath(points.map(place)), light })),
    width: (right - left) * scale,
    height: (bottom - top) * scale,
  };
}
