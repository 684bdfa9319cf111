import {
  directedRoom,
  extentsOf,
  isLying,
  mostInRow,
  roundRoom,
  stretchedGift,
  type DirectedRoom,
  type Gift,
  type GiftItem,
  type Rows,
} from '../gift/index.ts';
import {
  formatWithUnit,
  inchFraction,
  millimetres,
  roundDown,
  roundUp,
  times,
} from '../length/index.ts';
import type { PlanRequest, Problem } from '../request/index.ts';
import type { WayOut } from './way-out.ts';

/** The thing, free to stand any way up; undefined where it is so already, or has but one. */
function freed(item: GiftItem): GiftItem | undefined {
  if (item.shape === 'cylinder' || item.shape === 'bottle')
    return item.lies === 'free' ? undefined : { ...item, lies: 'free' };
  if (item.shape === 'block' || item.shape === 'lumpy')
    return item.up === 'free' ? undefined : { ...item, up: 'free' };
  return undefined;
}

function freedGift(gift: Gift): Gift | undefined {
  if (gift.shape === 'several') {
    const item = freed(gift.item);
    return item && { ...gift, item };
  }
  if (gift.shape !== 'set') return freed(gift);
  const items = gift.items.map((item) => freed(item) ?? item);
  return gift.items.some(freed) ? { ...gift, items } : undefined;
}

/** A way out by standing the gift another way up. */
export function waysByTurning({ gift, finished }: PlanRequest): readonly WayOut[] {
  const turned = finished ? undefined : freedGift(gift);
  if (!turned) return [];
  const said =
    gift.shape === 'cylinder' || gift.shape === 'bottle'
      ? isLying(gift)
        ? 'Stand it up'
        : 'Lay it down'
      : 'Turn it on another side';
  return [{ kind: 'turn', said, part: { gift: turned } }];
}

/** Every way in which so many stand in rows, the nearest to what was asked first. */
function rowsOf(count: number, asked: Rows): readonly Rows[] {
  const { across, deep, high } = asked;
  const counts = Array.from({ length: mostInRow }, (_, i) => i + 1);
  const far = (rows: Rows) =>
    Math.abs(rows.high - high) * mostInRow +
    Math.abs(rows.across - across) +
    Math.abs(rows.deep - deep);
  return counts
    .flatMap((a) => counts.map((d): Rows => ({ across: a, deep: d, high: count / (a * d) })))
    .filter((rows) => Number.isInteger(rows.high) && rows.high <= mostInRow && far(rows) > 0)
    .sort((one, other) => far(one) - far(other));
}

/** Ways out by standing as many things in other rows. */
export function waysByRows({ gift, finished }: PlanRequest): readonly WayOut[] {
  if (gift.shape !== 'several' || finished) return [];
  return rowsOf(gift.across * gift.deep * gift.high, gift).map((rows) => ({
    kind: 'gift',
    said: `Stand them ${rowsInWords(rows)}`,
    part: { gift: { ...gift, ...rows } },
  }));
}

function rowsInWords({ across, deep, high }: Rows): string {
  return `${across} across, ${deep} deep, ${high} high`;
}

/** In so many boxes things may go that are too many for one. */
const shares = [2, 3, 4] as const;

/** Ways out by more boxes with fewer things in each. */
export function waysBySharing({ gift, finished }: PlanRequest): readonly WayOut[] {
  if (gift.shape !== 'several' || finished) return [];
  return shares.flatMap((boxes): readonly WayOut[] => {
    const each = (gift.across * gift.deep * gift.high) / boxes;
    if (!Number.isInteger(each) || each < 2) return [];
    return rowsOf(each, gift).map((rows) => ({
      kind: 'gift',
      said: `${each} in each of ${boxes} boxes: ${rowsInWords(rows)}`,
      part: { gift: { ...gift, ...rows } },
      boxes,
    }));
  });
}

const lessRoom = [
  { share: 0.5, said: 'Half the room around it' },
  { share: 0.25, said: 'A quarter of the room around it' },
  { share: 0, said: 'No room around it' },
] as const;

/** Ways out by less room around the gift, as much as is possible first. */
export function waysByRoom({ room, unit }: PlanRequest): readonly WayOut[] {
  const { across, deep, high } = room;
  if (across.target === 0 && deep.target === 0 && high.target === 0) return [];
  return lessRoom.map(({ share, said }): WayOut => {
    const less = ({ target }: DirectedRoom) => directedRoom(roundRoom(times(target, share), unit));
    const part = { room: { across: less(across), deep: less(deep), high: less(high) } };
    return { kind: 'room', said, part };
  });
}

const measures = [
  { side: 'across', said: 'wide' },
  { side: 'deep', said: 'deep' },
  { side: 'high', said: 'high' },
] as const;

/** A way out by another measure of the gift, where a problem says how far it would have to change. */
export function waysByMeasure(
  { gift, finished, unit }: PlanRequest,
  { field, nearest }: Problem,
): readonly WayOut[] {
  const measure = measures.find(({ side }) => field === `gift.${side}`);
  if (!measure || nearest === undefined || finished) return [];
  const now = extentsOf(gift)[measure.side];
  // As it would be measured and typed.
  const step = unit === 'inch' ? inchFraction(1, 16) : millimetres(1);
  const to = nearest < now ? roundDown(nearest, step) : roundUp(nearest, step);
  const by = to / now;
  const changed = measure.side === 'high' ? stretchedGift(gift, 1, by) : stretchedGift(gift, by, 1);
  const said = `A gift ${formatWithUnit(to, unit)} ${measure.said}`;
  return to > 0 ? [{ kind: 'gift', said, part: { gift: changed } }] : [];
}
