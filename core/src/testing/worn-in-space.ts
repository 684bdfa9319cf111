import {
  closedFaces,
  papersOf,
  subdivide,
  toMillimetres,
  type PanelChoice,
  type PlacedFace,
  type Plan,
  type PlanRequest,
  type Vector,
} from '../index.ts';
import { boxInSpace, dot, between, middleOf } from './joints-in-space.ts';
import { edgesOf, fromLine, isInRing } from './reader/index.ts';

/* Whether what a box wears lies where it should, measured in space with arithmetic of its own. */

const off = 0.03;

/** A plate may reach so far into the room, in millimetres, where something jams its wall. */
const inTheRoom = 1;

/** A corner may stand out so far that is too small to be cut off. */
const leastBit = 0.2;

function cross(a: Vector, b: Vector): Vector {
  return { x: a.y * b.z - a.z * b.y, y: a.z * b.x - a.x * b.z, z: a.x * b.y - a.y * b.x };
}

/** How far within the hull of a ring a place is, seen along `out`; below zero outside of it. */
function within(ring: readonly Vector[], out: Vector, place: Vector): number {
  const middle = middleOf({ ring });
  let least = Infinity;
  for (const a of ring)
    for (const b of ring) {
      const along = between(a, b);
      const long = Math.sqrt(dot(along, along));
      if (long < 0.5) continue;
      const inward = cross(out, along);
      const sign = dot(inward, between(a, middle)) > 0 ? 1 : -1;
      const depth = (of: Vector) => (sign * dot(inward, between(a, of))) / long;
      // Only what bounds the ring: all of it lies to one side.
      if (ring.some((each) => depth(each) < -1e-6)) continue;
      least = Math.min(least, depth(place));
    }
  return least;
}

/** Whether a face has card there, seen straight from outside; nothing is judged next to its edges. */
function isOn({ ring, holes, out }: PlacedFace, place: Vector): boolean {
  const middle = middleOf({ ring });
  const [first = middle] = ring;
  const right = between(middle, first);
  const up = cross(out, right);
  const long = Math.sqrt(dot(right, right)) || 1;
  const flat = (of: Vector) => ({
    x: dot(between(middle, of), right) / long,
    y: dot(between(middle, of), up) / long,
  });
  const at = flat(place);
  const isIn = (all: readonly Vector[]) => isInRing(all.map(flat), at);
  const isAtEdge = [ring, ...holes].some((all) =>
    edgesOf(all.map(flat)).some((edge) => fromLine(edge, at) < off),
  );
  return isIn(ring) && !holes.some(isIn) && !isAtEdge;
}

/** The panels among what a box wears. */
function panelsOf({ additions }: PlanRequest): readonly PanelChoice[] {
  return additions.flatMap((each) => (each.addition === 'panel' ? [each] : []));
}

/** What is glued inside, as into a lid, lies on its face and reaches over no edge of it, in its middle. */
function insideFaceFaults(
  id: string,
  {
    upper,
    lower,
    fromMiddle,
    isUneven,
  }: {
    readonly upper: PlacedFace;
    readonly lower: PlacedFace;
    /** How far its middle may be from that of the face, in millimetres. */
    readonly fromMiddle: number;
    /** Whether it lies over something else that is glued there, and so a little off it. */
    readonly isUneven: boolean;
  },
): readonly string[] {
  const apart = dot(between(lower.ring[0] ?? upper.out, upper.ring[0] ?? upper.out), lower.out);
  const cards = (upper.card + lower.card) / 2;
  const middle = (ring: readonly Vector[], way: 'x' | 'y') =>
    (Math.min(...ring.map((each) => each[way])) + Math.max(...ring.map((each) => each[way]))) / 2;
  const aside = (['x', 'y'] as const).map(
    (way) => middle(upper.ring, way) - middle(lower.ring, way),
  );
  return [
    ...(Math.abs(Math.abs(apart) - cards) > off && !(isUneven && Math.abs(apart) > cards)
      ? [`${id} lies ${apart.toFixed(2)} mm in`]
      : []),
    ...(upper.ring.some((place) => within(lower.ring, lower.out, place) < -off)
      ? [`${id} reaches over the edge of its face`]
      : []),
    ...(Math.hypot(...aside) > fromMiddle ? [`${id} is not in the middle`] : []),
  ];
}

/** Whether plates in a box lie round its room: none in it, each close to it, and as wide and high as it within a step. */
function insideFaults(plan: Plan, request: PlanRequest): readonly string[] {
  const { floor, top, bottom, high } = plan.assembly.cavity;
  // Its walls, each as how far within it a place is: they may lean, and go on down under a platform.
  const walls = floor.map((from, i) => {
    const next = (i + 1) % floor.length;
    const low = { ...from, z: bottom };
    const along = between(low, { ...(floor[next] ?? from), z: bottom });
    const up = between(low, { ...(top[i] ?? from), z: high });
    const inward = cross(up, along);
    const long = Math.sqrt(dot(inward, inward));
    return (place: Vector) => dot(inward, between(low, place)) / long;
  });
  const placed = closedFaces(boxInSpace(plan, request));
  const step = toMillimetres(request.kit.trimmer.step);
  // An insert lies between the gift and all else.
  const holds = request.additions.flatMap((each) =>
    each.addition === 'insert' ? [each.holds] : [],
  );
  const under = Math.max(
    0,
    ...holds.map((each) => (each.by === 'a platform' ? toMillimetres(each.raised) : 0)),
  );
  const around = holds.length > 0 ? 8 : 0;
  return (
    plan.assembly.parts
      // What stands between the things, or round them, is in their room.
      .filter(({ lies }) => lies && !lies.against.endsWith('things'))
      .flatMap(({ id, piece, lies }) => {
        // Copies of the box’s own piece wear the same in another place.
        const isFirst = plan.assembly.parts.find((each) => each.piece === piece)?.id === id;
        const face = placed.find((each) => each.part === id);
        if (!face || !isFirst) return [];
        // Along the side that it stands at, how far out its nearest and its farthest corner are.
        const isAtSide = walls.some((depth) => {
          const out = face.ring.map((place) => -depth(place));
          return Math.min(...out) > -inTheRoom && Math.max(...out) < 6 + around;
        });
        const above = Math.max(...face.ring.map(({ z }) => z));
        const isUnder = lies?.against === 'floor' || lies?.against === 'legs';
        const isOut = isUnder ? above < 1e-6 && above > -6 - under : isAtSide;
        return [
          ...(isOut ? [] : [`${id} lies in the room of the gift`]),
          ...(above > high + step ? [`${id} stands out of the room`] : []),
        ];
      })
  );
}

/** What doesn't hold of the panels of a planned box; nothing where all of them lie right. */
export function wornFaults(plan: Plan, request: PlanRequest): readonly string[] {
  const box = boxInSpace(plan, request);
  const placed = closedFaces(box);
  const papers = papersOf(request);
  const faults: string[] = [...insideFaults(plan, request)];
  const margins = new Map(
    panelsOf(request).flatMap(({ id, layers }) =>
      layers.map(({ margin }, layer) => [`${id} ${layer + 1}`, toMillimetres(margin)] as const),
    ),
  );
  for (const { face, on, holds, side } of plan.assembly.stacks) {
    const part = plan.assembly.parts.find(({ id }) => id === face.part);
    if (!part?.worn || holds !== 'glue') continue;
    const faceOf = (ref: typeof face): PlacedFace | undefined => {
      const at = box.parts.find((each) => each.part.id === ref.part)?.pattern.faceAt(ref.spot);
      return placed.find((each) => each.part === ref.part && each.face === at);
    };
    const [upper, lower] = [faceOf(face), faceOf(on)];
    const isUneven = plan.assembly.stacks.some(
      (each) => each.face.part === part.id && each.holds === 'rest',
    );
    const isPlate = request.additions.some(
      ({ id, addition }) => addition !== 'panel' && part.id.startsWith(`${id} `),
    );
    if (isPlate && upper && lower) {
      // Film is stuck over its window, wherever that is on its face.
      const fromMiddle = upper.role === 'film' ? Infinity : 0.3;
      faults.push(...insideFaceFaults(part.id, { upper, lower, fromMiddle, isUneven }));
      continue;
    }
    const [margin] = [...margins].flatMap(([key, each]) =>
      part.id.startsWith(`${key} on`) ? [each] : [],
    );
    if (!upper || !lower || margin === undefined || side !== 'outside') {
      faults.push(`${part.id} has no face or no margin`);
      continue;
    }
    const apart = -dot(between(lower.ring[0] ?? upper.out, upper.ring[0] ?? upper.out), lower.out);
    const cards = (upper.card + lower.card) / 2;
    if (apart < cards - off || (!isUneven && apart > cards + off))
      faults.push(`${part.id} lies ${apart.toFixed(2)} mm out, and not ${cards.toFixed(2)}`);
    const depths = upper.ring.map((place) => within(lower.ring, lower.out, place));
    const nearest = Math.min(...depths);
    if (nearest < margin - leastBit)
      faults.push(
        `${part.id} keeps in by ${nearest.toFixed(2)} mm, and not by ${margin.toFixed(2)}`,
      );
    const step = toMillimetres(request.kit.trimmer.step);
    if (
      part.piece.startsWith('panel') &&
      panelsOf(request).every(({ underCover }) => underCover === 'counted') &&
      nearest > margin + step / 2 + 0.6
    )
      faults.push(`${part.id} keeps in by as much as ${nearest.toFixed(2)} mm`);
    // Openings of what it lies on stay open.
    for (const hole of lower.holes)
      if (hole.some((place) => isOn(upper, place))) faults.push(`${part.id} covers an opening`);
  }
  for (const piece of plan.pieces) {
    const { width, height } = papers[piece.paper]?.sheet ?? { width: 0, height: 0 };
    if (width === 0 || height === 0) faults.push(`${piece.name} has no paper`);
    if (piece.grid.columns.some((section) => section <= 0)) faults.push(`${piece.name} is nothing`);
    const kept = subdivide(piece.grid).faces.filter(({ role }) => role === 'panel');
    // A folded tag has two faces.
    const cells = piece.grid.rows.length * piece.grid.columns.length;
    if (piece.grid.roles[0]?.[0] === 'panel' && kept.length !== cells)
      faults.push(`${piece.name} falls into ${kept.length} bits`);
  }
  return faults;
}
