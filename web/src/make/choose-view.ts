import { dot, type PlacedFace, type Vector } from '@rangoli/core';
import { towardsEye, type View } from '../fold/axonometric.ts';

/** A side of a face that is to be seen: where adhesive goes, or where it goes to. */
export interface SideToSee {
  readonly face: PlacedFace;
  readonly side: 'inside' | 'outside';
  /** How much it counts beside the others. */
  readonly weight: number;
}

/** From the front, and from the other corners of the box; always from above, so that it is never on its head. */
export const views: readonly [View, ...View[]] = [
  { turn: -35, height: 34 },
  { turn: 35, height: 34 },
  { turn: -145, height: 34 },
  { turn: 145, height: 34 },
];

/** A view that shows less than this share of what the best one shows is left for it. */
const enough = 0.6;

/** Twice the area of a flat ring in space. */
function areaOf(ring: readonly Vector[]): number {
  const total = ring.reduce(
    (sum, a, i) => {
      const b = ring[(i + 1) % ring.length] ?? a;
      return {
        x: sum.x + a.y * b.z - a.z * b.y,
        y: sum.y + a.z * b.x - a.x * b.z,
        z: sum.z + a.x * b.y - a.y * b.x,
      };
    },
    { x: 0, y: 0, z: 0 },
  );
  return Math.hypot(total.x, total.y, total.z);
}

/** How much is seen of sides from a view; what lies in front of them is not asked for. */
function shown(sides: readonly SideToSee[], view: View): number {
  const toEye = towardsEye(view);
  return sides.reduce((sum, { face, side, weight }) => {
    const facing = dot(face.out, toEye) * (side === 'inside' ? 1 : -1);
    return sum + weight * Math.max(0, facing) * areaOf(face.ring);
  }, 0);
}

/** The view from which sides are seen well: the one that is had already, as long as it will do. */
export function chooseView(had: View, sides: readonly SideToSee[]): View {
  const [best] = [...views].sort((a, b) => shown(sides, b) - shown(sides, a));
  return best && shown(sides, had) < enough * shown(sides, best) ? best : had;
}
