import {
  add,
  carriedAlong,
  cross,
  dot,
  scale,
  vector,
  type FoldingBox,
  type FoldingPart,
  type Part,
} from '../fold/index.ts';
import type { Worn } from '../forms/index.ts';
import { extentsOf, type SeveralGift } from '../gift/index.ts';
import {
  millimetres,
  minus,
  nanometres,
  plus,
  roundDown,
  roundUp,
  smallest,
  times,
  toMillimetres,
  type Length,
} from '../length/index.ts';
import type { GridLine, ScoreGrid } from '../piece/index.ts';
import { scoringMeans, type Kit } from '../tools/index.ts';
import type { RoomSide } from './inside-faces.ts';
import type { Bounds } from './outline.ts';
import { leastPanel } from './panel-shape.ts';
import { openingsBehind, type UprightCard } from './wall-openings.ts';

/** Strips that stand between things in one row: their tabs, folded along the walls, keep them upright. */
export interface RowBrief {
  readonly id: string;
  readonly gift: SeveralGift;
  /** The room of the things, and how high the strips are. */
  readonly room: Bounds;
  readonly high: Length;
  /** How far the things are apart. */
  readonly between: Length;
  readonly card: Length;
  readonly firstPaper: number;
  readonly step: Length;
  readonly kit: Kit;
  readonly under: FoldingPart;
  readonly box: FoldingBox;
  /** The walls round the room. */
  readonly walls: readonly RoomSide[];
}

/** So much shorter a strip is than the room between the walls, at both ends together. */
const shorter = millimetres(0.6);

/** So much more than its card is left at each wall for a tab, since strips are cut on the marks. */
export const rowEase = millimetres(1.2);

/** How long a tab is, where a place is wide enough for it. */
const tabLength = millimetres(12);

/** So little of a place a tab takes. */
const tabShare = 0.4;

function gridOf(tab: Length, long: Length, high: Length): ScoreGrid {
  const score = (index: number): GridLine => ({
    axis: 'column',
    index,
    spans: [{ make: 'score', from: 0, to: 1, fold: { sense: 'valley', angle: 90, stage: 0 } }],
  });
  return {
    columns: [tab, long, tab],
    rows: [high],
    roles: [['flap', 'panel', 'flap']],
    lines: [score(1), score(2)],
    diagonals: [],
    tapers: [],
    cutouts: [],
    patches: [],
  };
}

/** So far a tab keeps below an opening of the wall that it lies along, in millimetres. */
const belowOpening = 1;

/** How high strips may be whose tabs lie along the walls at both ends, within so far of these places: below what is open there. */
function highestBeside(
  walls: readonly RoomSide[],
  card: UprightCard,
  { places, tab }: { readonly places: readonly number[]; readonly tab: number },
): number {
  const heights = openingsBehind(walls, card).flatMap(({ left, right, bottom, top }) => {
    const isBeside = places.some(
      (place) => place + tab > left - belowOpening && place - tab < right + belowOpening,
    );
    // Where things stand on a platform the walls may be open below that.
    return isBeside && top > -belowOpening ? [bottom - belowOpening] : [];
  });
  return Math.min(Infinity, ...heights);
}

/** The strips of one row; undefined where they would be too small to be held. */
export function rowDividers(brief: RowBrief): Worn | undefined {
  const { id, gift, room, between, card, firstPaper, step, kit, under, box, walls } = brief;
  const isAcross = gift.across > 1;
  const { across, deep } = extentsOf(gift.item);
  const [count, size] = isAcross ? [gift.across, across] : [gift.deep, deep];
  const far = isAcross ? room.top - room.bottom : room.right - room.left;
  // The tabs lie outside the room of the things, within what is left there for them.
  const needed = plus(nanometres(Math.ceil(far * 1e6)), card);
  const long = roundUp(needed, step);
  if (minus(long, needed) > minus(times(rowEase, 2), shorter)) return undefined;
  const pitch = scoringMeans(kit)?.step ?? step;
  const wanted = smallest(tabLength, times(size, tabShare));
  const tab = wanted < pitch ? roundDown(wanted, step) : roundDown(wanted, pitch);
  if (long < leastPanel || tab < millimetres(3)) return undefined;
  const [right, back, up] = [vector(1, 0, 0), vector(0, 1, 0), vector(0, 0, 1)];
  const [along, aside] = isAcross ? [back, right] : [right, back];
  const centre = dot(vector((room.left + room.right) / 2, (room.bottom + room.top) / 2, 0), aside);
  const offsets = Array.from({ length: count - 1 }, (_, i) =>
    toMillimetres(times(plus(size, between), i + 1 - count / 2)),
  );
  const open = highestBeside(
    walls,
    { out: along, aside },
    { places: offsets.map((each) => centre + each), tab: toMillimetres(tab) },
  );
  const free = nanometres(Math.max(0, Math.floor(Math.min(open, toMillimetres(brief.high)) * 1e6)));
  const high = free < brief.high ? roundDown(free, step) : brief.high;
  if (high < leastPanel) return undefined;
  const middle = vector(
    (room.left + room.right) / 2,
    (room.bottom + room.top) / 2,
    toMillimetres(high) / 2,
  );
  const copies = box.parts.filter(({ piece }) => piece === under.piece);
  const parts = offsets
    .map((at, i) => {
      const here = {
        right: along,
        up,
        out: cross(along, up),
        at: add(middle, scale(aside, at)),
      };
      return copies.map((copy): Part => {
        const place = carriedAlong(here, { from: under.closed, to: copy.closed });
        return {
          id: `${id} row ${i + 1} in ${copy.part.id}`,
          piece: `${id} row`,
          root: { column: 1.5, row: 0.5 },
          right: place.right,
          up: place.up,
          at: place.at,
          joins: Math.max(0, box.assembly.giftEnters - 1),
          lies: { in: under.piece.id, against: 'things' },
          ...(copy.part.opens && { opens: copy.part.opens }),
        };
      });
    })
    .flat();
  return {
    pieces: [
      {
        id: `${id} row`,
        name: 'Divider',
        paper: firstPaper,
        copies: parts.length,
        grid: gridOf(tab, long, high),
      },
    ],
    parts,
    stacks: [],
  };
}
