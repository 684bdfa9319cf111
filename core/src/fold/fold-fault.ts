import type { PlacedFace } from './folded-box.ts';

/** Something about a folded box that doesn't hold, as a sentence. */
export interface FoldFault {
  readonly about:
    'closing' | 'turning' | 'stacks' | 'crossing' | 'lying' | 'opening' | 'cavity' | 'gift';
  readonly message: string;
  /** The parts that are in one another’s way, or in the gift’s, where some are. */
  readonly inTheWay?: readonly string[];
}

/** What no hand could see, in millimetres. */
export const spare = 0.02;

/** How far a flap that is only tucked in may stand off its wall, in millimetres, on the coarsest tools. */
export const standsOff = 5;

/** What is glued lies on its partner for the most part, or by as much as holds anyhow, in square millimetres. */
export const glued = { share: 0.75, area: 30 } as const;

/** What no hand could see of a fold, in radians. */
export const angleSpare = 2e-3;

/** Card is rounded at its folds and gives way at its cut edges: nearer to them nothing is judged, in millimetres. */
export const beside = 1.2;

/** A face as a fault names it. */
export function named(face: PlacedFace): string {
  return `${face.part} face ${face.face} (${face.role})`;
}
