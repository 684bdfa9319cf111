import type { AssemblyScene, PlacedFace, Vector } from '@rangoli/core';

/** At most so many arrows in one picture; more would hide what they are about. */
const most = 4;

/** A movement under this many millimetres needs no arrow. */
const least = 6;

function distance(a: Vector, b: Vector): number {
  return Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z);
}

function ringOf(faces: readonly PlacedFace[], { part, face }: Pick<PlacedFace, 'part' | 'face'>) {
  return faces.find((each) => each.part === part && each.face === face)?.ring ?? [];
}

/** The middle of the edge that goes farthest, at each of the scenes. */
function wayOf(
  moving: Pick<PlacedFace, 'part' | 'face'>,
  scenes: readonly AssemblyScene[],
): readonly Vector[] {
  const rings = scenes.map(({ faces }) => ringOf(faces, moving));
  const [first = []] = rings;
  const last = rings.at(-1) ?? [];
  const travels = first.map((a, i) => {
    const next = (i + 1) % first.length;
    const [b, c, d] = [last[i], first[next], last[next]];
    return b && c && d ? Math.min(distance(a, b), distance(c, d)) : 0;
  });
  const edge = travels.indexOf(Math.max(...travels));
  return rings.flatMap((ring) => {
    const [a, b] = [ring[edge], ring[(edge + 1) % ring.length]];
    return a && b ? [{ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2, z: (a.z + b.z) / 2 }] : [];
  });
}

/**
 * The ways that parts go, in space, each from where it begins to where it ends: those that go farthest, and
 * none that runs beside another one.
 */
export function motionArrows(scenes: readonly AssemblyScene[]): readonly (readonly Vector[])[] {
  const [first] = scenes;
  if (!first) return [];
  const ways = first.moving
    .map((moving) => wayOf(moving, scenes))
    .flatMap((way) => {
      const [from] = way;
      const to = way.at(-1);
      return from && to ? [{ way, from, to, far: distance(from, to) }] : [];
    })
    .filter(({ far }) => far >= least)
    .sort((a, b) => b.far - a.far);
  const chosen: typeof ways = [];
  for (const each of ways) {
    const isBeside = chosen.some(
      ({ from, to, far }) => distance(from, each.from) + distance(to, each.to) < 0.5 * far,
    );
    if (!isBeside && chosen.length < most) chosen.push(each);
  }
  return chosen.map(({ way }) => way);
}
