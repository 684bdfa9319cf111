import { foldingBox, paperFor, type FoldingBox, type Papers, type Plan } from '@rangoli/core';

/** The two faces of a piece's card as colours: the one that is drawn lies inside, a print outside. */
export interface CardColours {
  readonly inside: string;
  readonly outside: string;
}

/** The bare face of a card that is printed on the other one. */
const bare = '#f1ebdd';

/** A plan ready to fold. */
export function foldingBoxOf(plan: Plan, papers: Papers): FoldingBox {
  return foldingBox(plan.pieces, ({ paper }) => paperFor(papers, paper).thickness, plan.assembly);
}

/** The colours of each part's card. */
export function coloursOf(box: FoldingBox, papers: Papers): ReadonlyMap<string, CardColours> {
  return new Map(
    box.parts.map(({ part, piece }) => {
      const { colour, print } = paperFor(papers, piece.paper);
      return [part.id, { outside: colour, inside: print === 'one face' ? bare : colour }];
    }),
  );
}
