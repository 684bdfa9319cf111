import { closingFaults, ringFaults } from './closing-faults.ts';
import { crossingFaults } from './crossing-faults.ts';
import type { FoldFault } from './fold-fault.ts';
import { closedFaces, type FoldingBox } from './folded-box.ts';
import { lyingFaults } from './lying-faults.ts';
import { openingFaults } from './opening-faults.ts';
import { cavityFaults, giftFaults } from './room-faults.ts';
import { cavitySolid } from './solid.ts';
import { coverFaults, liftFaults, stackFaults } from './stack-faults.ts';
import { turningFaults } from './turning-faults.ts';
import type { Vector } from './vector.ts';

/**
 * Everything that must hold of a box in space: its creases stay together at every stage and end turned as
 * they are told, what lies on something lies on it and not in it, no face goes through another by more than
 * the card, holes that are to be used are open, the promised room is clear, and the gift, given by its
 * outermost points, is in it. Nothing is returned when all of it holds.
 */
export function checkFolding(box: FoldingBox, gift: readonly Vector[]): readonly FoldFault[] {
  const faces = closedFaces(box);
  return [
    ...closingFaults(box),
    ...turningFaults(box),
    ...stackFaults(box, faces),
    ...coverFaults(box, faces),
    ...lyingFaults(faces),
    ...ringFaults(box, faces),
    ...liftFaults(box),
    ...crossingFaults(box, faces),
    ...openingFaults(box, faces),
    ...cavityFaults(box, faces),
    ...giftFaults(cavitySolid(box.assembly.cavity), gift),
  ];
}
