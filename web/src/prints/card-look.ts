import {
  faceLook,
  paperFor,
  printTopOf,
  showsDrawnSide,
  type FoldingBox,
  type Paper,
  type Papers,
  type Piece,
  type Plan,
  type Point,
  type Print,
  type Side,
} from '@rangoli/core';

export type CardSideName = 'inside' | 'outside';

/** A print as it lies on a flat piece whose drawn side is up: where its right and its foot point, y down. */
export interface LaidPrint {
  readonly print: Print;
  readonly right: Point;
  readonly down: Point;
}

/** One side of a piece's card as it looks. */
export interface CardSide {
  readonly colour: string;
  readonly isPrinted: boolean;
  readonly laid?: LaidPrint;
}

/** Both sides of a piece's card: the inside is the one that is drawn. */
export type CardLook = Readonly<Record<CardSideName, CardSide>>;

/** Card of one colour on both sides. */
export function plainLook(colour: string): CardLook {
  const side = { colour, isPrinted: false };
  return { inside: side, outside: side };
}

/** The way to an edge of a flat piece from its middle. */
const ways: Readonly<Record<Side, Point>> = {
  top: { x: 0, y: -1 },
  right: { x: 1, y: 0 },
  bottom: { x: 0, y: 1 },
  left: { x: -1, y: 0 },
};

/** How a print lies on a side of a piece whose drawn side is up: the other side is seen through the card. */
function laidOn(side: CardSideName, print: Print, top: Side): LaidPrint {
  const up = ways[top];
  const mirrored = side === 'outside' ? -1 : 1;
  return {
    print,
    right: { x: -up.y * mirrored, y: up.x * mirrored },
    down: { x: -up.x, y: -up.y },
  };
}

/** How the two sides of a piece look: the front of its paper lies outside, but for what is made to be looked at from inside. */
export function cardLook(
  piece: Pick<Piece, 'printTop'>,
  paper: Paper,
  front: CardSideName,
): CardLook {
  const top = printTopOf(piece, paper) ?? 'top';
  const sideOf = (side: CardSideName): CardSide => {
    const { colour, isPrinted, print } = faceLook(paper, side === front ? 'front' : 'back');
    return { colour, isPrinted, ...(print && { laid: laidOn(side, print, top) }) };
  };
  return { inside: sideOf('inside'), outside: sideOf('outside') };
}

/** On which side of a piece the front of its paper lies. */
export function frontOf({ assembly }: Pick<Plan, 'assembly'>, piece: string): CardSideName {
  const part = assembly.parts.find((each) => each.piece === piece);
  return part && showsDrawnSide({ part }) ? 'inside' : 'outside';
}

/** How the card of every part of a box looks. */
export function looksOf(box: FoldingBox, papers: Papers): ReadonlyMap<string, CardLook> {
  return new Map(
    box.parts.map((part) => {
      const front = showsDrawnSide(part) ? 'inside' : 'outside';
      return [part.part.id, cardLook(part.piece, paperFor(papers, part.piece.paper), front)];
    }),
  );
}
