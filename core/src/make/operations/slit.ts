import { zero } from '../../length/index.ts';
import {
  cutSizeOf,
  gridPositions,
  isSameLine,
  type GridLine,
  type LineRef,
  type ScoreGrid,
  type Spot,
} from '../../piece/index.ts';
import { groupAtCorners, type AtCorners } from '../at-corners.ts';
import { wantedLine } from './score-making.ts';

/** Slits along a line, from one place to another, the same at one corner or at several. */
export interface SlitOperation {
  readonly kind: 'slit';
  readonly piece: string;
  /** Where each begins and ends; from the edge where it starts at one. */
  readonly at: AtCorners;
  readonly lines: readonly LineRef[];
  /** From where to where each runs, as the piece is drawn. */
  readonly runs: readonly (readonly [Spot, Spot])[];
  /** The how manieth score that crosses its way it ends at, where it ends at one. */
  readonly upToScore?: number;
}

interface Slit {
  readonly line: LineRef;
  readonly from: Spot;
  readonly to: Spot;
  readonly upToScore?: number;
}

/** Whether card stays on neither side of a grid line, or on one of them only: there it is cut away anyway. */
function isCutAway({ roles }: ScoreGrid, { axis, index }: LineRef, along: number): boolean {
  const beside =
    axis === 'column'
      ? [roles[along]?.[index - 1], roles[along]?.[index]]
      : [roles[index - 1]?.[along], roles[index]?.[along]];
  return beside.includes('waste');
}

/** Whether a line is scored where another one crosses it, so many sections along, or just ends there. */
function scoreAt(
  grid: ScoreGrid,
  scored: readonly LineRef[],
  crossing: LineRef,
  at: number,
): 'crosses' | 'ends' | 'none' {
  if (!scored.some((each) => isSameLine(each, crossing))) return 'none';
  const { isScored, part } = wantedLine(grid, crossing);
  if (!isScored) return 'none';
  if (!part) return 'crosses';
  const place = gridPositions(crossing.axis === 'column' ? grid.rows : grid.columns)[at] ?? zero;
  if (place === part.from || place === part.to) return 'ends';
  return part.from < place && place < part.to ? 'crosses' : 'none';
}

/**
 * The slits along a grid line, each from the edge of the piece as far as it goes: what lies between the edge
 * and a slit is cut away. A slit that reaches no edge begins where it does.
 */
function slitsOf(grid: ScoreGrid, line: GridLine, scored: readonly LineRef[]): readonly Slit[] {
  const { axis, index } = line;
  const cells = axis === 'column' ? grid.rows : grid.columns;
  const along = gridPositions(cells);
  const across = gridPositions(axis === 'column' ? grid.columns : grid.rows)[index] ?? zero;
  const spot = (at: number): Spot =>
    axis === 'column' ? { x: across, y: along[at] ?? zero } : { x: along[at] ?? zero, y: across };
  const isFree = (from: number, to: number) =>
    cells.slice(from, to).every((_, i) => isCutAway(grid, line, from + i));
  const crossing = (at: number): LineRef => ({
    axis: axis === 'column' ? 'row' : 'column',
    index: at,
  });
  return line.spans
    .filter(({ make }) => make === 'slit')
    .map(({ from, to }): Slit => {
      const isFromEnd = !isFree(0, from) && isFree(to, cells.length);
      const [start, end] = isFromEnd ? [cells.length, from] : [isFree(0, from) ? 0 : from, to];
      const passed = Array.from({ length: Math.abs(end - start) }, (_, i) =>
        end > start ? start + 1 + i : start - 1 - i,
      )
        .map((at) => ({ at, score: scoreAt(grid, scored, crossing(at), index) }))
        .filter(({ score }) => score !== 'none');
      // A score that just ends beside the slit might be counted or not.
      const endsAtScore =
        passed[passed.length - 1]?.at === end && passed.every(({ score }) => score === 'crosses');
      return {
        line: { axis, index },
        from: spot(start),
        to: spot(end),
        ...(endsAtScore && { upToScore: passed.length }),
      };
    });
}

/** The slits of a piece, given the lines that are scored or ticked on it. */
export function slitOperations(
  piece: { readonly id: string; readonly grid: ScoreGrid },
  scored: readonly LineRef[],
): readonly SlitOperation[] {
  const { grid } = piece;
  const slits = grid.lines.flatMap((line) => slitsOf(grid, line, scored));
  // Slits that end at another score are told apart.
  const kinds = [...new Set(slits.map(({ upToScore }) => upToScore))];
  return kinds.flatMap((upToScore) => {
    const alike = slits.filter((each) => each.upToScore === upToScore);
    return groupAtCorners(
      alike.map(({ from, to }) => [from, to]),
      cutSizeOf(grid),
    ).map((at): SlitOperation => ({
      kind: 'slit',
      piece: piece.id,
      at,
      lines: at.places.flatMap((place) => alike[place]?.line ?? []),
      runs: at.places.flatMap((place) => {
        const slit = alike[place];
        return slit ? [[slit.from, slit.to] as const] : [];
      }),
      ...(upToScore !== undefined && { upToScore }),
    }));
  });
}
