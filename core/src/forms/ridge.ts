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

/** How two fins that stand up side by side are held together. */
export const ridgeClosings = ['ribbon holes', 'brad hole', 'edge and slot', 'plain'] as const;
export type RidgeClosing = (typeof ridgeClosings)[number];

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
export function ridgeCutouts(fins: Fins, closing: RidgeClosing, card: Length): readonly Cutout[] {
  switch (closing) {
    case 'plain':
      return [];
    case 'edge and slot':
      return tongueAndSlot(fins, card);
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

/**
 * One fin is cut to a tongue with rounded ends; the other has a slot just above its fold that the tongue is
 * bent over and pushed through.
 */
function tongueAndSlot({ left, across, fin, lower }: Fins, card: Length): readonly Cutout[] {
  const right = plus(left, across);
  const tongue = times(across, 0.4);
  const aside = half(minus(across, tongue));
  const root = times(fin, 0.6);
  const round = smallest(times(root, 0.5), times(tongue, 0.3));
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
  const corner = (x: Length, along: Length): Cutout => ({
    shape: 'corner',
    use: 'tongue',
    at: { x, y: zero },
    along,
    down: round,
  });
  const tip = { from: plus(left, aside), to: minus(right, aside) };
  const ease = smallest(millimetres(0.5), half(aside));
  const slot = plus(lower, times(fin, 0.35));
  return [
    box('tongue', left, tip.from, zero, root),
    box('tongue', tip.to, right, zero, root),
    corner(tip.from, round),
    corner(tip.to, times(round, -1)),
    box(
      'slot',
      minus(tip.from, ease),
      plus(tip.to, ease),
      slot,
      plus(slot, card, millimetres(0.6)),
    ),
  ];
}
