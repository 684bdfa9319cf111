import { scale, turnInto, type FoldingBox } from '../fold/index.ts';
import { paperFor, type Papers } from '../paper/index.ts';
import { boxSideOf, type BoxSide } from './face-name.ts';
import { showsDrawnSide } from './print-seen.ts';
import { printTopOf, waysToEdges } from './print-top.ts';

/** Where the top of a print comes to in the finished box, on pieces that look to these sides. */
export interface PrintTowards {
  readonly towards: BoxSide;
  readonly on: readonly BoxSide[];
}

/** Where the top of the print of a piece comes to that is put on or into a box; none where its print has no way up. */
export function printTowards(
  box: FoldingBox,
  papers: Papers,
  piece: string,
): readonly PrintTowards[] {
  const found: { towards: BoxSide; on: BoxSide[] }[] = [];
  for (const part of box.parts) {
    if (part.piece.id !== piece) continue;
    const top = printTopOf(part.piece, paperFor(papers, part.piece.paper));
    if (top === undefined) continue;
    const here = part.faces[part.root] ?? part.closed;
    const towards = boxSideOf(turnInto(here, waysToEdges[top]));
    const side = boxSideOf(scale(here.out, showsDrawnSide(part) ? 1 : -1));
    const alike = found.find((each) => each.towards === towards);
    if (!alike) found.push({ towards, on: [side] });
    else if (!alike.on.includes(side)) alike.on.push(side);
  }
  return found;
}
