import type { Cavity } from './assembly.ts';
import { cross, direction, dot, subtract, vector, add, scale, type Vector } from './vector.ts';

/** The half of space where `normal · point ≤ reach`. */
export interface HalfSpace {
  readonly normal: Vector;
  readonly reach: number;
}

/** A convex solid as the half-spaces that it is common to. */
export type Solid = readonly HalfSpace[];

function behind(through: Vector, normal: Vector): HalfSpace {
  const unit = direction(normal);
  return { normal: unit, reach: dot(unit, through) };
}

/** The room of a cavity. */
export function cavitySolid(cavity: Cavity): Solid {
  const { floor, top, bottom, high } = cavity;
  const sides = floor.map((here, i) => {
    const next = floor[(i + 1) % floor.length] ?? here;
    const over = top[i] ?? here;
    const nextOver = top[(i + 1) % top.length] ?? over;
    const from = vector(here.x, here.y, bottom);
    const along = add(
      subtract(vector(next.x, next.y, bottom), from),
      subtract(vector(nextOver.x, nextOver.y, high), vector(over.x, over.y, high)),
    );
    const up = subtract(vector(over.x, over.y, high), from);
    return behind(from, cross(along, up));
  });
  return [
    ...sides,
    behind(vector(0, 0, bottom), vector(0, 0, -1)),
    behind(vector(0, 0, high), vector(0, 0, 1)),
  ];
}

/** The part of a flat ring that lies in a half-space. */
function clip(ring: readonly Vector[], { normal, reach }: HalfSpace): readonly Vector[] {
  const kept: Vector[] = [];
  ring.forEach((here, i) => {
    const next = ring[(i + 1) % ring.length] ?? here;
    const a = dot(normal, here) - reach;
    const b = dot(normal, next) - reach;
    if (a <= 0) kept.push(here);
    // Where the two lie on different sides, it is the share at which their edge goes through.
    const share = a / (a - b);
    if (share > 0 && share < 1) kept.push(add(here, scale(subtract(next, here), share)));
  });
  return kept;
}

/** The part of a flat ring that is in a solid made smaller all round by `spare`; empty when there is none. */
export function partInside(
  ring: readonly Vector[],
  solid: Solid,
  spare: number,
): readonly Vector[] {
  let left = ring;
  for (const half of solid) {
    left = clip(left, { ...half, reach: half.reach - spare });
    if (left.length === 0) return left;
  }
  return left;
}

/** The least distance that a point lies inside a solid; below zero outside. */
export function depthIn(solid: Solid, point: Vector): number {
  return Math.min(...solid.map(({ normal, reach }) => reach - dot(normal, point)));
}
