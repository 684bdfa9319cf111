import { boundsOf, mayTouch } from './bounds.ts';
import { named, spare, type FoldFault } from './fold-fault.ts';
import type { FoldingBox, PlacedFace } from './folded-box.ts';
import { add, cross, direction, dot, lengthOf, scale, subtract, type Vector } from './vector.ts';

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
function mayGiveWay(
  one: PlacedFace,
  other: PlacedFace,
  heapOf: (face: PlacedFace) => number,
): number {
  const card = Math.max(one.card, other.card);
  // A seam in a pleat is glued to a wall that it pushes out by its own card.
  const usual = one.role === 'seam' || other.role === 'seam' ? 2 * card : card;
  // The card that is heaped under a face moves it out of its plane, and so spreads the ridge that it ends in.
  const sine = lengthOf(cross(one.out, other.out));
  return Math.max(usual, (heapOf(one) + heapOf(other)) / sine);
}

/** Faces that go through one another by more than their card gives way. */
export function crossingFaults(
  box: FoldingBox,
  faces: readonly PlacedFace[],
): readonly FoldFault[] {
  const bounds = faces.map(({ ring }) => boundsOf(ring));
  const joined = new Set(
    box.parts.flatMap(({ part, pattern }) =>
      pattern.creases.flatMap(({ left, right }) => [
        `${part.id} ${left} ${right}`,
        `${part.id} ${right} ${left}`,
      ]),
    ),
  );
  const heaps = new Map(box.parts.map(({ part, heaps: each }) => [part.id, each]));
  const heapOf = ({ part, face }: PlacedFace) => heaps.get(part)?.[face] ?? 0;
  const faults: FoldFault[] = [];
  faces.forEach((one, i) => {
    for (let j = i + 1; j < faces.length; j++) {
      const other = faces[j];
      const a = bounds[i];
      const b = bounds[j];
      if (!other || !a || !b || !mayTouch(a, b)) continue;
      if (one.part === other.part && joined.has(`${one.part} ${one.face} ${other.face}`)) continue;
      const depth = crossingDepth(one, other);
      if (depth > mayGiveWay(one, other, heapOf) + spare)
        faults.push({
          about: 'crossing',
          inTheWay: [one.part, other.part],
          message: `${named(one)} goes ${depth.toFixed(2)} mm through ${named(other)}`,
        });
    }
  });
  return faults;
}
