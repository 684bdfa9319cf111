import { uprightSlit, type Worn } from '../forms/index.ts';
import { extentsOf, type Gift } from '../gift/index.ts';
import {
  half,
  inchFraction,
  largest,
  millimetres,
  minus,
  plus,
  smallest,
  times,
  toMillimetres,
  zero,
  type Length,
} from '../length/index.ts';
import type { Cutout } from '../piece/index.ts';
import { cutUnit, type Kit } from '../tools/index.ts';
import type { Undressed } from './addition.ts';
import { roomSides } from './inside-faces.ts';
import { wearPlates } from './inside-plates.ts';
import type { PanelShape } from './panel-shape.ts';
import { floorPlate } from './room-plates.ts';
import type { RoomTaken } from './room-taken.ts';

/** How a card on the floor holds the gift, and how it is cut. */
export interface FlatInsertBrief {
  readonly id: string;
  readonly by: 'notches' | 'slits';
  readonly card: Length;
  readonly firstPaper: number;
  readonly step: Length;
  readonly kit: Kit;
  readonly gift: Gift;
  /** What lies nearer to the gift than the walls do, but for this card. */
  readonly outside: RoomTaken;
}

/** Two notches in each side edge, for two elastics across. */
function notches({ width, height }: PanelShape, kit: Kit): readonly Cutout[] {
  const usual = cutUnit(kit) === 'inch' ? inchFraction(1, 8) : millimetres(3);
  const radius = smallest(usual, times(smallest(width, height), 0.12));
  return [zero, width].flatMap((x) =>
    [1 / 3, 2 / 3].map((share): Cutout => ({
      shape: 'notch',
      use: 'elastic notch',
      centre: { x, y: times(height, share) },
      radius,
      edge: x === zero ? 'left' : 'right',
    })),
  );
}

/** So much longer a slit is than what goes through it, and so far from its end it is. */
const longer = millimetres(2);
const fromEnd = millimetres(9);

/** So much card is left beyond the end of a slit. */
const leastBeyond = millimetres(2.5);

/** Two slits that the ends of a flat gift go through; undefined where the card is too small for them. */
function slits({ width, height }: PanelShape, gift: Gift): readonly Cutout[] | undefined {
  const { across, deep } = extentsOf(gift);
  const long = plus(deep, longer);
  if (plus(long, times(leastBeyond, 2)) > height) return undefined;
  const off = minus(half(across), smallest(fromEnd, times(across, 0.25)));
  const top = half(minus(height, long));
  return [-1, 1].map((side) =>
    uprightSlit({
      use: 'card slit',
      at: plus(half(width), times(off, side)),
      from: top,
      to: plus(top, long),
    }),
  );
}

/** A card on the floor of the box that holds the gift; undefined where there is no floor for it. */
export function flatInsert(bare: Undressed, brief: FlatInsertBrief): Worn | undefined {
  const { id, by, card, firstPaper, step, kit, gift, outside } = brief;
  const under = { ...outside, under: minus(largest(outside.under, card), card) };
  const sides = roomSides(bare, under);
  const plate = floorPlate(sides, { card: toMillimetres(card), step });
  // Notches and slits want straight edges, and no hole in the floor.
  if (!plate || plate.shape.cutouts.length > 0) return undefined;
  const holding = by === 'notches' ? notches(plate.shape, kit) : slits(plate.shape, gift);
  if (!holding) return undefined;
  const shape = { ...plate.shape, cutouts: [...plate.shape.cutouts, ...holding] };
  return wearPlates([{ ...plate, shape }], {
    id,
    paper: firstPaper,
    sides,
    nameOf: () => 'Insert',
  });
}
