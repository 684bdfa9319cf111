import { meansOf, type Grooves } from '../fit/index.ts';
import { isOnGrid, minus, plus, zero, type Length } from '../length/index.ts';
import type { Side } from '../piece/index.ts';
import { hasTip, scoringMeans, type Kit } from '../tools/index.ts';
import { quarterTurnsTo, stretchOnBoard } from './on-board.ts';
import type { ScorePass, ScoreStep } from './step.ts';

/** A score that is to be made: where it is measured from, and over which stretch it runs. */
export interface WantedScore {
  readonly edge: Side;
  readonly line: string;
  readonly reading: Length;
  readonly part: ScorePass['part'];
  readonly isScored: boolean;
}

/** A score as it is made, whole or a stretch of it, with one tool at one reading. */
export interface MadeScore {
  readonly tool: ScoreStep['tool'];
  readonly reading: Length;
  readonly isScored: boolean;
  /** How the reading is on the tool; a shim lies at the fence. */
  readonly on: 'mark' | 'shim' | 'none';
  readonly pass: Omit<ScorePass, 'turn'>;
}

const opposite: Readonly<Record<Side, Side>> = {
  left: 'right',
  right: 'left',
  top: 'bottom',
  bottom: 'top',
};

interface Size {
  readonly width: Length;
  readonly height: Length;
}

function isUpright(edge: Side): boolean {
  return edge === 'left' || edge === 'right';
}

/** Whether the trimmer's tip makes a score: it runs right across, at any mark of the trimmer's ruler. */
function isForTip({ edge, part, reading, isScored }: WantedScore, size: Size, kit: Kit): boolean {
  const { step, widthWithArm, cutLength } = kit.trimmer;
  const long = isUpright(edge) ? size.height : size.width;
  const isAcross = isScored && part === undefined && long <= cutLength;
  return hasTip(kit) && isAcross && isOnGrid(reading, step) && reading <= widthWithArm;
}

function groovesOf({ board }: Kit): Grooves {
  const { pitch, reach, shim } = board;
  return { pitch, reach, ...(shim !== undefined && { shim }) };
}

/**
 * What stays of a score where the grooves end, which run from the ruler: it is finished from the other end,
 * with the opposite edge at the fence where that is on a groove, or else with the piece turned over.
 */
function finish(
  wanted: WantedScore,
  size: Size,
  kit: Kit,
  on: 'mark' | 'shim',
): readonly MadeScore[] {
  const { edge, part, line, reading, isScored } = wanted;
  const { width, height } = size;
  const { fence, grooveLength } = kit.board;
  const grooves = groovesOf(kit);
  const long = isUpright(edge) ? height : width;
  const across = isUpright(edge) ? width : height;
  const { from, to } = part ?? { from: zero, to: long };
  // A part that was wanted is told by its ends.
  const named = (stretch: 'to the end' | 'the rest') => (part ? {} : { stretch });
  const isReversed = quarterTurnsTo(edge, fence) >= 2;
  // From the ruler down to the groove's end, and the rest, both seen along the piece as it is drawn.
  const reached = isReversed ? minus(long, grooveLength) : grooveLength;
  const first = isReversed ? { from: reached, to } : { from, to: reached };
  const rest = isReversed ? { from, to: reached } : { from: reached, to };
  const start: readonly MadeScore[] =
    first.from < first.to
      ? [
          {
            tool: 'board',
            reading,
            isScored,
            on,
            pass: { edge, line, part: first, ...named('to the end') },
          },
        ]
      : [];
  // A part that begins beyond the grooves is made wholly from the other end.
  const left = start.length === 0 ? { from, to } : rest;
  const furthest = isReversed ? left.to : minus(long, left.from);
  if (furthest > grooveLength) return [];
  const other = minus(across, reading);
  const means = meansOf(other, grooves);
  const end: MadeScore =
    means === 'none'
      ? {
          tool: 'board',
          reading,
          isScored,
          on,
          pass: { edge, line, part: left, ...named('the rest'), over: true },
        }
      : {
          tool: 'board',
          reading: other,
          isScored,
          on: means === 'shim' ? 'shim' : 'mark',
          pass: { edge: opposite[edge], line, part: left, ...named('the rest') },
        };
  return [...start, end];
}

/** How a score is made with this kit: in one go, or in two where it is longer than the board's grooves. */
export function makingOf(wanted: WantedScore, size: Size, kit: Kit): readonly MadeScore[] {
  const { edge, part, line, reading, isScored } = wanted;
  const pass = { edge, line, ...(part && { part }) };
  const by = (tool: ScoreStep['tool'], on: MadeScore['on']): readonly MadeScore[] => [
    { tool, reading, isScored, on, pass },
  ];
  const means = scoringMeans(kit);
  const tip = isForTip(wanted, size, kit);
  if (means?.tool !== 'board') {
    if (tip) return by('tip', 'mark');
    return by('ruler', means && isOnGrid(reading, means.step) ? 'mark' : 'none');
  }
  const how = meansOf(reading, groovesOf(kit));
  if (how === 'none') return by(tip ? 'tip' : 'ruler', 'none');
  const on = how === 'shim' ? 'shim' : 'mark';
  const { to } = stretchOnBoard(pass, size.width, size.height, kit.board.fence);
  if (to <= kit.board.grooveLength) return by('board', on);
  if (tip) return by('tip', 'none');
  const both = finish(wanted, size, kit, on);
  return both.length > 0 ? both : by('ruler', 'none');
}

/** The groove that a reading on the board is made at. */
export function grooveFor(reading: Length, shim: Length | undefined): Length {
  return plus(reading, shim ?? zero);
}
