import {
  formatLength,
  inchFraction,
  markInWords,
  millimetres,
  plus,
  zero,
  type Length,
  type Unit,
} from '../length/index.ts';
import {
  flatOperations,
  flatSteps,
  isUpright,
  type BoxToMake,
  type FlatDraft,
  type FlatOperation,
  type ScoreMark,
  type ScoreOperation,
} from '../make/index.ts';
import type { Paper } from '../paper/index.ts';
import { cutSizeOf, type LineRef, type Piece } from '../piece/index.ts';
import { scoringMeans, type Kit } from '../tools/index.ts';
import { featuresInWords } from './laid.ts';
import { figuresInRow, nearestMark } from './measures.ts';
import { capitalised, countInWords, inRow } from './plain.ts';
import { punchHeadline } from './punch.ts';
import { scoreUnit } from './score.ts';
import { flatHeadlines } from './step.ts';

/** A mark on a ruler strip of the cut list, with the lines that it makes. */
export interface StripMark {
  readonly reading: Length;
  readonly lines: readonly LineRef[];
  /** Where it is on the ruler, in words, where that helps. */
  readonly words?: string;
  /** Whether it falls between the marks of the tool that scores. */
  readonly isOff: boolean;
}

/** The edge of a piece as a ruler lies along it, with the marks that are made in one lying. */
export interface RulerStrip {
  readonly headline: string;
  /** The same as it is said without the strip: `score at 5/8 and 3 1/8 in on two sides`. */
  readonly said: string;
  /** How long the edge is. */
  readonly length: Length;
  /** How the ruler is marked. */
  readonly pitch: Length;
  readonly unit: Unit;
  readonly marks: readonly StripMark[];
}

/** How a punch board is set for a piece. */
export interface PunchTold {
  readonly headline: string;
  /** Where it is set on the board's ruler, one after the other. */
  readonly marks: readonly Length[];
  /** The name of a corner's mark, and what follows on the other sides of a diamond. */
  readonly words: readonly string[];
}

/** What the cut list shows of one piece: its rulers, and what else is done to it while it is flat. */
export interface CutListEntry {
  readonly strips: readonly RulerStrip[];
  /** Where its lines are made on a punch board. */
  readonly punch?: PunchTold;
  /** Slits, tapers and cutouts as one short sentence; empty where there are none. */
  readonly snips: string;
}

function isLine(operation: FlatOperation): operation is ScoreOperation {
  return operation.kind === 'score' || operation.kind === 'mark';
}

function rulerOf({ tool }: ScoreOperation, kit: Kit): Pick<RulerStrip, 'pitch' | 'unit'> {
  const unit = scoreUnit(tool, kit);
  if (tool === 'board') return { unit, pitch: kit.board.pitch };
  const means = scoringMeans(kit);
  if (means && means.tool !== 'board') return { unit, pitch: means.step };
  return { unit, pitch: unit === 'inch' ? inchFraction(1, 16) : millimetres(1) };
}

function stripMark(
  mark: ScoreMark,
  nth: number,
  alike: readonly ScoreOperation[],
  kit: Kit,
): StripMark {
  const [first] = alike;
  const tool = first?.tool ?? 'ruler';
  const unit = scoreUnit(tool, kit);
  const exact = plus(mark.reading, mark.shim ?? zero);
  const reading = tool === 'ruler' ? nearestMark(exact, unit) : exact;
  const words =
    tool === 'board' ? markInWords(reading, { unit, step: kit.board.pitch }) : undefined;
  const figure = formatLength(reading, unit);
  const isPlain = words === undefined || words === `the ${figure}`;
  const hasShim = mark.shim !== undefined;
  const told = [
    ...(isPlain ? [] : [`is ${words}${hasShim ? ',' : ''}`]),
    ...(hasShim ? ['with the shim'] : []),
  ].join(' ');
  return {
    reading,
    lines: alike.flatMap(({ marks }) => marks[nth]?.line ?? []),
    ...(told !== '' && { words: `${figure} ${told}` }),
    isOff: tool === 'ruler' && scoringMeans(kit)?.tool === 'board',
  };
}

/** Lyings with the same marks share a strip; `where` goes on after the figures of its sentence. */
function stripOf(
  { headline, where }: { readonly headline: string; readonly where: string },
  alike: readonly [ScoreOperation, ...ScoreOperation[]],
  piece: Piece,
  kit: Kit,
): RulerStrip {
  const [first] = alike;
  const { width, height } = cutSizeOf(piece.grid);
  const isTicked = first.kind === 'mark';
  const ruler = rulerOf(first, kit);
  const marks = first.marks.map((mark, nth) => stripMark(mark, nth, alike, kit));
  const row = (readings: readonly Length[]) => figuresInRow(readings, ruler.unit);
  const figures = row(marks.map(({ reading }) => reading));
  const shimmed = marks.filter((_, nth) => first.marks[nth]?.shim !== undefined);
  const those = row(shimmed.map(({ reading }) => reading));
  const shims =
    shimmed.length === 0
      ? ''
      : shimmed.length === marks.length
        ? ' (with the shim)'
        : ` (${those} with the shim)`;
  return {
    headline: `${headline}${isTicked ? ', ticks only' : ''}`,
    said: `${isTicked ? 'tick' : 'score'} at ${figures}${shims}${where}`,
    length: isUpright(first.edge) ? width : height,
    ...ruler,
    marks,
  };
}

/** The edges from which lines along a ruler have the same places as these: `the left and the right edge`. */
function edgesAlike({ marks }: ScoreOperation, ruled: readonly ScoreOperation[]): string {
  const places = (all: ScoreOperation['marks']) => all.map(({ reading }) => reading).join(' ');
  const alike = ruled.filter((other) => places(other.marks) === places(marks));
  if (alike.length === 4) return 'all four edges';
  return `${inRow(alike.map(({ edge }) => `the ${edge}`))} edge`;
}

function stripsOf({ operations, laid }: FlatDraft, piece: Piece, kit: Kit): readonly RulerStrip[] {
  const lines = operations.filter(isLine);
  const ruled = lines.filter(({ tool }) => tool === 'ruler');
  if (ruled.length > 0)
    return ruled.map((each) =>
      stripOf(
        {
          headline: `Along a ruler, from the ${each.edge}`,
          where: ` from ${edgesAlike(each, ruled)}, along a ruler`,
        },
        [each],
        piece,
        kit,
      ),
    );
  const kinds = (['score', 'mark'] as const).map((kind) =>
    lines.filter((each) => each.kind === kind),
  );
  return kinds.flatMap((alike): readonly RulerStrip[] => {
    const [first, ...more] = alike;
    if (!first) return [];
    const how = featuresInWords(laid.features, scoreUnit(first.tool, kit));
    const count = alike.length === 4 ? 'all four sides' : `${countInWords(alike.length)} sides`;
    const lies =
      how === '' ? (more.length === 0 ? 'Any edge at the top' : 'Score') : capitalised(how);
    const sides = more.length === 0 ? '' : how === '' ? ` on ${count}` : `, ${count}`;
    const where = `${more.length === 0 ? '' : ` on ${count}`}${how === '' ? '' : `, ${how}`}`;
    return [stripOf({ headline: `${lies}${sides}`, where }, [first, ...more], piece, kit)];
  });
}

/** Each mark is told in words once; further down the same mark is known. */
function withWordsOnce(strips: readonly RulerStrip[]): readonly RulerStrip[] {
  const told = new Set<string>();
  return strips.map((strip) => ({
    ...strip,
    marks: strip.marks.map(({ words, ...mark }) => {
      if (words === undefined || told.has(words)) return mark;
      told.add(words);
      return { ...mark, words };
    }),
  }));
}

function punchOf(piece: Piece, kit: Kit): PunchTold | undefined {
  const steps = flatOperations(piece, [], kit).filter((each) => each.kind === 'punch');
  const [first] = steps;
  return (
    first && {
      headline: punchHeadline(first),
      marks: steps.flatMap(({ setting }) => (setting.kind === 'mark' ? [setting.at] : [])),
      words: steps.flatMap((step) => {
        if (step.setting.kind === 'last lines') return [punchHeadline(step)];
        return step.setting.name === undefined ? [] : [`Mark “${step.setting.name}” on your board`];
      }),
    }
  );
}

/** What the cut list shows of a piece. */
export function cutListEntry(
  { marks }: Pick<BoxToMake, 'marks'>,
  piece: Piece,
  paper: Paper,
  kit: Kit,
): CutListEntry {
  const lines = marks
    .filter((each) => each.piece === piece.id)
    .flatMap(({ readings }) => readings.map(({ axis, index }) => ({ axis, index })));
  const { steps } = flatSteps(piece, lines, paper, kit);
  const others = steps
    .flatMap(({ operations }) => operations)
    .filter((operation) => operation.kind !== 'punch' && !isLine(operation));
  const said = flatHeadlines(others).join(', ');
  const punch = piece.punchBoard && punchOf(piece, kit);
  return {
    strips: withWordsOnce(steps.flatMap((step) => stripsOf(step, piece, kit))),
    ...(punch && { punch }),
    snips: said === '' ? '' : `${capitalised(said)}.`,
  };
}
