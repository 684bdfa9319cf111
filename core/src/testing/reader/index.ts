export { pieceFaults } from './compare.ts';
export { readPieces, type MadePiece, type ToldStep } from './reader.ts';
