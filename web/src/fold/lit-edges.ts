import {
  gridPositions,
  toMillimetres,
  type FoldingBox,
  type PlacedFace,
  type Vector,
} from '@rangoli/core';

/** A grid line of a piece by name, as the strip and the piece name it. */
export interface LitLine {
  readonly piece: string;
  readonly line: string;
}

/** Both ends of every crease that lies on the lit lines, where it is now. */
export function litEdges(
  box: FoldingBox,
  faces: readonly PlacedFace[],
  lines: readonly LitLine[],
): readonly Vector[] {
  return lines.flatMap(({ piece, line }) =>
    box.parts
      .filter((part) => part.piece.id === piece)
      .flatMap(({ part, pattern, piece: { grid } }) => {
        const [axis, index] = line.split(' ');
        const sections = axis === 'column' ? grid.columns : grid.rows;
        const at = gridPositions(sections).map(toMillimetres)[Number(index)] ?? Infinity;
        const isOn = (corner: number) => {
          const point = pattern.corners[corner];
          return (
            point !== undefined && Math.abs((axis === 'column' ? point.x : -point.y) - at) < 0.01
          );
        };
        const own = faces.filter((face) => face.part === part.id);
        return pattern.creases
          .filter(({ from, to }) => isOn(from) && isOn(to))
          .flatMap(({ from, to, left }) => {
            const corners = pattern.faces[left]?.corners ?? [];
            const ring = own.find((face) => face.face === left)?.ring ?? [];
            const ends = [from, to].map((corner) => ring[corners.indexOf(corner)]);
            const [one, other] = ends;
            return one && other ? [one, other] : [];
          });
      }),
  );
}
