import type { SizeOf, StyleFrame } from '../forms/index.ts';
import { directions, extentsOf, type Direction, type Extents } from '../gift/index.ts';
import { half, minus, nanometres, zero, type Length } from '../length/index.ts';
import { gridPositions, type CellRole, type Piece } from '../piece/index.ts';
import type { PlanRequest } from '../request/index.ts';
import { optionValue, styleSummary } from '../styles/index.ts';
import { chooseBox } from './plan-box.ts';
import { drawBox, type SolvedFrame } from './put-to-solver.ts';

/** Why a part of a piece is as long as it is, from one fold or edge to the next. */
export type SectionReason =
  /** It holds the gift: that, with air on each side (over it, in height), and the card and all that takes room inside. */
  | {
      readonly kind: 'gift';
      readonly direction: Direction;
      readonly gift: Length;
      readonly room: Length;
      readonly card: Length;
    }
  /** It goes round the gift as one of many sides, or slanting: that, with air on each side (over it, in height). */
  | {
      readonly kind: 'round the gift';
      readonly direction: Direction;
      readonly gift: Length;
      readonly room: Length;
    }
  /** It goes over a part of another piece, or into one, with card and a gap in between. */
  | {
      readonly kind: 'over' | 'into';
      /** The other piece by its name; undefined where it is another part of the same. */
      readonly other?: string;
      readonly section: Length;
      readonly card: Length;
      readonly gap: Length;
    }
  /** It was chosen by an option of its kind of box: by a word, or as near to a figure as the marks allow. */
  | { readonly kind: 'option'; readonly label: string; readonly word?: string };

/** A part of a piece from one fold or edge to the next. */
export interface SizePart {
  readonly length: Length;
  readonly role: CellRole;
  readonly reason?: SectionReason;
}

/** What the cut size of a piece is the sum of, from its left edge to the right and from its top edge to the foot. */
export interface SizeSum {
  readonly piece: string;
  readonly across: readonly SizePart[];
  readonly down: readonly SizePart[];
}

/** What a stretch of a piece is called after: the first of these that there is in it. */
const namedAfter: readonly CellRole[] = [
  'floor',
  'seat',
  'lid',
  'arch',
  'wall',
  'panel',
  'plate',
  'film',
  'flap',
  'rim',
  'gusset',
  'tab',
  'seam',
  'end',
  'leg',
];

function roleBetween(
  { grid: { columns, rows, roles } }: Piece,
  way: 'across' | 'down',
  [from, to]: readonly [Length, Length],
): CellRole {
  const places = gridPositions(way === 'across' ? columns : rows);
  const isIn = (nth: number) => {
    const [start = zero, end = zero] = [places[nth], places[nth + 1]];
    return (start + end) / 2 > from && (start + end) / 2 < to;
  };
  const found = new Set(
    roles.flatMap((row, down) => row.filter((_, across) => isIn(way === 'across' ? across : down))),
  );
  return namedAfter.find((role) => found.has(role)) ?? 'waste';
}

/** So little is taken off a section to see whether the room inside goes with it. */
const aTouch = nanometres(1000);

/** How a section bears on the inside: in a direction, by as much as it is itself or otherwise. */
interface Bearing {
  readonly direction: Direction;
  readonly isEven: boolean;
}

/**
 * How sections bear on the inside, seen by taking a touch off each. Of a square box it is the direction in which the gift
 * has the least air.
 */
function bearingsOf(
  { sections, settle }: StyleFrame,
  size: SizeOf,
  air: Extents,
): ReadonlyMap<string, Bearing> {
  const whole = settle(size).clearInside;
  const found = new Map<string, Bearing>();
  for (const { id } of sections) {
    const { clearInside } = settle((each) =>
      each === id ? minus(size(each), aTouch) : size(each),
    );
    const moved = directions.filter((each) => clearInside[each] !== whole[each]);
    const [direction] = moved.toSorted((one, other) => air[one] - air[other]);
    if (direction === undefined) continue;
    const isEven = moved.every((each) => minus(whole[each], clearInside[each]) === aTouch);
    found.set(id, { direction, isEven });
  }
  return found;
}

/** Why each section of a box is as long as it is, where that can be told. */
function reasonsOf(
  { frame, solution }: SolvedFrame,
  { gift, style }: Pick<PlanRequest, 'gift' | 'style'>,
  clearInside: Extents,
): ReadonlyMap<string, SectionReason> {
  const size: SizeOf = (id) => solution.sections.get(id) ?? zero;
  const nameOf = (piece: string) => frame.pieces.find(({ id }) => id === piece)?.name ?? piece;
  const reasons = new Map<string, SectionReason>();
  for (const { option, sets } of frame.depths ?? []) {
    const value = optionValue(style, option);
    const label = styleSummary(style.style).options.find(({ key }) => key === option)?.label;
    if (!sets || label === undefined) continue;
    const word = typeof value === 'string' ? { word: value } : {};
    reasons.set(sets.section, { kind: 'option', label, ...word });
  }
  for (const fit of frame.fits) {
    const { outer, inner, outerSection, innerSection, layers: card, innerTimes, opens } = fit;
    // How level a lid lies decides no size that anybody asks about.
    if ((innerTimes ?? 1) !== 1 || (opens ?? 1) !== 1 || fit.kind === 'level') continue;
    const gap = minus(size(outerSection), size(innerSection), card);
    const both = [
      { own: innerSection, kind: 'into', other: outer, section: size(outerSection) },
      { own: outerSection, kind: 'over', other: inner, section: size(innerSection) },
    ] as const;
    for (const { own, kind, other, section } of both)
      reasons.set(own, {
        kind,
        ...(outer !== inner && { other: nameOf(other) }),
        section,
        card,
        gap,
      });
  }
  const extents = extentsOf(gift);
  const air: Extents = {
    across: minus(clearInside.across, extents.across),
    deep: minus(clearInside.deep, extents.deep),
    high: minus(clearInside.high, extents.high),
  };
  for (const [id, { direction, isEven }] of bearingsOf(frame, size, air)) {
    const room = direction === 'high' ? air.high : half(air[direction]);
    const told = { direction, gift: extents[direction], room };
    if (isEven)
      reasons.set(id, { kind: 'gift', ...told, card: minus(size(id), clearInside[direction]) });
    else if (!reasons.has(id)) reasons.set(id, { kind: 'round the gift', ...told });
  }
  return reasons;
}

/**
 * What the cut size of each piece is the sum of, and why its parts are as long as they are. What is cut to a piece that
 * is drawn already, as a panel to its face, has no sum. Undefined where the box can't be planned.
 */
export function sizeSums(asked: PlanRequest): readonly SizeSum[] | undefined {
  const chosen = chooseBox(asked);
  if (!chosen.ok) return undefined;
  const { request, leans } = chosen.standing;
  const answer = drawBox(leans.box, request.kit);
  if (!answer.ok) return undefined;
  const { frame, solution } = leans.box;
  const { clearInside, pieces } = answer.box;
  const reasons = reasonsOf(leans.box, request, clearInside);
  return frame.pieces.flatMap((template): readonly SizeSum[] => {
    const piece = pieces.find(({ piece: { id } }) => id === template.id)?.piece;
    if (!piece) return [];
    const partsOf = (way: 'across' | 'down'): readonly SizePart[] => {
      const lengths = template[way].map((id) => solution.sections.get(id) ?? zero);
      const places = gridPositions(lengths);
      return template[way].map((id, nth) => {
        const reason = reasons.get(id);
        return {
          length: lengths[nth] ?? zero,
          role: roleBetween(piece, way, [places[nth] ?? zero, places[nth + 1] ?? zero]),
          ...(reason && { reason }),
        };
      });
    };
    return [{ piece: piece.id, across: partsOf('across'), down: partsOf('down') }];
  });
}
