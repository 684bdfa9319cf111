import {
  half,
  millimetres,
  minus,
  plus,
  smallest,
  times,
  zero,
  type Length,
} from '../length/index.ts';
import type { Cutout, CutoutUse } from '../piece/index.ts';
import { punchedBorder } from './border.ts';

/** How two fins that stand up side by side are held together. */
export const ridgeClosings = ['ribbon holes', 'brad hole', 'edge and slot', 'plain'] as const;
export type RidgeClosing = (typeof ridgeClosings)[number];

/** A tongue whose edge a punch has bordered, and its slot. */
export interface BorderedEdge {
  /** How often the border repeats. */
  readonly border: Length;
}

/** No tongue is wider than this share of its fin. */
const widestTongue = 0.7;

/** How high a fin must be, and how wide, for a tongue with this border. */
export function finForBorder(border: Length): { readonly fin: Length; readonly across: Length } {
  return { fin: times(border, 1.2), across: times(border, 1.1 / widestTongue) };
}

/** Two fins of one piece: one at its upper edge, the other at its lower one. */
export interface Fins {
  /** Where they begin from the left, how wide and how deep they are. */
  readonly left: Length;
  readonly across: Length;
  readonly fin: Length;
  /** Where the lower one is hinged. */
  readonly lower: Length;
}

/** What is punched out of the fins to close them: holes for a ribbon or a brad, or a tongue and its slot. */
export function ridgeCutouts(
  fins: Fins,
  closing: RidgeClosing | BorderedEdge,
  card: Length,
): readonly Cutout[] {
  if (typeof closing === 'object') return borderedTongue(fins, closing, card);
  switch (closing) {
    case 'plain':
      return [];
    case 'edge and slot':
      return roundedTongue(fins, card);
    case 'ribbon holes':
      return ridgeHoles(fins, 'ribbon', [1 / 3, 2 / 3]);
    case 'brad hole':
      return ridgeHoles(fins, 'brad', [1 / 2]);
  }
}

/** Holes through both fins, at these shares of their width. */
function ridgeHoles(
  { left, across, fin, lower }: Fins,
  use: CutoutUse,
  shares: readonly number[],
): readonly Cutout[] {
  const bottom = plus(lower, half(fin));
  return shares.flatMap((share) =>
    [half(fin), bottom].map((y): Cutout => ({
      shape: 'hole',
      use,
      centre: { x: plus(left, times(across, share)), y },
      radius: smallest(millimetres(2), times(fin, 1 / 5), times(across, 1 / 10)),
    })),
  );
}

/** How far down from its edge a tongue is free, as a share of its fin. */
const free = 0.6;

/** A tongue with rounded ends, and its slot. */
function roundedTongue(fins: Fins, card: Length): readonly Cutout[] {
  const tongue = times(fins.across, 0.4);
  const { cutouts, tip } = tongueAndSlot(fins, { tongue, card });
  const round = smallest(times(fins.fin, free / 2), times(tongue, 0.3));
  const corner = (x: Length, along: Length): Cutout => ({
    shape: 'corner',
    use: 'tongue',
    at: { x, y: zero },
    along,
    down: round,
  });
  return [...cutouts, corner(tip.from, round), corner(tip.to, times(round, -1))];
}

/** A tongue as wide as its border comes to, and its slot. */
function borderedTongue(fins: Fins, { border }: BorderedEdge, card: Length): readonly Cutout[] {
  const count = Math.max(1, Math.floor((fins.across * widestTongue) / border));
  const tongue = plus(times(border, count), millimetres(1));
  const { cutouts, tip } = tongueAndSlot(fins, { tongue, card });
  return [...cutouts, ...punchedBorder({ ...tip, y: zero, edge: 'top', repeat: border })];
}

/**
 * One fin is cut to a tongue; the other has a slot just above its fold that the tongue is bent over and pushed
 * through. With where the tongue's free edge begins and ends.
 */
function tongueAndSlot(
  { left, across, fin, lower }: Fins,
  { tongue, card }: { readonly tongue: Length; readonly card: Length },
) {
  const right = plus(left, across);
  const aside = half(minus(across, tongue));
  const root = times(fin, free);
  const box = (use: CutoutUse, from: Length, to: Length, top: Length, bottom: Length): Cutout => ({
    shape: 'trim',
    use,
    corners: [
      { x: from, y: top },
      { x: to, y: top },
      { x: to, y: bottom },
      { x: from, y: bottom },
    ],
  });
  const tip = { from: plus(left, aside), to: minus(right, aside) };
  const ease = smallest(millimetres(0.5), half(aside));
  const slot = plus(lower, times(fin, 0.35));
  const cutouts: readonly Cutout[] = [
    box('tongue', left, tip.from, zero, root),
    box('tongue', tip.to, right, zero, root),
    box(
      'slot',
      minus(tip.from, ease),
      plus(tip.to, ease),
      slot,
      plus(slot, card, millimetres(0.6)),
    ),
  ];
  return { cutouts, tip };
}
