import {
  cutSizeOf,
  formatLength,
  millimetres,
  zero,
  type Length,
  type LineRef,
  type Mishap,
  type Piece,
  type Plan,
  type Side,
  type Unit,
} from '@rangoli/core';

/** What the maker says has happened, field by field; a mishap is made of it. */
export interface MishapForm {
  readonly kind: Mishap['kind'];
  readonly piece: string;
  readonly width: Length;
  readonly height: Length;
  /** The place of the score among those of the piece. */
  readonly score: number;
  readonly at: Length;
  readonly edge: Side;
  readonly depth: Length;
}

/** A score that can have gone wrong, as it is called on the card. */
export interface ScoreChoice {
  readonly line: LineRef;
  readonly label: string;
  readonly reading: Length;
}

const edgeNames = {
  column: { start: 'left', end: 'right' },
  row: { start: 'top', end: 'bottom' },
} as const;

/** The scores of a piece, each by its reading and the edge that it is measured from. */
export function scoresOf(plan: Plan, piece: string, unit: Unit): readonly ScoreChoice[] {
  const marks = plan.marks.find((each) => each.piece === piece)?.readings ?? [];
  return marks
    .filter(({ mark }) => mark !== undefined)
    .map(({ axis, index, reading, from }) => ({
      line: { axis, index },
      reading,
      label: `${formatLength(reading, unit)} from the ${edgeNames[axis][from]}`,
    }));
}

/** How deep a tear is until the maker says. */
const usualDepth = millimetres(5);

/** The fields for a piece as it was planned. */
export function formFor(plan: Plan, piece: Piece, kind: Mishap['kind'], unit: Unit): MishapForm {
  const [first] = scoresOf(plan, piece.id, unit);
  return {
    kind,
    piece: piece.id,
    ...cutSizeOf(piece.grid),
    score: 0,
    at: first?.reading ?? zero,
    edge: 'right',
    depth: usualDepth,
  };
}

/** What the fields say; undefined while they say that all is as planned. */
export function mishapOf(plan: Plan, form: MishapForm): Mishap | undefined {
  const { kind, piece, width, height, score, at, edge, depth } = form;
  const planned = plan.pieces.find(({ id }) => id === piece);
  if (!planned) return undefined;
  switch (kind) {
    case 'cut': {
      const size = cutSizeOf(planned.grid);
      const isSame = size.width === width && size.height === height;
      return isSame ? undefined : { kind, piece, width, height };
    }
    case 'score': {
      const chosen = scoresOf(plan, piece, 'mm')[score];
      return !chosen || chosen.reading === at ? undefined : { kind, piece, line: chosen.line, at };
    }
    case 'torn':
      return { kind, piece, edge, depth };
  }
}
