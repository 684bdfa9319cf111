export { comparePiece } from './compare.ts';
export { bare, turnedBy, turnedPlace, type Card } from './card.ts';
export { laid } from './lying.ts';
export { edgesOf, fromLine, isInRing, type Place } from './plane.ts';
export type { CardSide, ReadJoint } from './gluing.ts';
export { readBox, type MadePiece, type ToldStep } from './reader.ts';
