import type { Gift } from './gift.ts';
import { thingsOf, type GiftSolid } from './solids.ts';

/** What a thing of the gift covers of the floor, in millimetres from the middle of the gift’s foot. */
export type Footprint =
  | { readonly kind: 'round'; readonly x: number; readonly y: number; readonly radius: number }
  | {
      readonly kind: 'straight';
      readonly x: number;
      readonly y: number;
      readonly wide: number;
      readonly deep: number;
    };

function footprintOf(solid: GiftSolid): Footprint {
  if (solid.kind === 'ball') {
    const { x, y } = solid.middle;
    return { kind: 'round', x, y, radius: solid.radius };
  }
  if (solid.kind !== 'round') {
    const { x, y } = solid.middle;
    return { kind: 'straight', x, y, wide: solid.size.x, deep: solid.size.y };
  }
  const { from, to, fromRadius, toRadius } = solid;
  const radius = Math.max(fromRadius, toRadius);
  const [x, y] = [(from.x + to.x) / 2, (from.y + to.y) / 2];
  return from.x === to.x && from.y === to.y
    ? { kind: 'round', x, y, radius }
    : { kind: 'straight', x, y, wide: Math.abs(to.x - from.x), deep: 2 * radius };
}

function sizeOf(footprint: Footprint): number {
  return footprint.kind === 'round' ? footprint.radius : footprint.wide * footprint.deep;
}

/** What a thing of several bodies covers: the widest of them, where they stand on one another. */
function together(all: readonly Footprint[]): Footprint | undefined {
  const widest = all.toSorted((a, b) => sizeOf(b) - sizeOf(a))[0];
  if (!widest || all.every(({ x, y }) => Math.hypot(x - widest.x, y - widest.y) < 0.01))
    return widest;
  const reach = all.map((each) => {
    const [x, y] =
      each.kind === 'round' ? [each.radius, each.radius] : [each.wide / 2, each.deep / 2];
    return { left: each.x - x, right: each.x + x, front: each.y - y, back: each.y + y };
  });
  const left = Math.min(...reach.map((each) => each.left));
  const right = Math.max(...reach.map((each) => each.right));
  const front = Math.min(...reach.map((each) => each.front));
  const back = Math.max(...reach.map((each) => each.back));
  return {
    kind: 'straight',
    x: (left + right) / 2,
    y: (front + back) / 2,
    wide: right - left,
    deep: back - front,
  };
}

/** What each thing of a gift covers, seen from above; those that stand on one another once. */
export function footprintsOf(gift: Gift): readonly Footprint[] {
  const found: Footprint[] = [];
  for (const solids of thingsOf(gift)) {
    const own = together(solids.map(footprintOf));
    if (!own) continue;
    const at = found.findIndex(({ x, y }) => Math.hypot(x - own.x, y - own.y) < 0.01);
    const known = found[at];
    if (!known) found.push(own);
    else if (sizeOf(own) > sizeOf(known)) found[at] = own;
  }
  return found;
}
