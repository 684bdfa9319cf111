import { smallest, type Length } from '../length/index.ts';
import type { BoxSide } from '../make/index.ts';
import type { InsideFace, RoomSide, RoomSides } from './inside-faces.ts';
import { plateShape, type InsidePlate } from './inside-plates.ts';

/** How a plate is cut. */
export interface PlateBrief {
  /** How thick its card is, in millimetres. */
  readonly card: number;
  /** The step that cuts are made in. */
  readonly step: Length;
}

/** A plate on the floor of a room; undefined where there is no flat one. */
export function floorPlate(
  { floor }: RoomSides,
  { card, step }: PlateBrief,
): InsidePlate | undefined {
  const shape = plateShape(floor, { step, card, fits: 'laid' });
  if (!shape || !floor.behind) return undefined;
  const out = floor.plane + card / 2;
  return { side: floor, behind: floor.behind, shape, out, against: 'floor' };
}

/** Whether what is over the room is the top of a lid, with nothing folded in under it. */
function isLid({ role, part, before }: InsideFace, floor: InsideFace | undefined): boolean {
  const isOther = part.piece !== floor?.part.piece;
  return before.length === 0 && (role === 'lid' || (role === 'floor' && isOther));
}

/** A plate inside the top of a lid; undefined where the box has no flat one. */
export function lidPlate(
  { top, floor }: RoomSides,
  { card, step }: PlateBrief,
): InsidePlate | undefined {
  const { behind } = top;
  if (!behind || !isLid(behind, floor.behind)) return undefined;
  const shape = plateShape(top, { step, card, fits: 'in the middle' });
  if (!shape) return undefined;
  return { side: top, behind, shape, out: behind.surface - card / 2, against: 'lid' };
}

/** Which side of the box a wall is on. */
export function sideOf({ axes: { out } }: RoomSide): BoxSide {
  const isSide = Math.abs(out.x) > Math.abs(out.y);
  if (isSide) return out.x > 0 ? 'right' : 'left';
  return out.y > 0 ? 'back' : 'front';
}

/** How upright a wall must be for a plate on it to take no more room than it may. */
const upright = 0.31;

/** Plates on the walls round a room, as many as have flat card behind them. */
export function wallPlates(
  { walls }: RoomSides,
  { card, step }: PlateBrief,
): readonly InsidePlate[] {
  const cut = walls.flatMap((side) => {
    const isUpright = Math.abs(side.axes.out.z) <= upright;
    const shape = isUpright ? plateShape(side, { step, card, fits: 'standing' }) : undefined;
    return shape ? [{ side, shape }] : [];
  });
  return cut.flatMap(({ side, shape }): readonly InsidePlate[] => {
    const { behind, plane } = side;
    // Walls that differ by no more than a mark have plates of one size.
    const alike = cut.filter(
      (other) =>
        Math.abs(other.shape.width - shape.width) <= step &&
        Math.abs(other.shape.height - shape.height) <= step,
    );
    const most = {
      width: smallest(shape.width, ...alike.map((each) => each.shape.width)),
      height: smallest(shape.height, ...alike.map((each) => each.shape.height)),
    };
    const isAsWide = most.width === shape.width && most.height === shape.height;
    // A plate with a slant is cut from the middle of what it may be, so that it is the same as the others.
    const same =
      isAsWide && shape.cutouts.length === 0
        ? shape
        : plateShape(side, { step, card, fits: 'standing', most });
    if (!behind || !same) return [];
    // Where something jams its wall is nearer than it should be.
    const out = Math.min(plane + card, behind.surface) - card / 2;
    return [{ side, behind, shape: same, out, against: sideOf(side) }];
  });
}
