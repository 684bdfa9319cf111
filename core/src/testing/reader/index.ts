export { comparePiece } from './compare.ts';
export { turnedPlace } from './card.ts';
export { edgesOf, fromLine, isInRing, type Place } from './plane.ts';
export type { CardSide, ReadJoint } from './gluing.ts';
export { readBox, type MadePiece, type ToldStep } from './reader.ts';
