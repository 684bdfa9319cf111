import { isOnGrid, minus, zero, type Length } from '../../length/index.ts';
import { meansOf } from '../../marks/index.ts';
import { gridPositions, type LineRef, type ScoreGrid, type Side } from '../../piece/index.ts';
import { hasTip, scoringMeans, type Kit } from '../../tools/index.ts';
import { isUpright, lyingWith, opposite, type Size } from '../lying.ts';
import { groovesOf } from './choose-ends.ts';
import type { ScoreMark, ScoreTool } from './score-operation.ts';

/** A line that is to be made, at its place from the first edge. */
export interface WantedLine {
  readonly line: LineRef;
  readonly at: Length;
  readonly isScored: boolean;
  readonly part?: ScoreMark['part'];
}

/** Which tool a line is made with, and what it is measured from. */
export interface MadeLine {
  readonly tool: ScoreTool;
  readonly edge: Side;
  readonly over: boolean;
  readonly isScored: boolean;
  readonly mark: ScoreMark;
}

/** What is made along a grid line: nothing, a score over all that stays of it, or over a part. */
export function wantedLine(grid: ScoreGrid, line: LineRef): WantedLine {
  const { axis, index } = line;
  const at = gridPositions(axis === 'column' ? grid.columns : grid.rows)[index] ?? zero;
  const scored = grid.lines
    .filter((each) => each.axis === axis && each.index === index)
    .flatMap(({ spans }) => spans);
  const cells = axis === 'column' ? grid.rows : grid.columns;
  const roleBeside = (before: boolean, along: number) =>
    axis === 'column'
      ? grid.roles[along]?.[before ? index - 1 : index]
      : grid.roles[before ? index - 1 : index]?.[along];
  // Where card stays on both sides and nothing is made, a score would be one too many.
  const isBare = cells.some(
    (_, along) =>
      !scored.some(({ from, to }) => from <= along && along < to) &&
      roleBeside(true, along) !== 'waste' &&
      roleBeside(false, along) !== 'waste',
  );
  if (scored.length === 0) return { line, at, isScored: false };
  if (!isBare) return { line, at, isScored: true };
  const places = gridPositions(cells);
  const from = places[Math.min(...scored.map((span) => span.from))] ?? zero;
  const to = places[Math.max(...scored.map((span) => span.to))] ?? zero;
  return { line, at, isScored: true, part: { from, to } };
}

/** Whether the trimmer's tip makes a score: it runs right across, at any mark of the trimmer's ruler. */
function isForTip(
  { isScored, part }: WantedLine,
  {
    edge,
    reading,
    size,
    kit,
  }: { readonly edge: Side; readonly reading: Length; readonly size: Size; readonly kit: Kit },
): boolean {
  const { step, widthWithArm, cutLength } = kit.trimmer;
  const long = isUpright(edge) ? size.height : size.width;
  const isAcross = isScored && part === undefined && long <= cutLength;
  return hasTip(kit) && isAcross && isOnGrid(reading, step) && reading <= widthWithArm;
}

/**
 * From where to where a stretch of a line runs down the board, from the ruler on top, once the edge lies at
 * the fence. A piece that is turned over keeps its edge at the fence and lies with its other end at the ruler.
 */
export function stretchOnBoard(
  edge: Side,
  {
    over,
    part,
    size,
    fence,
  }: {
    readonly over: boolean;
    readonly part: ScoreMark['part'];
    readonly size: Size;
    readonly fence: Kit['board']['fence'];
  },
): { readonly from: Length; readonly to: Length } {
  const long = isUpright(edge) ? size.height : size.width;
  const { from, to } = part ?? { from: zero, to: long };
  // Turned by a half or by three quarters, the piece lies the other way up.
  const isReversed = lyingWith(edge, fence).turns >= 2;
  return isReversed === over ? { from, to } : { from: minus(long, to), to: minus(long, from) };
}

interface OnBoard {
  readonly edge: Side;
  readonly reading: Length;
  readonly on: 'groove' | 'shim';
}

function shimOf(on: OnBoard['on'], { board }: Kit): { readonly shim?: Length } {
  return on === 'shim' && board.shim !== undefined ? { shim: board.shim } : {};
}

/**
 * What stays of a score where the grooves end, which run from the ruler: it is finished from the other end,
 * with the opposite edge at the fence where that is on a groove, or else with the piece turned over.
 */
function finish(
  { line, isScored, part }: WantedLine,
  { edge, reading, on }: OnBoard,
  size: Size,
  kit: Kit,
): readonly MadeLine[] {
  const { fence, grooveLength } = kit.board;
  const [long, across] = isUpright(edge) ? [size.height, size.width] : [size.width, size.height];
  const { from, to } = part ?? { from: zero, to: long };
  // A part that was wanted is told by its ends.
  const named = (stretch: NonNullable<ScoreMark['stretch']>) => (part ? {} : { stretch });
  const isReversed = lyingWith(edge, fence).turns >= 2;
  // From the ruler down to the groove's end, and the rest, both seen along the piece as it is drawn.
  const reached = isReversed ? minus(long, grooveLength) : grooveLength;
  const first = isReversed ? { from: reached, to } : { from, to: reached };
  const rest = isReversed ? { from, to: reached } : { from: reached, to };
  const onBoard = (made: Omit<MadeLine, 'tool' | 'isScored'>): MadeLine => ({
    tool: 'board',
    isScored,
    ...made,
  });
  const start: readonly MadeLine[] =
    first.from < first.to
      ? [
          onBoard({
            edge,
            over: false,
            mark: { line, reading, ...shimOf(on, kit), part: first, ...named('to the end') },
          }),
        ]
      : [];
  // A part that begins beyond the grooves is made wholly from the other end.
  const left = start.length === 0 ? { from, to } : rest;
  const furthest = isReversed ? left.to : minus(long, left.from);
  if (furthest > grooveLength) return [];
  const other = minus(across, reading);
  const means = meansOf(other, groovesOf(kit));
  const end = onBoard(
    means === 'none'
      ? {
          edge,
          over: true,
          mark: { line, reading, ...shimOf(on, kit), part: left, ...named('the rest') },
        }
      : {
          edge: opposite[edge],
          over: false,
          mark: { line, reading: other, ...shimOf(means, kit), part: left, ...named('the rest') },
        },
  );
  return [...start, end];
}

/** How a line is made with this kit: in one go, or in two where it is longer than the board's grooves. */
export function makingOf(
  wanted: WantedLine,
  {
    edge,
    reading,
    size,
    kit,
  }: { readonly edge: Side; readonly reading: Length; readonly size: Size; readonly kit: Kit },
): readonly MadeLine[] {
  const { line, isScored, part } = wanted;
  const mark: ScoreMark = { line, reading, ...(part && { part }) };
  const by = (tool: ScoreTool, more: Pick<ScoreMark, 'shim'> = {}): readonly MadeLine[] => [
    { tool, edge, over: false, isScored, mark: { ...mark, ...more } },
  ];
  const isOnTip = isForTip(wanted, { edge, reading, size, kit });
  if (scoringMeans(kit)?.tool !== 'board') return by(isOnTip ? 'tip' : 'ruler');
  const on = meansOf(reading, groovesOf(kit));
  if (on === 'none') return by(isOnTip ? 'tip' : 'ruler');
  const { to } = stretchOnBoard(edge, { over: false, part, size, fence: kit.board.fence });
  if (to <= kit.board.grooveLength) return by('board', shimOf(on, kit));
  // Ticks have to be made at both ends.
  if (!isScored) return by('ruler');
  if (isOnTip) return by('tip');
  const both = finish(wanted, { edge, reading, on }, size, kit);
  return both.length > 0 ? both : by('ruler');
}
