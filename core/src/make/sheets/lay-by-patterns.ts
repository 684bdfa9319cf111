import { plus, zero, type Length } from '../../length/index.ts';
import { hasWayUp, type Paper } from '../../paper/index.ts';
import { coverWith } from './cover.ts';
import type { Placement, SheetPiece } from './lay.ts';
import { patternsOn, type PatternNode } from './patterns.ts';

/** Pieces on as few sheets as there can be. */
export interface PatternLayout {
  readonly sheets: number;
  readonly placements: readonly Placement[];
}

interface Spot {
  readonly of: number;
  readonly turned: boolean;
  readonly x: Length;
  readonly y: Length;
}

/** Where the pieces of a pattern lie on its sheet. */
function spotsOf(node: PatternNode, x: Length, y: Length): readonly Spot[] {
  if (node.kind === 'piece') return [{ of: node.of, turned: node.turned, x, y }];
  const { lie, at, first, second } = node;
  const [on, down] = lie === 'beside' ? [plus(x, at), y] : [x, plus(y, at)];
  return [...spotsOf(first, x, y), ...spotsOf(second, on, down)];
}

/**
 * Pieces of a few kinds on the fewest sheets that cuts from edge to edge allow, found from all that one
 * sheet can give; undefined where that is too much to search.
 */
export function layByPatterns(
  paper: Paper,
  pieces: readonly SheetPiece[],
): PatternLayout | undefined {
  const kinds = pieces.map(({ width, height, copies }) => ({ width, height, wanted: copies }));
  const patterns = patternsOn(paper.sheet, kinds, { mayTurn: !hasWayUp(paper) });
  const shares =
    patterns &&
    coverWith(
      patterns,
      kinds.map(({ wanted }) => wanted),
    );
  if (!shares) return undefined;
  const left = kinds.map(({ wanted }) => wanted);
  const placements: Placement[] = [];
  let sheet = 0;
  for (const { pattern, sheets } of shares) {
    const spots = spotsOf(pattern.node, zero, zero);
    for (let nth = 0; nth < sheets; nth++, sheet++)
      for (const { of, turned, x, y } of spots) {
        const piece = pieces[of];
        const more = left[of] ?? 0;
        // The last sheet gives more than is wanted.
        if (!piece || more === 0) continue;
        left[of] = more - 1;
        placements.push({ piece: piece.id, sheet, x, y, turned });
      }
  }
  return { sheets: sheet, placements };
}
