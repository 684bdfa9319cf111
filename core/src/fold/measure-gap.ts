import { closedFaces, type FoldingBox } from './folded-box.ts';
import { dot, type Vector } from './vector.ts';

/** The gap in millimetres between the outer and the inner parts of the closed box, both sides together, along an axis. */
export function measureGap(
  box: FoldingBox,
  outer: readonly string[],
  inner: readonly string[],
  axis: Vector,
): number {
  const faces = closedFaces(box);
  const outerFaces = faces.filter(({ part }) => outer.includes(part));
  const across = outerFaces.filter(({ out }) => isAlong(out, axis));
  const stands = across.map(({ ring, card }) => ({ at: heightOf(ring, axis), card }));
  const heights = stands.map(({ at }) => at);
  const middle = (Math.max(...heights) + Math.min(...heights)) / 2;
  const inside = (side: number) =>
    Math.min(
      ...stands
        .filter(({ at }) => side * (at - middle) > 0)
        .map(({ at, card }) => side * at - card / 2),
    );
  const outside = (side: number) =>
    Math.max(
      ...faces
        .filter(({ part }) => inner.includes(part))
        .flatMap(({ ring, out, card }) =>
          ring.map((point) => side * dot(point, axis) + (isAlong(out, axis) ? card / 2 : 0)),
        ),
    );
  return inside(1) + inside(-1) - outside(1) - outside(-1);
}

function isAlong(out: Vector, axis: Vector): boolean {
  return Math.abs(dot(out, axis)) > 1 - 1e-6;
}

function heightOf(ring: readonly Vector[], axis: Vector): number {
  const [point] = ring;
  return point ? dot(point, axis) : 0;
}
