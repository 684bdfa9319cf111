import type { Assembly, Stack } from './assembly.ts';
import { lyingOn, type FoldedPart, type Lying } from './folded-part.ts';
import { add, dot, origin, scale, type Vector } from './vector.ts';

/** A part whose faces are to be stacked. */
export interface ToStack {
  readonly id: string;
  /** Thickness of its card in millimetres. */
  readonly card: number;
  readonly folded: FoldedPart;
}

/** By the places of the parts and of their faces: how far each is pushed aside, and how high the card under it is heaped. */
export interface Stacked {
  readonly lifts: readonly (readonly Vector[])[];
  readonly heaps: readonly (readonly number[])[];
}

/**
 * How far faces are pushed aside by what they lie on. A face folded right over lies on the one that it
 * hangs on; a stacked one on its partners.
 */
export function stackFaces(parts: readonly ToStack[], { stacks }: Assembly): Stacked {
  const lifts = parts.map(({ folded }) => folded.faces.map(() => origin));
  const heaps = parts.map(({ folded }) => folded.faces.map(() => 0));
  const rests = restsOf(parts, stacks);
  // Stacks are a few layers high, and each pass settles one.
  for (let pass = 0, isSettled = false; pass < 6 && !isSettled; pass++) {
    isSettled = true;
    for (const { face, on, cards, lying } of rests) {
      const { out, off } = lying;
      const lowerLift = lifts[on.part]?.[on.face] ?? origin;
      const row = lifts[face.part] ?? [];
      const has = row[face.face] ?? origin;
      const missing = dot(lowerLift, out) + cards - dot(has, out) - off;
      if (missing > 0) {
        row[face.face] = add(has, scale(out, missing));
        isSettled = false;
      }
      const heap = heaps[face.part] ?? [];
      const heaped = (heaps[on.part]?.[on.face] ?? 0) + cards;
      if (heaped > (heap[face.face] ?? 0)) {
        heap[face.face] = heaped;
        isSettled = false;
      }
    }
  }
  return { lifts, heaps };
}

/** A face by the place of its part. */
interface Place {
  readonly part: number;
  readonly face: number;
}

/** A face that lies on another one, and how much card lies between their middles. */
interface Rest {
  readonly face: Place;
  readonly on: Place;
  readonly cards: number;
  readonly lying: Lying;
}

/** All that lies on something: what is stacked, and what is folded right over and not stacked. */
function restsOf(parts: readonly ToStack[], stacks: readonly Stack[]): readonly Rest[] {
  const places = new Map(parts.map(({ id }, i) => [id, i]));
  const partAt = (id: string) => {
    const place = places.get(id);
    const part = parts[place ?? -1];
    if (place === undefined || !part) throw new Error(`No part ${id}`);
    return { place, part };
  };
  const stacked = new Set<string>();
  const rests = stacks.map((stack): Rest => {
    const [upper, lower] = [partAt(stack.face.part), partAt(stack.on.part)];
    const [above, below] = [upper.part.folded, lower.part.folded];
    const face = above.pattern.faceAt(stack.face.spot);
    const on = below.pattern.faceAt(stack.on.spot);
    const lying = lyingOn({ of: above, face }, { of: below, face: on }, stack.side);
    stacked.add(`${upper.place} ${face}`);
    return {
      face: { part: upper.place, face },
      on: { part: lower.place, face: on },
      cards: (lower.part.card + upper.part.card) / 2,
      lying,
    };
  });
  parts.forEach(({ card, folded }, part) => {
    for (const lying of folded.over) {
      const { face, on } = lying;
      if (!stacked.has(`${part} ${face}`))
        rests.push({ face: { part, face }, on: { part, face: on }, cards: card, lying });
    }
  });
  return rests;
}
