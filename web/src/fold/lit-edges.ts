import {
  linesAtMark,
  type FoldingBox,
  type LineRef,
  type PlacedFace,
  type Point,
  type Run,
  type Vector,
} from '@rangoli/core';

/** A grid line of a piece. */
export interface LitLine {
  readonly piece: string;
  readonly line: LineRef;
}

/** How far a point lies from a straight run. */
function distanceTo({ from, to }: Run, { x, y }: Point): number {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const along = ((x - from.x) * dx + (y - from.y) * dy) / (dx * dx + dy * dy);
  const share = Math.min(1, Math.max(0, along));
  return Math.hypot(x - from.x - share * dx, y - from.y - share * dy);
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
        const runs = linesAtMark(grid, line);
        const isOn = (run: Run, corner: number) => {
          const point = pattern.corners[corner];
          // The pattern's corners are seen with up as up.
          return point !== undefined && distanceTo(run, { x: point.x, y: -point.y }) < 0.01;
        };
        const own = faces.filter((face) => face.part === part.id);
        return pattern.creases
          .filter(({ from, to }) => runs.some((run) => isOn(run, from) && isOn(run, to)))
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
