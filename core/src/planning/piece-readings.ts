import { minus } from '../length/index.ts';
import { readLines } from '../make/index.ts';
import { cutSizeOf, gridPositions } from '../piece/index.ts';
import type { Kit } from '../tools/index.ts';
import type { Plan } from './plan.ts';
import type { MarkedPiece } from './put-to-solver.ts';

type Reading = Plan['marks'][number]['readings'][number];

/**
 * The lines of a piece one way, by their grid lines: a drawn piece may have more of these than there are marks,
 * where nothing is scored. A diagonal board is read as the solver read it, a corner board from the corner next
 * to the line; a scoring board from whichever edge spares the piece a turn.
 */
function readingsOneWay(
  { piece, across, down }: MarkedPiece,
  axis: Reading['axis'],
  kit: Kit,
): readonly Reading[] {
  const { columns, rows } = piece.grid;
  const { width, height } = cutSizeOf(piece.grid);
  const [sections, whole, { scores }] =
    axis === 'column' ? [columns, width, across] : [rows, height, down];
  if (scores.length === 0) return [];
  const positions = gridPositions(sections);
  const read = readLines(
    scores.map(({ position }) => position),
    whole,
    kit,
  );
  return scores.map((solved, i): Reading => {
    const { index: mark, position } = solved;
    const line = { axis, index: positions.indexOf(position), position, ...(mark > 0 && { mark }) };
    const { from, reading } = read[i] ?? solved;
    const means = read[i]?.means ?? 'none';
    if (piece.punchBoard === 'diagonal') {
      return { ...line, from: solved.from, reading: solved.reading, onGroove: solved.onGroove };
    }
    if (piece.punchBoard === 'corner') {
      // A corner board makes its own marks, each from the corner that it is set at.
      const fromEnd = minus(whole, position);
      return position <= fromEnd
        ? { ...line, from: 'start', reading: position, onGroove: true }
        : { ...line, from: 'end', reading: fromEnd, onGroove: true };
    }
    return {
      ...line,
      from,
      reading,
      onGroove: means !== 'none',
      ...(means === 'shim' && { shimmed: true }),
    };
  });
}

/** How every line of a piece is read, both ways. */
export function readingsOf(marked: MarkedPiece, kit: Kit): Plan['marks'][number] {
  return {
    piece: marked.piece.id,
    readings: (['column', 'row'] as const).flatMap((axis) => readingsOneWay(marked, axis, kit)),
  };
}
