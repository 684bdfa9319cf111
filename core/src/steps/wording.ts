import {
  absolute,
  formatLength,
  formatWithUnit,
  markInWords,
  type Length,
  type Unit,
} from '../length/index.ts';
import type { Kit } from '../tools/index.ts';
import type { Side } from '../piece/index.ts';
import type { CutStep, ScoreStep, SlantStep, SlitStep, SnipStep, Step, TaperStep } from './step.ts';

const numbers = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];

/** A number as it is said: `six`; a figure above twelve. */
export function countInWords(amount: number): string {
  return numbers[amount] ?? `${amount}`;
}

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

const faceWords: Record<ScoreStep['face'], string> = {
  'inside up': 'Inside face up',
  'print down': 'Print face down',
  'foil down': 'Foil face down',
};

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
  const parts = step.passes.some(({ part }) => part !== undefined) ? ', a part only' : '';
  return `${step.make === 'score' ? 'Score' : 'Mark'} ${edgesInWords(step)}${turning}${parts}`;
}

/** Where the reading is on the tool: `3/4 is the sixth small mark`, or how to make it off the grooves. */
export function readingInWords(step: ScoreStep, kit: Kit): string {
  const { unit, pitch } = kit.board;
  const figure = formatLength(step.reading, unit);
  if (!step.offGroove) {
    const words = markInWords(step.reading, { unit, step: pitch });
    return words === undefined || words === `the ${figure}` ? '' : `${figure} is ${words}`;
  }
  const { nearest, beyond } = step.offGroove;
  const where = beyond > 0 ? 'past' : 'short of';
  const off = formatWithUnit(absolute(beyond), kit.trimmer.unit);
  const means = step.tool === 'tip' ? 'the trimmer’s scoring tip' : 'a ruler';
  return beyond === 0
    ? `Beyond the board’s reach: score with ${means}`
    : `Not on a groove: ${off} ${where} ${formatLength(nearest, unit)}. Score with ${means}`;
}

/** The full instruction of a score step. */
export function scoreInWords(step: ScoreStep, kit: Kit): string {
  const where = readingInWords(step, kit);
  const unit = step.tool === 'board' ? kit.board.unit : kit.trimmer.unit;
  const edge =
    step.passes.length === 4
      ? 'any edge'
      : step.passes.length === 1
        ? 'the named edge'
        : 'each named edge in turn';
  return [
    `${step.name}: ${faceWords[step.face]}, ${edge} against the fence.`,
    `${scoreHeadline(step)}, at ${formatLength(step.reading, unit)}.`,
    ...(where === '' ? [] : [`${where}.`]),
    ...partsInWords(step, kit.trimmer.unit),
  ].join(' ');
}

/** The stretches of a score that does not run over the whole piece. */
export function partsInWords(step: ScoreStep, unit: Unit): readonly string[] {
  return step.passes.flatMap(({ edge, part }) => {
    if (!part) return [];
    const start = edge === 'left' || edge === 'right' ? 'top' : 'left';
    const from = formatLength(part.from, unit);
    return [
      `From the ${edge}, score only between ${from} and ${formatWithUnit(part.to, unit)}, seen from the ${start}.`,
    ];
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
  const which = sides.length === 2 && first ? ` from the ${sides.join(' and the ')} edge` : '';
  return `${step.name}: ${slitHeadline(step).toLowerCase()}${which}, along the score.`;
}

/** The short line of the tapers: `taper the tabs`. */
export function taperHeadline(step: TaperStep): string {
  return step.tabs === 1 ? 'taper the tab' : `taper the ${countInWords(step.tabs)} tabs`;
}

function taperInWords(step: TaperStep): string {
  return `${step.name}: ${taperHeadline(step)}, drawing in each free corner by ${formatWithUnit(step.inset, 'mm')}.`;
}

/** The short line of slanting scores. */
export function slantHeadline(step: SlantStep): string {
  return `score ${countInWords(step.lines)} slanting ${step.lines === 1 ? 'line' : 'lines'} along a ruler`;
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
};

/** The short line of what is punched or snipped: `punch two holes for ribbon`. */
export function snipHeadline({ shape, use, count: times }: SnipStep): string {
  const [verb, one, several] = bladed[use] ?? snips[shape];
  const words = use.includes(one) ? use : `${use} ${one}`;
  return `${verb} ${countInWords(times)} ${times === 1 ? words : words.replace(new RegExp(`${one}$`), several)}`;
}

/** A step as one would say it; made from the step's data alone. */
export function stepInWords(step: Step, kit: Kit): string {
  switch (step.kind) {
    case 'cut':
      return cutInWords(step, kit.trimmer.unit);
    case 'score':
      return scoreInWords(step, kit);
    case 'slit':
      return slitInWords(step);
    case 'taper':
      return taperInWords(step);
    case 'slant':
      return `${step.name}: ${slantHeadline(step)}, as drawn.`;
    case 'snip':
      return `${step.name}: ${snipHeadline(step)}, as drawn.`;
  }
}
