import {
  formatLength,
  formatWithUnit,
  markInWords,
  plus,
  zero,
  type Length,
  type Unit,
} from '../length/index.ts';
import {
  stretchOnBoard,
  type QuarterTurns,
  type ScoreMark,
  type ScoreOperation,
} from '../make/index.ts';
import { cutUnit, scoringMeans, type Kit } from '../tools/index.ts';
import { figuresInRow, formatNearest, nearestMark } from './measures.ts';
import { capitalised, countInWords, inRow } from './plain.ts';

/** The size of a piece as it is cut. */
interface Size {
  readonly width: Length;
  readonly height: Length;
}

/** The unit that a score's place is read in: its board's, or that of what else it is measured with. */
export function scoreUnit(tool: ScoreOperation['tool'], kit: Kit): Unit {
  if (tool === 'board') return kit.board.unit;
  const means = scoringMeans(kit);
  // Beside a board a score off its grooves is measured on the ruler that the pieces are cut by.
  return means && means.tool !== 'board' ? means.unit : cutUnit(kit);
}

/** Where a mark is on its ruler: along a ruler as near as it is read. */
function figureOf({ reading }: ScoreMark, { tool }: ScoreOperation, kit: Kit): Length {
  return tool === 'ruler' ? nearestMark(reading, scoreUnit(tool, kit)) : reading;
}

/** Marks that are made over the same stretch, in the same way. */
function groupsOf({ marks }: ScoreOperation): readonly (readonly [ScoreMark, ...ScoreMark[]])[] {
  const groups = new Map<string, [ScoreMark, ...ScoreMark[]]>();
  for (const mark of marks) {
    const key = JSON.stringify([mark.shim, mark.part, mark.stretch]);
    const group = groups.get(key);
    if (group) group.push(mark);
    else groups.set(key, [mark]);
  }
  // Whole lines first, without a shim before with one.
  return [...groups.values()].sort(
    ([a], [b]) =>
      Number(a.shim !== undefined) - Number(b.shim !== undefined) ||
      Number(a.part !== undefined) - Number(b.part !== undefined),
  );
}

/** The stretch of a line as it lies, from the top edge down: nothing for the whole of it. */
function stretchInWords(
  { part, stretch }: ScoreMark,
  { edge, lying, tool }: ScoreOperation,
  size: Size,
  kit: Kit,
): string {
  if (stretch === 'to the end')
    return `, as far as the grooves go, ${formatWithUnit(kit.board.grooveLength, kit.board.unit)} down`;
  if (stretch === 'the rest') return ', from the top edge down to where the score ends';
  if (!part) return '';
  const unit = scoreUnit(tool, kit);
  const upright = edge === 'left' || edge === 'right';
  const long = upright ? size.height : size.width;
  if (tool === 'ruler') {
    const [start, end] = upright ? ['top', 'bottom'] : ['left', 'right'];
    if (part.from === zero)
      return `, only from the ${start} edge to ${formatNearest(part.to, unit)} from it`;
    if (part.to === long)
      return `, only from ${formatNearest(part.from, unit)} from the ${start} edge to the ${end} edge`;
    return `, only from ${formatLength(nearestMark(part.from, unit), unit)} to ${formatNearest(part.to, unit)} from the ${start} edge`;
  }
  const fence = tool === 'board' ? kit.board.fence : 'left';
  const { from, to } = stretchOnBoard(edge, { over: lying.over, part, size, fence });
  if (from === zero) return `, only from the top edge to ${formatNearest(to, unit)} below it`;
  if (to === long)
    return `, only from ${formatNearest(from, unit)} below the top edge to the bottom edge`;
  return `, only from ${formatLength(nearestMark(from, unit), unit)} to ${formatNearest(to, unit)} below the top edge`;
}

/** One group of marks: `Score at 2 1/8 and 5 1/8 in`. */
function groupInWords(
  group: readonly [ScoreMark, ...ScoreMark[]],
  operation: ScoreOperation,
  size: Size,
  kit: Kit,
): string {
  const { tool, kind, edge } = operation;
  const [first] = group;
  const unit = scoreUnit(tool, kit);
  const figures = group.map((mark) => figureOf(mark, operation, kit));
  const stretch = stretchInWords(first, operation, size, kit);
  const verb = kind === 'score' ? 'Score' : 'Mark both ends in pencil, without scoring,';
  const finish = first.stretch === 'the rest' ? 'Finish the score' : verb;
  if (first.shim !== undefined) {
    const { shim } = first;
    const grooves = figures.map((figure) => plus(figure, shim));
    return `Lay the ${formatWithUnit(shim, unit)} shim between the fence and the piece. ${finish} in the groove${grooves.length === 1 ? '' : 's'} at ${figuresInRow(grooves, unit)}${stretch}.`;
  }
  const [only] = figures;
  const words =
    tool === 'board' && figures.length === 1 && only !== undefined
      ? markInWords(only, { unit, step: kit.board.pitch })
      : undefined;
  const where =
    words === undefined || only === undefined || words === `the ${formatLength(only, unit)}`
      ? ''
      : `, ${words}`;
  if (tool === 'ruler') {
    const along =
      kind === 'score' ? 'Score along a ruler' : 'Mark both ends in pencil, without scoring,';
    return `${along} at ${figuresInRow(figures, unit)} from the ${edge} edge${stretch}.`;
  }
  return `${finish} at ${figuresInRow(figures, unit)}${where}${stretch}.`;
}

const turnWords: Readonly<Record<QuarterTurns, string>> = {
  0: 'Once more:',
  1: 'Turn it a quarter clockwise',
  2: 'Turn it half round',
  3: 'Turn it a quarter anticlockwise',
};

function turnsBetween(one: ScoreOperation, other: ScoreOperation): QuarterTurns {
  const turns = [0, 1, 2, 3] as const;
  return turns[(other.lying.turns - one.lying.turns + 4) % 4] ?? 0;
}

/** What follows the first lying of a step: the same marks after each turn. */
function repeatsInWords(
  lyings: readonly (readonly [ScoreOperation, ...ScoreOperation[]])[],
): readonly string[] {
  const turns = lyings.slice(1).map(([here], i) => {
    const [before] = lyings[i] ?? [here];
    return turnsBetween(before, here);
  });
  if (turns.length === 0) return [];
  if (turns.length === 3 && turns.every((turn) => turn === 1))
    return ['Do the same on the other three sides; turn it a quarter clockwise each time.'];
  return turns.map((turn) => `${turnWords[turn]} and do the same.`);
}

/** How the piece lies on its tool. */
function onTool({ tool }: ScoreOperation): readonly string[] {
  switch (tool) {
    case 'board':
      return [];
    case 'tip':
      return ['Use the trimmer’s scoring tip; measure from the left edge.'];
    case 'ruler':
      return [];
  }
}

/** The lyings of a step: what is made in each of them. */
function byLying(
  operations: readonly ScoreOperation[],
): readonly (readonly [ScoreOperation, ...ScoreOperation[]])[] {
  const groups = new Map<string, [ScoreOperation, ...ScoreOperation[]]>();
  for (const operation of operations) {
    const key = JSON.stringify(operation.lying);
    const group = groups.get(key);
    if (group) group.push(operation);
    else groups.set(key, [operation]);
  }
  return [...groups.values()];
}

/** Scores and ticks of one step, sentence by sentence, without how the piece lies at first. */
export function scoreSentences(
  operations: readonly [ScoreOperation, ...ScoreOperation[]],
  size: Size,
  kit: Kit,
): readonly string[] {
  const lyings = byLying(operations);
  const [first = []] = lyings;
  return [
    ...onTool(operations[0]),
    ...first.flatMap((operation) =>
      groupsOf(operation).map((group) => groupInWords(group, operation, size, kit)),
    ),
    ...repeatsInWords(lyings),
  ];
}

/** The figures of a step for two metres: `2 1/8 · 5 1/8 in`; how many marks there are where they are many. */
export function scoreFigure(
  operations: readonly [ScoreOperation, ...ScoreOperation[]],
  kit: Kit,
): string {
  const [first] = operations;
  const unit = scoreUnit(first.tool, kit);
  const figures = first.marks.map((mark) => figureOf(mark, first, kit));
  return figures.length > 3
    ? capitalised(`${countInWords(figures.length)} marks`)
    : figuresInRow(figures, unit);
}

/** The marks of a step for the list: `2 1/8, 5 1/8 and 7 1/4`. */
export function scoreLine(
  operations: readonly [ScoreOperation, ...ScoreOperation[]],
  kit: Kit,
): string {
  const [first] = operations;
  const unit = scoreUnit(first.tool, kit);
  const figures = inRow(first.marks.map((mark) => formatLength(figureOf(mark, first, kit), unit)));
  const sides = byLying(operations).length;
  const verb = first.kind === 'mark' ? 'tick at ' : '';
  const rest = first.marks.some(({ stretch }) => stretch === 'the rest') ? ', the rest' : '';
  return `${verb}${figures}${sides === 4 ? ', all four sides' : sides === 1 ? '' : `, ${countInWords(sides)} sides`}${rest}`;
}

/** Where one mark is, for the figure of the moment: `7 1/4 in`, `two small marks after 7`. */
export function markWords(
  mark: ScoreMark,
  operation: ScoreOperation,
  kit: Kit,
): { readonly figure: string; readonly words: string } {
  const unit = scoreUnit(operation.tool, kit);
  const at = plus(figureOf(mark, operation, kit), mark.shim ?? zero);
  const words =
    operation.tool === 'board' ? markInWords(at, { unit, step: kit.board.pitch }) : undefined;
  const said = words === undefined || words === `the ${formatLength(at, unit)}` ? '' : words;
  const shim = mark.shim === undefined ? [] : [`with the ${formatWithUnit(mark.shim, unit)} shim`];
  return {
    figure: formatWithUnit(at, unit),
    words: [...shim, ...(said === '' ? [] : [said])].join(', '),
  };
}
