/** A point or a direction in space, in millimetres: across to the right, deep to the back, high up. */
export interface Vector {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

export const origin: Vector = { x: 0, y: 0, z: 0 };

export function vector(x: number, y: number, z: number): Vector {
  return { x, y, z };
}

export function add(a: Vector, b: Vector): Vector {
  return { x: a.x + b.x, y: a.y + b.y, z: a.z + b.z };
}

export function subtract(a: Vector, b: Vector): Vector {
  return { x: a.x - b.x, y: a.y - b.y, z: a.z - b.z };
}

export function scale(a: Vector, by: number): Vector {
  return { x: a.x * by, y: a.y * by, z: a.z * by };
}

export function dot(a: Vector, b: Vector): number {
  return a.x * b.x + a.y * b.y + a.z * b.z;
}

export function cross(a: Vector, b: Vector): Vector {
  return {
    x: a.y * b.z - a.z * b.y,
    y: a.z * b.x - a.x * b.z,
    z: a.x * b.y - a.y * b.x,
  };
}

export function lengthOf(a: Vector): number {
  return Math.sqrt(dot(a, a));
}

/** The direction of a vector; a vector of no length stays as it is. */
export function direction(a: Vector): Vector {
  const length = lengthOf(a);
  return length === 0 ? a : scale(a, 1 / length);
}

export function distance(a: Vector, b: Vector): number {
  return lengthOf(subtract(a, b));
}
