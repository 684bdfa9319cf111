import {
  toMillimetres,
  type FoldingBox,
  type PlacedFace,
  type TieOperation,
  type Vector,
} from '@rangoli/core';

/** The part that a ribbon is drawn as. */
export const ribbonPart = 'ribbon';

type Axis = 'x' | 'y' | 'z';

interface Reach {
  readonly from: number;
  readonly to: number;
}

/** The block round a box, along its axes, in millimetres. */
export type Block = Readonly<Record<Axis, Reach>>;

/** So far off the card the ribbon is drawn, in millimetres, and how near to a corner of it card must be. */
const [off, near] = [0.4, 6];

function cornersOf(faces: readonly PlacedFace[]): readonly Vector[] {
  return faces.flatMap(({ ring, out, card }) =>
    [card / 2, -card / 2].flatMap((by) =>
      ring.map(({ x, y, z }) => ({ x: x + out.x * by, y: y + out.y * by, z: z + out.z * by })),
    ),
  );
}

/** The parts of a box that are lifted off with its lid. */
export function liftedParts({ parts }: FoldingBox): ReadonlySet<string> {
  return new Set(parts.flatMap(({ part: { id, opens } }) => (opens && opens.z > 0 ? [id] : [])));
}

/** The block round faces in space. */
export function blockRound(faces: readonly PlacedFace[]): Block {
  return boundsOf(cornersOf(faces));
}

function boundsOf(places: readonly Vector[]): Block {
  const reach = (axis: Axis): Reach => {
    const at = places.map((place) => place[axis]);
    return { from: Math.min(...at), to: Math.max(...at) };
  };
  return { x: reach('x'), y: reach('y'), z: reach('z') };
}

/** Whether the box has card at all four corners that a ribbon goes round: else it does not lie on its sides. */
function isSquare(places: readonly Vector[], bounds: Block, [one, other]: readonly [Axis, Axis]) {
  return [bounds[one].from, bounds[one].to].every((a) =>
    [bounds[other].from, bounds[other].to].every((b) =>
      places.some((place) => Math.hypot(place[one] - a, place[other] - b) < near),
    ),
  );
}

interface Stretch {
  readonly side: Axis;
  readonly end: 'from' | 'to';
  readonly wide: Axis;
  /** How far along the side its middle is; a half where it is not said. */
  readonly share?: number;
}

/** A stretch of ribbon on one side of a block: square to an axis there, as wide as another says. */
function stretch(
  bounds: Block,
  { side, end, wide, share = 0.5 }: Stretch,
  width: number,
): PlacedFace {
  const sign = end === 'to' ? 1 : -1;
  const level = bounds[side][end] + sign * off;
  const middle = bounds[wide].from + (bounds[wide].to - bounds[wide].from) * share;
  const long = (['x', 'y', 'z'] as const).find((axis) => axis !== side && axis !== wide) ?? 'z';
  const place = (a: number, b: number): Vector => {
    const at = { x: 0, y: 0, z: 0 };
    at[side] = level;
    at[wide] = a;
    at[long] = b;
    return at;
  };
  const [low, high] = [middle - width / 2, middle + width / 2];
  const [start, stop] = [bounds[long].from - off, bounds[long].to + off];
  const out = { x: 0, y: 0, z: 0 };
  out[side] = -sign;
  return {
    part: ribbonPart,
    face: 0,
    role: 'panel',
    ring: [place(low, start), place(high, start), place(high, stop), place(low, stop)],
    holes: [],
    out,
    card: 0.2,
  };
}

/** Both ribbons that go round a gift and its insert, where they are. */
const throughNotches = [1 / 3, 2 / 3];

/** Two ribbons over the gift, from left to right. */
export function ribbonsOverGift(
  gift: readonly PlacedFace[],
  { width }: TieOperation['ribbon'],
): readonly PlacedFace[] {
  const places = cornersOf(gift);
  if (places.length === 0) return [];
  const bounds = boundsOf(places);
  const sides = [
    { side: 'x', end: 'from' },
    { side: 'x', end: 'to' },
    { side: 'z', end: 'to' },
  ] as const;
  return throughNotches.flatMap((share) =>
    sides.map((each) => stretch(bounds, { ...each, wide: 'y', share }, toMillimetres(width))),
  );
}

/** Two ribbons laid through an open box, from left to right, their ends out over its walls. */
export function ribbonsLaidIn(
  box: readonly PlacedFace[],
  { width }: TieOperation['ribbon'],
): readonly PlacedFace[] {
  const places = cornersOf(box);
  if (places.length === 0) return [];
  const bounds = boundsOf(places);
  const { from } = bounds.z;
  const above = 2 * off + 0.4;
  const onFloor: Block = { ...bounds, z: { from: from - above, to: from + above } };
  return throughNotches.flatMap((share) => {
    const part = (on: Block, side: Axis, end: 'from' | 'to') =>
      stretch(on, { side, end, wide: 'y', share }, toMillimetres(width));
    const seen = part(onFloor, 'z', 'to');
    return [seen, ...(['from', 'to'] as const).map((end) => part(bounds, 'x', end))];
  });
}

/** A ribbon as it lies on the closed box, where that is square enough to draw it so. */
export function ribbonFaces(
  faces: readonly PlacedFace[],
  { way, width: wide }: TieOperation['ribbon'],
  lid: ReadonlySet<string>,
): readonly PlacedFace[] {
  const isOverLid = way === 'lid across' || way === 'lid deep';
  const places = cornersOf(isOverLid ? faces.filter(({ part }) => lid.has(part)) : faces);
  if (places.length === 0 || way === 'holes' || way === 'notches' || way === 'band') return [];
  const bounds = boundsOf(places);
  const width = toMillimetres(wide);
  const over = (along: 'x' | 'y'): readonly PlacedFace[] => {
    if (!isSquare(places, bounds, [along, 'z'])) return [];
    const across = along === 'x' ? 'y' : 'x';
    return [
      stretch(bounds, { side: along, end: 'from', wide: across }, width),
      stretch(bounds, { side: along, end: 'to', wide: across }, width),
      stretch(bounds, { side: 'z', end: 'to', wide: across }, width),
    ];
  };
  switch (way) {
    case 'walls':
      return isSquare(places, bounds, ['x', 'y'])
        ? (['x', 'y'] as const).flatMap((side) =>
            (['from', 'to'] as const).map((end) =>
              stretch(bounds, { side, end, wide: 'z' }, width),
            ),
          )
        : [];
    case 'crossed':
      return [...over('x'), ...over('y')];
    case 'across':
    case 'lid across':
      return over('x');
    case 'deep':
    case 'lid deep':
      return over('y');
  }
}
