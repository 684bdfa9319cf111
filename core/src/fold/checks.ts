import type { Stack } from './assembly.ts';
import { closedFaces, type FoldingBox, type PlacedFace } from './folded-box.ts';
import { largestOpening, poseFaces } from './pose.ts';
import { cavitySolid, depthIn, partInside, type Solid } from './solid.ts';
import { add, cross, direction, dot, lengthOf, scale, subtract, type Vector } from './vector.ts';

/** Something about a folded box that doesn't hold, as a sentence. */
export interface FoldFault {
  readonly about: 'closing' | 'stacks' | 'crossing' | 'cavity' | 'gift';
  readonly message: string;
}

/** How far two ends that should meet may be apart: less than a hair. */
const meets = 1e-4;

/** How far a flap that is only tucked in may stand off its wall, in millimetres, on the coarsest tools. */
const loosely = 5;

/** What no hand could see, in millimetres. */
const spare = 0.02;

function named(face: PlacedFace): string {
  return `${face.part} face ${face.face} (${face.role})`;
}

/** Creases that come apart at some time of the folding. */
function closingFaults(box: FoldingBox): readonly FoldFault[] {
  return box.parts.flatMap(({ part, pattern, root }) => {
    const times = Array.from({ length: 2 * pattern.stages + 1 }, (_, i) => i / 2);
    return times.flatMap((time): readonly FoldFault[] => {
      const opening = largestOpening(pattern, poseFaces(pattern, root, time), time);
      return opening > meets
        ? [
            {
              about: 'closing',
              message: `${part.id} comes apart by ${opening.toFixed(3)} mm at stage ${time}`,
            },
          ]
        : [];
    });
  });
}

function isInRing(ring: readonly Vector[], point: Vector, normal: Vector, slack: number): boolean {
  // Seen along the largest part of the normal, so that nothing is seen on edge.
  const { x, y, z } = normal;
  const most = Math.max(Math.abs(x), Math.abs(y), Math.abs(z));
  const seen = (v: Vector): readonly [number, number] =>
    most === Math.abs(z) ? [v.x, v.y] : most === Math.abs(y) ? [v.x, v.z] : [v.y, v.z];
  const [px, py] = seen(point);
  const state = { inside: false, nearest: Infinity };
  ring.forEach((a3, i) => {
    const b3 = ring[(i + 1) % ring.length] ?? a3;
    const [ax, ay] = seen(a3);
    const [bx, by] = seen(b3);
    if (ay > py !== by > py && ax + ((py - ay) / (by - ay)) * (bx - ax) > px)
      state.inside = !state.inside;
    const along = subtract(b3, a3);
    const whole = dot(along, along);
    const share = whole === 0 ? 0 : dot(subtract(point, a3), along) / whole;
    const foot = add(a3, scale(along, Math.min(1, Math.max(0, share))));
    const off = subtract(point, foot);
    state.nearest = Math.min(
      state.nearest,
      lengthOf(subtract(off, scale(normal, dot(off, normal)))),
    );
  });
  return state.inside || state.nearest <= slack;
}

/** Places all over a face, near its corners and edges and towards its middle; none in a bite out of it. */
function samplesOf({ ring, out }: PlacedFace): readonly Vector[] {
  const middle = scale(ring.reduce(add), 1 / ring.length);
  const samples = ring.flatMap((here, i) => {
    const next = ring[(i + 1) % ring.length] ?? here;
    const edge = scale(add(here, next), 0.5);
    return [0.05, 0.35, 0.7].flatMap((share) => [
      add(scale(here, 1 - share), scale(middle, share)),
      add(scale(edge, 1 - share), scale(middle, share)),
    ]);
  });
  return samples.filter((point) => isInRing(ring, point, out, 0));
}

function stackFaults(box: FoldingBox, faces: readonly PlacedFace[]): readonly FoldFault[] {
  const find = (ref: Stack['face']) => {
    const part = box.parts.find((each) => each.part.id === ref.part);
    const at = part?.pattern.faceAt(ref.spot);
    return faces.find((face) => face.part === ref.part && face.face === at);
  };
  return box.assembly.stacks.flatMap((stack): readonly FoldFault[] => {
    const upper = find(stack.face);
    const lower = find(stack.on);
    if (!upper || !lower) return [{ about: 'stacks', message: 'A stack names no face' }];
    const fault = (what: string): FoldFault => ({
      about: 'stacks',
      message: `${named(upper)} ${what} ${named(lower)}`,
    });
    if (Math.abs(dot(upper.out, lower.out)) < 1 - 1e-6) return [fault('does not lie flat on')];
    const [at] = lower.ring;
    const [over] = upper.ring;
    if (!at || !over) return [];
    const side = stack.side === 'inside' ? 1 : -1;
    const apart = side * dot(subtract(over, at), lower.out);
    const cards = (upper.card + lower.card) / 2;
    // Other layers may lie between, never more than four; what is only tucked in may stand off.
    const most =
      cards +
      4 * Math.max(upper.card, lower.card) +
      (stack.holds === 'tuck' ? loosely : spare) +
      (stack.bows ?? 0);
    if (apart < cards - spare || apart > most)
      return [fault(`stands ${(apart - cards).toFixed(2)} mm off`)];
    const samples = samplesOf(upper);
    const slack = 2 * Math.max(upper.card, lower.card) + 0.3;
    const on = samples.filter((point) => isInRing(lower.ring, point, lower.out, slack)).length;
    const share = on / samples.length;
    return share < stack.covers - 0.02
      ? [fault(`has ${Math.round(share * 100)} of 100 parts on`)]
      : [];
  });
}

interface Bounds {
  readonly least: Vector;
  readonly most: Vector;
}

function boundsOf(ring: readonly Vector[]): Bounds {
  const pick = (choose: (...values: number[]) => number) => ({
    x: choose(...ring.map(({ x }) => x)),
    y: choose(...ring.map(({ y }) => y)),
    z: choose(...ring.map(({ z }) => z)),
  });
  return { least: pick(Math.min), most: pick(Math.max) };
}

function mayTouch(a: Bounds, b: Bounds): boolean {
  return (
    a.least.x <= b.most.x &&
    b.least.x <= a.most.x &&
    a.least.y <= b.most.y &&
    b.least.y <= a.most.y &&
    a.least.z <= b.most.z &&
    b.least.z <= a.most.z
  );
}

/** Where a ring meets a plane, as stretches of the line along `line`. */
function stretches(
  ring: readonly Vector[],
  heights: readonly number[],
  line: Vector,
): readonly (readonly [number, number])[] {
  const stops: number[] = [];
  ring.forEach((here, i) => {
    const next = ring[(i + 1) % ring.length] ?? here;
    const a = heights[i] ?? 0;
    const b = heights[(i + 1) % ring.length] ?? 0;
    if (a > 0 === b > 0) return;
    stops.push(dot(line, add(here, scale(subtract(next, here), a / (a - b)))));
  });
  stops.sort((a, b) => a - b);
  const found: (readonly [number, number])[] = [];
  for (let i = 0; i + 1 < stops.length; i += 2) found.push([stops[i] ?? 0, stops[i + 1] ?? 0]);
  return found;
}

/** How deep two faces go through each other: the least that one of them would have to be cut back. */
function crossingDepth(one: PlacedFace, other: PlacedFace): number {
  const line = direction(cross(one.out, other.out));
  if (lengthOf(cross(one.out, other.out)) < 1e-6) return 0;
  const [onOther] = other.ring;
  const [onOne] = one.ring;
  if (!onOther || !onOne) return 0;
  const above = one.ring.map((point) => dot(subtract(point, onOther), other.out));
  const beyond = other.ring.map((point) => dot(subtract(point, onOne), one.out));
  const reach = (heights: readonly number[]) =>
    Math.min(Math.max(...heights), -Math.min(...heights));
  const depth = Math.min(reach(above), reach(beyond));
  if (depth <= 0) return 0;
  let shared = 0;
  for (const [from, to] of stretches(one.ring, above, line))
    for (const [otherFrom, otherTo] of stretches(other.ring, beyond, line))
      shared = Math.max(shared, Math.min(to, otherTo) - Math.max(from, otherFrom));
  return Math.min(depth, Math.max(0, shared));
}

/** By how much two faces may go through each other: by the card, since it bends that much. */
function mayGiveWay(one: PlacedFace, other: PlacedFace): number {
  const card = Math.max(one.card, other.card);
  // A seam in a pleat is glued to a wall that it pushes out by its own card.
  const pushed = one.role === 'seam' || other.role === 'seam';
  return pushed ? 2 * card : card;
}

function crossingFaults(box: FoldingBox, faces: readonly PlacedFace[]): readonly FoldFault[] {
  const bounds = faces.map(({ ring }) => boundsOf(ring));
  const joined = new Set(
    box.parts.flatMap(({ part, pattern }) =>
      pattern.creases.flatMap(({ left, right }) => [
        `${part.id} ${left} ${right}`,
        `${part.id} ${right} ${left}`,
      ]),
    ),
  );
  const faults: FoldFault[] = [];
  faces.forEach((one, i) => {
    for (let j = i + 1; j < faces.length; j++) {
      const other = faces[j];
      const a = bounds[i];
      const b = bounds[j];
      if (!other || !a || !b || !mayTouch(a, b)) continue;
      if (one.part === other.part && joined.has(`${one.part} ${one.face} ${other.face}`)) continue;
      const depth = crossingDepth(one, other);
      if (depth > mayGiveWay(one, other) + spare)
        faults.push({
          about: 'crossing',
          message: `${named(one)} goes ${depth.toFixed(2)} mm through ${named(other)}`,
        });
    }
  });
  return faults;
}

function cavityFaults(box: FoldingBox, faces: readonly PlacedFace[]): readonly FoldFault[] {
  const solid = cavitySolid(box.assembly.cavity);
  return faces.flatMap((face): readonly FoldFault[] => {
    const layers = [-0.5, 0, 0.5].map((share) =>
      face.ring.map((point) => add(point, scale(face.out, share * face.card))),
    );
    const stands = layers.some((ring) => {
      const part = partInside(ring, solid, spare);
      // What lies in an opening of the face is no card.
      return part.length > 0 && !isInHole(face, part);
    });
    return stands
      ? [{ about: 'cavity', message: `${named(face)} stands in the room for the gift` }]
      : [];
  });
}

function isInHole({ holes, out }: PlacedFace, part: readonly Vector[]): boolean {
  return holes.some((hole) => part.every((point) => isInRing(hole, point, out, spare)));
}

function giftFaults(solid: Solid, gift: readonly Vector[]): readonly FoldFault[] {
  const out = Math.min(...gift.map((point) => depthIn(solid, point)));
  return out < -spare
    ? [{ about: 'gift', message: `The gift stands out of its room by ${(-out).toFixed(2)} mm` }]
    : [];
}

/**
 * Everything that must hold of a box in space: its creases stay together at every stage, what lies on
 * something lies on it, no face goes through another by more than the card, the promised room is clear,
 * and the gift, given by its outermost points, is in it. Nothing is returned when all of it holds.
 */
export function checkFolding(box: FoldingBox, gift: readonly Vector[]): readonly FoldFault[] {
  const faces = closedFaces(box);
  return [
    ...closingFaults(box),
    ...stackFaults(box, faces),
    ...crossingFaults(box, faces),
    ...cavityFaults(box, faces),
    ...giftFaults(cavitySolid(box.assembly.cavity), gift),
  ];
}

/** The gap in millimetres between two parts of the closed box, both sides together, along an axis. */
export function measureGap(
  box: FoldingBox,
  outer: string,
  inner: readonly string[],
  axis: Vector,
): number {
  const faces = closedFaces(box);
  const outerFaces = faces.filter(({ part }) => part === outer);
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
