import type { MarkTools } from '../marks/index.ts';
import type { PieceTemplate, StyleFrame } from '../forms/index.ts';
import type { Length } from '../length/index.ts';
import type { PunchBoard } from '../piece/index.ts';
import { cuttingMeans, scoringMeans, type Kit } from '../tools/index.ts';

/** The side of the largest sheet that lies on a punch board. */
export function largestOn(board: PunchBoard | undefined, kit: Kit): Length | undefined {
  if (board === 'diagonal') return kit.diagonalBoard?.largestSheet;
  return board === 'corner' ? kit.cornerBoard?.largestSheet : undefined;
}

/** Whether a piece is scored on a punch board that the kit has. */
function isOnDiagonalBoard({ punchBoard }: PieceTemplate): boolean {
  return punchBoard === 'diagonal';
}

/**
 * What the marks of a frame are measured with: the scoring board, the tip or a ruler; or a diagonal punch
 * board, which is read from the first edge only. A kit that lacks them is refused before; until then the
 * tools that it names do.
 */
export function markTools({ pieces }: Pick<StyleFrame, 'pieces'>, kit: Kit): MarkTools {
  const { step } = cuttingMeans(kit) ?? kit.trimmer;
  const { diagonalBoard, board } = kit;
  if (diagonalBoard && pieces.every(isOnDiagonalBoard))
    return { step, pitch: diagonalBoard.step, reach: diagonalBoard.most, edges: 'first' };
  const means = scoringMeans(kit);
  if (!means) return { step, pitch: board.pitch, reach: board.reach, edges: 'both' };
  return {
    step,
    pitch: means.step,
    reach: means.reach,
    edges: 'both',
    ...(means.tool === 'board' && board.shim !== undefined && { shim: board.shim }),
  };
}
