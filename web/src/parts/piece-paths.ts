import {
  isWithin,
  outlinesOf,
  subdivide,
  type Piece,
  type Point,
  type Subdivision,
} from '@rangoli/core';

/** A line inside a piece as it is drawn: what kind it is decides its dash and weight. */
export interface DrawnLine {
  readonly kind: 'valley' | 'mountain' | 'mark' | 'slit';
  readonly from: Point;
  readonly to: Point;
}

/** A piece ready to be drawn, in millimetres. */
export interface DrawnPiece {
  readonly outline: string;
  readonly lines: readonly DrawnLine[];
  /** Faces that take glue. */
  readonly glued: readonly string[];
}

function path(points: readonly Point[]): string {
  return `${points.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x} ${y}`).join('')}Z`;
}

function linesOf(map: Subdivision): readonly DrawnLine[] {
  return map.edges.flatMap((edge): readonly DrawnLine[] => {
    const from = map.corners[edge.from];
    const to = map.corners[edge.to];
    if (!from || !to || !isWithin(map, edge)) return [];
    const kind = edge.make === 'score' ? edge.fold?.sense : 'slit';
    return kind ? [{ kind, from, to }] : [];
  });
}

/** Outline, lines and glue faces of a piece, from its grid. */
export function drawPiece(piece: Pick<Piece, 'grid'>): DrawnPiece {
  const map = subdivide(piece.grid);
  return {
    outline: outlinesOf(map).map(path).join(' '),
    lines: linesOf(map),
    glued: map.faces
      .filter(({ role }) => role === 'tab' || role === 'seam')
      .map(({ corners }) => path(corners.map((at) => map.corners[at] ?? { x: 0, y: 0 }))),
  };
}
