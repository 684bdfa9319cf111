import { formatSize, type Unit } from '../length/index.ts';
import type { PrintOnPiece, PrintTurn } from '../planning/index.ts';
import { facesInWords } from './faces.ts';
import { inRow } from './plain.ts';

/** How a print comes out on a piece: `Its print stands upright on the front wall, and on its head on the back wall.` */
export function printOnPieceInWords({ faces, needs }: PrintOnPiece, unit: Unit): string {
  const [first, ...others] = faces;
  if (!first) return '';
  const isOne = others.length === 0;
  const where = isOne
    ? first.stands
    : inRow(faces.map(({ stands, faces: on }) => `${stands} on ${facesInWords(on)}`));
  const larger =
    needs === undefined
      ? ''
      : ` The sheet is too small to turn it as is best: that takes ${formatSize(needs.width, needs.height, unit)}.`;
  return `Its print stands ${where}.${larger}`;
}

/** What turning a print does, as on a button: `Upright on the back wall`. */
export function printTurnInWords({ upright }: PrintTurn): string {
  return `Upright on ${facesInWords(upright)}`;
}
