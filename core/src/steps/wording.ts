import {
  absolute,
  formatLength,
  formatWithUnit,
  largest,
  markInWords,
  minus,
  plus,
  smallest,
  times,
  zero,
  type Length,
  type Unit,
} from '../length/index.ts';
import { cutUnit, scoringMeans, type Kit } from '../tools/index.ts';
import type { Side } from '../piece/index.ts';
import { countInWords } from './count-in-words.ts';
import { formatNearest } from './nearest.ts';
import { roleInWords } from './role-words.ts';
import type {
  CutStep,
  FaceUp,
  PunchStep,
  ScoreStep,
  SlantEnd,
  SlantStep,
  SlitStep,
  SnipStep,
  Step,
  TaperStep,
} from './step.ts';

function isLongEdge(edge: Side, step: ScoreStep): boolean {
  const upright = edge === 'left' || edge === 'right';
  return upright === (step.longSides === 'left and right');
}

/** Edges of one length: both of them, or one by where it is drawn, since the wrong one would do harm. */
function alikeInWords(edges: readonly Side[], name: string): readonly string[] {
  if (edges.length === 2) return [`both ${name}sides`];
  return edges.map((edge) => `the ${name}side drawn at the ${edge}`);
}

/** Which edges of the piece go to the fence, as one would say it at the table. */
export function edgesInWords(step: ScoreStep): string {
  const edges = step.passes.map(({ edge }) => edge);
  if (edges.length === 4) return 'all four sides';
  if (step.square)
    return edges.length === 1
      ? `the side drawn at the ${edges.join('')}`
      : `the sides drawn at the ${edges.join(', the ').replace(/, the (\w+)$/, ' and the $1')}`;
  return [
    ...alikeInWords(
      edges.filter((edge) => isLongEdge(edge, step)),
      'long ',
    ),
    ...alikeInWords(
      edges.filter((edge) => !isLongEdge(edge, step)),
      'short ',
    ),
  ].join(' and ');
}

/** How the card lies, as it is said: a print lies down, so that it isn’t scored on. */
const faceWords: Readonly<Record<FaceUp, string>> = {
  'inside up': 'Inside face up',
  'print down': 'Print face down',
  'foil down': 'Foil face down, scored on its back',
};

/** How the card lies, and how hard it is scored: `Inside face up`. */
export function lyingInWords({ face, lightly }: Pick<ScoreStep, 'face' | 'lightly'>): string {
  return `${faceWords[face]}${lightly ? ', scored lightly: the card is thin' : ''}`;
}

/** How the card lies on the board: turned over where a score is finished from its other face. */
export function scoreLyingInWords(step: ScoreStep): string {
  return step.passes.some(({ over }) => over)
    ? 'Turned over end to end, the other face up'
    : lyingInWords(step);
}

/** The short line of a score step: `Score all four sides, turning each time`. */
export function scoreHeadline(step: ScoreStep): string {
  const { passes } = step;
  const turning =
    passes.length === 4
      ? ', turning each time'
      : passes.length === 1
        ? ''
        : passes[1]?.turn === 'half'
          ? ', turning it round between'
          : ', turning between';
  const [{ stretch } = {}] = step.passes;
  const isPart = step.passes.some(({ part }) => part !== undefined);
  const parts =
    stretch === 'the rest' ? ', the rest' : stretch === undefined && isPart ? ', a part only' : '';
  return `${step.make === 'score' ? 'Score' : 'Mark'} ${edgesInWords(step)}${turning}${parts}`;
}

/** Where the reading is on the tool: `3/4 is the sixth small mark`, or how to make it off the grooves. */
export function readingInWords(step: ScoreStep, kit: Kit): string {
  const { unit, pitch } = kit.board;
  const figure = formatLength(step.reading, unit);
  if (step.tool !== 'board' && !step.offGroove) return '';
  if (step.shim !== undefined) {
    const groove = plus(step.reading, step.shim);
    const words = markInWords(groove, { unit, step: pitch });
    return `Lay the shim at the fence and use the groove at ${formatLength(groove, unit)}${words === undefined ? '' : `, ${words}`}`;
  }
  if (!step.offGroove) {
    const words = markInWords(step.reading, { unit, step: pitch });
    return words === undefined || words === `the ${figure}` ? '' : `${figure} is ${words}`;
  }
  const { nearest, beyond } = step.offGroove;
  const where = beyond > 0 ? 'past' : 'short of';
  const off = formatWithUnit(absolute(beyond), unit);
  const verb = step.make === 'score' ? 'Score' : 'Mark';
  const means = step.tool === 'tip' ? 'the trimmer’s scoring tip' : 'a ruler';
  // Where the score is measured on another ruler than the board's, its figure needs its unit.
  const nearestFigure =
    unit === scoreUnit(step, kit) ? formatLength(nearest, unit) : formatWithUnit(nearest, unit);
  return beyond === 0
    ? `Beyond the board’s reach. ${verb} with ${means}`
    : `Not on a groove: ${off} ${where} ${nearestFigure}. ${verb} with ${means}`;
}

/** The unit that a score's place is read in: its board's, or that of what else it is measured with. */
export function scoreUnit({ tool }: Pick<ScoreStep, 'tool'>, kit: Kit): Unit {
  if (tool === 'board') return kit.board.unit;
  const means = scoringMeans(kit);
  // Beside a board a score off its grooves is measured on the ruler that the pieces are cut by.
  return means && means.tool !== 'board' ? means.unit : cutUnit(kit);
}

/** The full instruction of a score step. */
export function scoreInWords(step: ScoreStep, kit: Kit): string {
  const where = readingInWords(step, kit);
  const unit = scoreUnit(step, kit);
  const edge =
    step.passes.length === 4
      ? 'any edge'
      : step.passes.length === 1
        ? 'the named edge'
        : 'each named edge in turn';
  return [
    `${step.name}: ${scoreLyingInWords(step)}, ${edge} against the fence.`,
    `${scoreHeadline(step)}, at ${formatLength(step.reading, unit)}.`,
    ...(where === '' ? [] : [`${where}.`]),
    ...partsInWords(step, cutUnit(kit)),
  ].join(' ');
}

/** What a stretch of a score is that is longer than the grooves; all passes of a step are alike in this. */
function stretchInWords({ passes }: ScoreStep, unit: Unit): string | undefined {
  const [first] = passes;
  if (!first?.part || !first.stretch) return undefined;
  if (first.stretch === 'to the end')
    return 'Score as far as the grooves go; the rest is finished from the other end.';
  const left = passes.map(({ part }) => (part ? minus(part.to, part.from) : zero));
  const lengths = [...new Set(left.map((each) => formatNearest(each, unit)))];
  return `Finish the ${lengths.join(' or ')} that the grooves did not reach.`;
}

/** The stretches of a score that does not run over the whole piece. */
export function partsInWords(step: ScoreStep, unit: Unit): readonly string[] {
  const stretch = stretchInWords(step, unit);
  if (stretch !== undefined) return [stretch];
  return step.passes.flatMap(({ edge, part }) => {
    if (!part) return [];
    const start = edge === 'left' || edge === 'right' ? 'top' : 'left';
    const from = formatLength(part.from, unit);
    const to = formatWithUnit(part.to, unit);
    return [`From the ${edge}, score only between ${from} and ${to}, seen from the ${start}.`];
  });
}

function cutInWords(step: CutStep, unit: Unit): string {
  const size = formatSize(step.width, step.height, unit);
  const setting =
    step.width === step.height ? 'one setting, both ways' : 'one setting for each side';
  return `${step.name}: cut ${countInWords(step.copies)} ${size} from ${step.paper}, ${setting}.`;
}

/** A cut size as text: `4 × 4 in`. */
export function formatSize(width: Length, height: Length, unit: Unit): string {
  return `${formatLength(width, unit)} × ${formatWithUnit(height, unit)}`;
}

/** The short line of the slits: `Slit four corners to the fold`. */
export function slitHeadline(step: SlitStep): string {
  const what = step.slits.length === 4 ? 'corner' : 'line';
  return `Slit ${countInWords(step.slits.length)} ${what}${step.slits.length === 1 ? '' : 's'} to the fold`;
}

function slitInWords(step: SlitStep): string {
  const [first] = step.slits;
  const sides = [...new Set(step.slits.map(({ from }) => from))];
  const within = step.slits.some(({ begins }) => begins !== undefined)
    ? ', where it is lit inside the piece'
    : '';
  const which = sides.length === 2 && first ? ` from the ${sides.join(' and the ')} edge` : '';
  return `${step.name}: ${slitHeadline(step).toLowerCase()}${which}, along the score${within}.`;
}

type Tapered = Pick<TaperStep, 'role' | 'places'>;

/** The short line of the tapers: `taper the seam`, `taper the four tabs and the seam`. */
export function taperHeadline(...steps: readonly [Tapered, ...Tapered[]]): string {
  const what = steps.map(({ role, places: { length } }) =>
    length === 1
      ? `the ${roleInWords(role, 1)}`
      : `the ${countInWords(length)} ${roleInWords(role, length)}`,
  );
  return `taper ${what.join(', ').replace(/, ([^,]+)$/, ' and $1')}`;
}

/** How far a corner is drawn in, on the maker's own ruler. */
export function taperDepth({ inset }: Pick<TaperStep, 'inset'>, unit: Unit): string {
  return formatNearest(inset, unit);
}

function taperInWords(step: TaperStep, unit: Unit): string {
  return `${step.name}: ${taperHeadline(step)}, drawing in each free corner by ${taperDepth(step, unit)}.`;
}

const runWords: Readonly<Record<SlantStep['run'], string>> = {
  aslant: 'slanting ',
  level: 'level ',
  upright: 'upright ',
  straight: 'straight ',
};

/** The short line of scores along a ruler. */
export function slantHeadline({ lines, run }: SlantStep): string {
  return `score ${countInWords(lines.length)} ${runWords[run]}${lines.length === 1 ? 'line' : 'lines'} along a ruler`;
}

/** What tells scores along a ruler from others of their piece: where they begin, or how long they are. */
export function slantDetail({ ends, length }: SlantStep, unit: Unit): string {
  if (!ends) return `${formatNearest(length, unit)} long`;
  if (isCorner(ends.from)) return 'from the corner';
  const { across, down } = ends.from;
  return isOnEdge(ends.from)
    ? `${formatNearest(largest(across, down), unit)} from the corner`
    : `${formatNearest(smallest(across, down), unit)} from the edge`;
}

function isOnEdge({ across, down }: SlantEnd): boolean {
  return across === 0 || down === 0;
}

function isCorner({ across, down }: SlantEnd): boolean {
  return across === 0 && down === 0;
}

/** A place on a piece by how far it is from the nearest edges. */
function endInWords({ across, down }: SlantEnd, unit: Unit): string {
  if (isCorner({ across, down })) return 'the corner of the piece';
  if (across === 0 || down === 0)
    return `the edge, ${formatNearest(largest(across, down), unit)} from the corner`;
  return across === down
    ? `the point that is ${formatNearest(across, unit)} from both edges`
    : `the point ${formatNearest(across, unit)} from the side and ${formatNearest(down, unit)} from the top or the bottom`;
}

function slantInWords(step: SlantStep, unit: Unit): string {
  const { name, lines, ends, length } = step;
  const each = lines.length === 1 ? '' : ', each';
  const headline = `${name}: ${slantHeadline(step)}`;
  if (!ends)
    return `${headline}${each} ${formatNearest(length, unit)} long, from crossing to crossing of the marks, where they are lit.`;
  if (isOnEdge(ends.from) && isOnEdge(ends.to) && !isCorner(ends.from))
    return `${headline}${each} from mark to mark, ${slantDetail(step, unit)}.`;
  const from = endInWords(ends.from, unit);
  return `${headline}${each} from ${from}${from.includes(',') ? ',' : ''} to ${endInWords(ends.to, unit)}.`;
}

const timesInWords = ['', 'once', 'twice'];

/** The short line of what is done on a punch board. */
export function punchHeadline({ setting, sides, board }: PunchStep): string {
  if (setting.kind === 'last lines')
    return `Turn, follow the last ${setting.lines === 1 ? 'line' : 'lines'}, ${timesInWords[sides] ?? `${countInWords(sides)} times`}`;
  return board === 'corner'
    ? `Punch and score all ${countInWords(sides)} corners, turning each time`
    : 'Punch and score on the first side';
}

/** The full instruction of a step on a punch board. */
export function punchInWords(step: PunchStep, kit: Kit): string {
  const { board, setting, name } = step;
  const start = `${name}: ${lyingInWords(step)}.`;
  if (setting.kind === 'last lines')
    return `${start} Turn it a quarter clockwise. Put the end of each line that you scored last at the notch: punch there, and score. Do so for ${countInWords(step.sides)} sides, ${countInWords(setting.lines)} lines on each.`;
  if (board === 'corner') {
    const mark = setting.name === undefined ? '' : ` “${setting.name}”, which is`;
    const unit = kit.cornerBoard?.unit ?? cutUnit(kit);
    return `${start} Put a corner at the mark${mark} ${formatWithUnit(setting.at, unit)}: notch it and score its three lines, one from each edge and one across the corner. Turn a quarter clockwise and do the next, all ${countInWords(step.sides)}.`;
  }
  const unit = kit.diagonalBoard?.unit ?? cutUnit(kit);
  return `${start} Edge at the fence, corner at ${formatWithUnit(setting.at, unit)}: punch the notch and score the line.`;
}

/** What is done for each kind of cut-away. */
const snips: Readonly<Record<SnipStep['shape'], readonly [string, string, string]>> = {
  hole: ['punch', 'hole', 'holes'],
  notch: ['punch', 'notch', 'notches'],
  corner: ['round', 'corner', 'corners'],
  trim: ['trim', 'end', 'ends'],
};

/** Narrow openings that are cut with a blade, by what they are for. */
const bladed: Readonly<Record<string, readonly [string, string, string]>> = {
  slot: ['cut', 'slot', 'slots'],
  'lock slit': ['cut', 'slit', 'slits'],
  hook: ['cut', 'slit', 'slits'],
  tip: ['trim', 'tip', 'tips'],
  corner: ['trim', 'corner', 'corners'],
};

/** The short line of what is punched or snipped: `punch two holes for ribbon`. */
export function snipHeadline({
  shape,
  use,
  places,
}: Pick<SnipStep, 'shape' | 'use' | 'places'>): string {
  const count = places.length;
  const [verb, one, several] = bladed[use] ?? snips[shape];
  const words = use.includes(one) ? use : `${use} ${one}`;
  return `${verb} ${countInWords(count)} ${count === 1 ? words : words.replace(new RegExp(`${one}$`), several)}`;
}

function snipInWords(step: SnipStep, kit: Kit): string {
  const unit = cutUnit(kit);
  const { shape, punch, size, from, places } = step;
  const tool =
    punch === undefined
      ? size === undefined
        ? ''
        : shape === 'trim'
          ? ` with scissors, ${formatNearest(size, unit)} from the corner of the piece along both edges`
          : shape === 'corner'
            ? ` with scissors, along something round ${formatNearest(times(size, 2), unit)} wide`
            : ` with a knife, ${formatNearest(size, unit)} wide`
      : ` with the ${punch}`;
  const half = shape === 'notch' && punch !== undefined ? ', half over the edge' : '';
  const where =
    from && shape === 'hole'
      ? `, ${places.length === 1 ? 'its middle' : 'their middles'} ${formatNearest(from.across, unit)} from the side and ${formatNearest(from.down, unit)} from the top or the bottom`
      : '';
  return `${step.name}: ${snipHeadline(step)}${tool}${half}${where}.`;
}

/** A step as one would say it; made from the step's data alone. */
export function stepInWords(step: Step, kit: Kit): string {
  switch (step.kind) {
    case 'cut':
      return cutInWords(step, cutUnit(kit));
    case 'score':
      return scoreInWords(step, kit);
    case 'slit':
      return slitInWords(step);
    case 'taper':
      return taperInWords(step, cutUnit(kit));
    case 'slant':
      return slantInWords(step, cutUnit(kit));
    case 'punch':
      return punchInWords(step, kit);
    case 'snip':
      return snipInWords(step, kit);
  }
}
