import { layOut, type SheetPiece, type SheetUse } from '../make/index.ts';
import { hasWayUp, paperFor, type Papers } from '../paper/index.ts';
import type { CardUse } from './least-card.ts';
import { topsOnSheet } from './print-tops.ts';

/** How many ways of turning prints are looked at, before the box is rather drawn to see how they are turned. */
const mostWays = 16;

/** How much of their sheets pieces take that are laid on them. */
export function cardOf(sheets: readonly SheetUse[]): CardUse {
  return {
    sheets: sheets.reduce((sum, use) => sum + use.sheets, 0),
    used: sheets.reduce((sum, use) => sum + use.sheets * (1 - use.leftOver), 0),
  };
}

/**
 * How much of their sheets pieces take, where that is the same however their prints are turned; undefined where it is
 * not. How they are best turned is seen only on the closed box.
 */
export function cardHoweverTurned(
  pieces: readonly SheetPiece[],
  papers: Papers,
): CardUse | undefined {
  let known: CardUse | undefined;
  for (const turned of waysToTurn(pieces, papers) ?? []) {
    const card = cardOf(layOut(turned, papers));
    // How much is used is the same in any case.
    if (known && known.sheets !== card.sheets) return undefined;
    known = card;
  }
  return known;
}

/** The pieces in each way in which their prints may lie on their sheets; undefined where these are many. */
function waysToTurn(
  pieces: readonly SheetPiece[],
  papers: Papers,
): readonly (readonly SheetPiece[])[] | undefined {
  let ways: readonly (readonly SheetPiece[])[] = [[]];
  for (const piece of pieces) {
    const turned = turnsOf(piece, papers);
    ways = ways.flatMap((before) => turned.map((each) => [...before, each]));
    if (ways.length > mostWays) return undefined;
  }
  return ways;
}

/** A piece with its print the long way of its sheet, and across it; as it is where its print has no way up. */
function turnsOf(piece: SheetPiece, papers: Papers): readonly SheetPiece[] {
  const paper = paperFor(papers, piece.paper);
  if (!hasWayUp(paper)) return [piece];
  // On its head a piece lies as it does upright.
  const tops = topsOnSheet(piece, paper).filter((top) => top === 'top' || top === 'left');
  return tops.map((printTop) => ({ ...piece, printTop }));
}
