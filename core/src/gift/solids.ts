import { plus, toMillimetres, zero } from '../length/index.ts';
import { extentsOf, isLying, isNested, rowPitch, type Extents } from './extents.ts';
import type { Gift, GiftItem, SeveralGift } from './gift.ts';

/** A place in millimetres from the middle of the gift's foot: across, deep, up. */
export interface Place {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** A simple body that a gift is drawn with; rounds taper from one end to the other. */
export type GiftSolid =
  | { readonly kind: 'block'; readonly middle: Place; readonly size: Place }
  | { readonly kind: 'lump'; readonly middle: Place; readonly size: Place }
  | { readonly kind: 'ball'; readonly middle: Place; readonly radius: number }
  | {
      readonly kind: 'round';
      readonly from: Place;
      readonly to: Place;
      readonly fromRadius: number;
      readonly toRadius: number;
    };

function itemSolids(item: GiftItem): readonly GiftSolid[] {
  const extents = extentsOf(item);
  const size = {
    x: toMillimetres(extents.across),
    y: toMillimetres(extents.deep),
    z: toMillimetres(extents.high),
  };
  const middle = { x: 0, y: 0, z: size.z / 2 };
  switch (item.shape) {
    case 'block':
    case 'card':
      return [{ kind: 'block', middle, size }];
    case 'lumpy':
      return [{ kind: 'lump', middle, size }];
    case 'ball':
      return [{ kind: 'ball', middle, radius: size.x / 2 }];
    case 'cylinder':
      return isLying(item)
        ? [round({ x: -size.x / 2, y: 0, z: size.z / 2 }, { ...middle, x: size.x / 2 }, size.z / 2)]
        : [round({ x: 0, y: 0, z: 0 }, { x: 0, y: 0, z: size.z }, size.x / 2)];
    case 'bottle': {
      const body = toMillimetres(item.body);
      const shoulder = body + toMillimetres(item.shoulder);
      const wide = toMillimetres(item.diameter) / 2;
      const narrow = toMillimetres(item.neckDiameter) / 2;
      const whole = toMillimetres(plus(item.body, item.shoulder, item.neck));
      // A lying one has its bottom at the left and its neck off the floor.
      const at = (along: number) =>
        isLying(item) ? { x: along - whole / 2, y: 0, z: wide } : { x: 0, y: 0, z: along };
      return [
        round(at(0), at(body), wide),
        ...(shoulder > body ? [round(at(body), at(shoulder), wide, narrow)] : []),
        round(at(shoulder), at(whole), narrow),
      ];
    }
  }
}

function round(from: Place, to: Place, fromRadius: number, toRadius = fromRadius): GiftSolid {
  return { kind: 'round', from, to, fromRadius, toRadius };
}

function moved(place: Place, by: Place): Place {
  return { x: place.x + by.x, y: place.y + by.y, z: place.z + by.z };
}

function movedSolid(solid: GiftSolid, by: Place): GiftSolid {
  return solid.kind === 'round'
    ? { ...solid, from: moved(solid.from, by), to: moved(solid.to, by) }
    : { ...solid, middle: moved(solid.middle, by) };
}

function inRows(gift: SeveralGift, whole: Extents): readonly (readonly GiftSolid[])[] {
  const one = extentsOf(gift.item);
  const solids = itemSolids(gift.item);
  const pitch = toMillimetres(rowPitch(gift));
  const [x, y, z] = [one.across, one.deep, one.high].map(toMillimetres);
  const left = -toMillimetres(whole.across) / 2 + (x ?? 0) / 2;
  const front = -toMillimetres(whole.deep) / 2 + (y ?? 0) / 2;
  const apart = toMillimetres(gift.between ?? zero);
  const placed: (readonly GiftSolid[])[] = [];
  for (let high = 0; high < gift.high; high++)
    for (let deep = 0; deep < gift.deep; deep++)
      for (let across = 0; across < gift.across; across++) {
        const shift = isNested(gift) && deep % 2 === 1 ? (x ?? 0) / 2 : 0;
        const by = {
          x: left + across * ((x ?? 0) + apart) + shift,
          y: front + deep * pitch,
          z: high * (z ?? 0),
        };
        placed.push(solids.map((solid) => movedSolid(solid, by)));
      }
  return placed;
}

/** The bodies of each thing of a gift as it stands in its box, in millimetres from the middle of its foot. */
export function thingsOf(gift: Gift): readonly (readonly GiftSolid[])[] {
  const whole = extentsOf(gift);
  if (gift.shape === 'several') return inRows(gift, whole);
  if (gift.shape !== 'set') return [itemSolids(gift)];
  let reached = -toMillimetres(whole.across) / 2;
  return gift.items.map((item) => {
    const wide = toMillimetres(extentsOf(item).across);
    const by = { x: reached + wide / 2, y: 0, z: 0 };
    reached += wide;
    return itemSolids(item).map((solid) => movedSolid(solid, by));
  });
}

/** All bodies of a gift, in millimetres from the middle of its foot. */
export function solidsOf(gift: Gift): readonly GiftSolid[] {
  return thingsOf(gift).flat();
}

/** How many points stand for a circle. */
const around = 16;

function ringPoints(middle: Place, axis: 'x' | 'z', radius: number): readonly Place[] {
  return Array.from({ length: around }, (_, i) => {
    const angle = (2 * i * Math.PI) / around;
    const a = radius * Math.cos(angle);
    const b = radius * Math.sin(angle);
    return axis === 'z'
      ? { x: middle.x + a, y: middle.y + b, z: middle.z }
      : { x: middle.x, y: middle.y + a, z: middle.z + b };
  });
}

function pointsOf(solid: GiftSolid): readonly Place[] {
  switch (solid.kind) {
    case 'block':
    case 'lump':
      return [-0.5, 0.5].flatMap((x) =>
        [-0.5, 0.5].flatMap((y) =>
          [-0.5, 0.5].map((z) =>
            moved(solid.middle, { x: x * solid.size.x, y: y * solid.size.y, z: z * solid.size.z }),
          ),
        ),
      );
    case 'ball':
      return [-1, -0.6, 0, 0.6, 1].flatMap((share) =>
        ringPoints(
          moved(solid.middle, { x: 0, y: 0, z: share * solid.radius }),
          'z',
          solid.radius * Math.cos(Math.asin(share)),
        ),
      );
    case 'round': {
      const axis = solid.from.z === solid.to.z ? 'x' : 'z';
      return [
        ...ringPoints(solid.from, axis, solid.fromRadius),
        ...ringPoints(solid.to, axis, solid.toRadius),
      ];
    }
  }
}

/** The outermost points of a gift, in millimetres from the middle of its foot. */
export function outermostPoints(gift: Gift): readonly Place[] {
  return solidsOf(gift).flatMap(pointsOf);
}
