/** A place in space. */
export interface Place {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** How a picture is taken: from where, of what, and how much of its half height and half width is filled. */
export interface Shot {
  /** From what is looked at to the eye; its length is no matter. */
  readonly away: Place;
  readonly target: Place;
  /** Half of what is seen from top to bottom, as a tangent. */
  readonly tangent: number;
  /** How much wider than high the picture is. */
  readonly aspect: number;
  readonly filled: { readonly across: number; readonly high: number };
}

function dot(a: Place, b: Place): number {
  return a.x * b.x + a.y * b.y + a.z * b.z;
}

/** The directions to the right and upwards in a picture whose y points up in space. */
function axesOf({ x, y, z }: Place): { readonly right: Place; readonly up: Place } {
  const flat = Math.hypot(x, z) || 1;
  const right = { x: z / flat, y: 0, z: -x / flat };
  return { right, up: { x: -(x * y) / flat, y: flat, z: -(y * z) / flat } };
}

/** How far from its target the eye must be for all of these places to be in the picture. */
export function distanceFor(
  places: readonly Place[],
  { away, target, tangent, aspect, filled }: Shot,
): number {
  const long = Math.hypot(away.x, away.y, away.z) || 1;
  const back = { x: away.x / long, y: away.y / long, z: away.z / long };
  const { right, up } = axesOf(back);
  let distance = 0;
  for (const place of places) {
    const from = { x: place.x - target.x, y: place.y - target.y, z: place.z - target.z };
    const across = Math.abs(dot(from, right)) / (tangent * aspect * filled.across);
    const high = Math.abs(dot(from, up)) / (tangent * filled.high);
    distance = Math.max(distance, dot(from, back) + Math.max(across, high));
  }
  return distance;
}

/** The place in the middle of what is seen of these places from there, as deep in the picture as the middle of them. */
export function middleOf(places: readonly Place[], away: Place): Place {
  const long = Math.hypot(away.x, away.y, away.z) || 1;
  const back = { x: away.x / long, y: away.y / long, z: away.z / long };
  const { right, up } = axesOf(back);
  const along = (axis: Place) => {
    let [least, most] = [Infinity, -Infinity];
    for (const place of places) {
      const at = dot(place, axis);
      least = Math.min(least, at);
      most = Math.max(most, at);
    }
    return (least + most) / 2;
  };
  const [across, high, deep] = [along(right), along(up), along(back)];
  const at = (way: 'x' | 'y' | 'z') => across * right[way] + high * up[way] + deep * back[way];
  return { x: at('x'), y: at('y'), z: at('z') };
}
