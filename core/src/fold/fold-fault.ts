import type { PlacedFace } from './folded-box.ts';

/** Something about a folded box that doesn't hold, as a sentence. */
export interface FoldFault {
  readonly about: 'closing' | 'stacks' | 'crossing' | 'cavity' | 'gift';
  readonly message: string;
}

/** What no hand could see, in millimetres. */
export const spare = 0.02;

/** A face as a fault names it. */
export function named(face: PlacedFace): string {
  return `${face.part} face ${face.face} (${face.role})`;
}
