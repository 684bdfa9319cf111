import { formatLength, formatWithUnit, times, type Length } from '../length/index.ts';
import {
  edgesInWords,
  countInWords,
  formatNearest,
  partsInWords,
  punchHeadline,
  punchInWords,
  scoreLyingInWords,
  scoreUnit,
  readingInWords,
  roleInWords,
  severalInWords,
  slantDetail,
  slantHeadline,
  slitHeadline,
  snipHeadline,
  stepInWords,
  taperDepth,
  taperHeadline,
  type PunchStep,
  type ScoreStep,
  type SnipStep,
} from '../steps/index.ts';
import { cutUnit, tapeFor, wetGlueIn, type Kit } from '../tools/index.ts';
import { sayTrim } from './trim-words.ts';
import { plural } from './plural.ts';
import type { CloseStep, FastenStep, FoldStep, GlueStep, JoinStep } from './assembly-step.ts';
import type { JobStep } from './job.ts';

/** A step of a job in words, made from its data alone. */
export interface JobWords {
  /** What is read from two metres: the figure to set, or what to do. */
  readonly figure: string;
  /** The whole instruction. */
  readonly text: string;
  /** Its line in the list of steps. */
  readonly line: string;
  /** What is counted: `lids scored`. */
  readonly counted: string;
}

function capitalised(words: string): string {
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}`;
}

const participles: Readonly<Record<JobStep['work']['kind'], string>> = {
  trim: 'made',
  punch: 'punched',
  score: 'scored',
  slant: 'scored',
  slit: 'slit',
  taper: 'tapered',
  snip: 'trimmed',
  fold: 'folded',
  glue: 'glued',
  join: 'on',
  fasten: 'fastened',
  gift: 'filled',
  close: 'closed',
};

const turns = {
  none: 'score',
  quarter: 'turn a quarter and score',
  half: 'turn it right round and score',
  'three quarters': 'turn a quarter back and score',
} as const;

/** What follows the first score of a setting. */
function sayTurns({ passes }: ScoreStep): string {
  const [, second, ...more] = passes;
  if (!second) return '';
  if (more.length === 2 && passes.slice(1).every(({ turn }) => turn === 'quarter'))
    return ', then turn a quarter. Four times';
  if (more.length === 0 && second.turn === 'half') return ', turn it right round and score again';
  return `, ${passes
    .slice(1)
    .map(({ turn }) => turns[turn])
    .join(', ')}`;
}

/** Where to score: the figure with its place on the grooves, or how to make it off them. */
function sayWhere(step: ScoreStep, kit: Kit): string {
  const unit = scoreUnit(step, kit);
  const reading = formatWithUnit(step.reading, unit);
  const verb = step.make === 'score' ? 'Score' : 'Mark both edges, without scoring,';
  const words = readingInWords(step, kit);
  if (step.offGroove) return `${words}. ${verb} at ${reading}`;
  const [, place] = words.split(' is ');
  return `${verb} at ${reading}${place === undefined ? '' : `, ${place}`}`;
}

/** Short, for a list: one edge by where it is drawn, more by what they are. */
function fromEdges(step: ScoreStep): string {
  const [first, ...more] = step.passes;
  return first && more.length === 0 ? `from the ${first.edge}` : `on ${edgesInWords(step)}`;
}

/** A score that takes two steps, since it is longer than the grooves: which of them this is. */
function stretchInLine({ passes: [first] }: ScoreStep): string {
  if (first?.stretch === 'the rest') return ', the rest';
  return first?.over ? ', turned over' : '';
}

function sayScore(step: ScoreStep, kit: Kit) {
  const unit = scoreUnit(step, kit);
  const edge = step.passes.length === 4 && step.square ? 'any edge' : edgesInWords(step);
  return {
    figure: formatWithUnit(step.reading, unit),
    text: [
      step.tool === 'board'
        ? `${step.name}. ${scoreLyingInWords(step)}, ${edge} against the ${kit.board.fence} fence.`
        : `${step.name}. ${scoreLyingInWords(step)}, measured from ${edge}.`,
      `${sayWhere(step, kit)}${sayTurns(step)}.`,
      ...partsInWords(step, cutUnit(kit)),
    ].join(' '),
    line: `${step.name}: ${formatLength(step.reading, unit)} ${fromEdges(step)}${stretchInLine(step)}`,
  };
}

function sayFold({ name, inwards, outwards }: FoldStep) {
  const all = inwards + outwards;
  const ways =
    outwards === 0
      ? 'all towards the inside'
      : inwards === 0
        ? 'all towards the outside'
        : `${countInWords(inwards)} towards the inside, ${countInWords(outwards)} (dash-dot) towards the outside`;
  return {
    figure: all === 1 ? 'Fold and burnish' : `Burnish ${countInWords(all)} folds`,
    text: `${name}. Fold every score, ${ways}, and run the burnisher along it. Then open it again.`,
    line: `${name}: burnish every score`,
  };
}

/** What holds flaps so narrow, of what the maker has. */
function meansFor(narrow: Length, { adhesives }: Kit): string {
  const tape = tapeFor(narrow, adhesives);
  const glue = wetGlueIn(adhesives);
  if (tape && glue) return `${tape.name}, or ${glue.name.toLowerCase()}`;
  if (tape) return tape.name;
  if (!glue)
    return adhesives.length === 0
      ? 'Glue or tape is missing among your tools'
      : 'Every tape of yours is wider than the flaps: wet glue is missing among your tools';
  return adhesives.length > 1 ? `${glue.name}: the flap is too narrow for your tapes` : glue.name;
}

/** Where other flaps than tabs go, which may go to several places. */
function ontoInLine({ role, onto, count }: GlueStep): string {
  if (role === 'tab' || role === 'seam' || role === onto) return '';
  return ` onto the ${roleInWords(onto, count)}`;
}

function sayGlue(step: GlueStep, kit: Kit) {
  const { name, role, onto, adhesiveOn, narrow, round } = step;
  // A seam is one strip, over however many panels it runs.
  const count = role === 'seam' ? 1 : step.count;
  const what = severalInWords(count, role);
  const means = meansFor(narrow, kit);
  const last = round
    ? `Put it over the finished ${round.toLowerCase()} first and glue ${what} there, so that it fits.`
    : `Adhesive on the ${adhesiveOn} face of ${what}, then press ${count === 1 ? 'it' : 'them'} onto the ${roleInWords(onto, count)}${role === onto ? ' below' : ''}.`;
  return {
    figure: round ? `The last ${countInWords(count)}` : `Glue ${what}`,
    text: `${name}. ${last} ${means}.`,
    line: round
      ? `${name}: last ${countInWords(count)}, over the ${round.toLowerCase()}`
      : `${name}: glue ${what}${ontoInLine(step)}`,
  };
}

function sayJoin({ name, how, onto }: JoinStep) {
  const [piece, other] = [name.toLowerCase(), onto.toLowerCase()];
  switch (how) {
    case 'glue':
      return {
        figure: `Glue the ${piece} on`,
        text: `${name}. Glue it to the ${other}, straight and flush; hold it until it grips.`,
        line: `${name}: glue to the ${other}`,
      };
    case 'over':
      return {
        figure: `${name} on`,
        text: `${name}. Slide it over the ${other}; it should go on with a light tug.`,
        line: `${name}: over the ${other}`,
      };
    case 'into':
      return {
        figure: `${name} in`,
        text: `${name}. Slide it into the ${other}.`,
        line: `${name}: into the ${other}`,
      };
    case 'place':
      return {
        figure: `${name} in place`,
        text: `${name}. Put it in its place at the ${other}.`,
        line: `${name}: in its place`,
      };
  }
}

const ordinals = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth'];

/** What is folded in: all of them, or the one whose turn it is. */
function whatCloses({ count, role, turn }: CloseStep): string {
  if (!turn) return severalInWords(count, role);
  const which = turn.nth === turn.of ? 'last' : (ordinals[turn.nth - 1] ?? 'next');
  return `the ${which} ${roleInWords(role, 1)}`;
}

function sayClose(step: CloseStep) {
  const { name, count, isLast, hooked } = step;
  const what = whatCloses(step);
  if (hooked)
    return {
      figure: 'Hook the corners',
      text: `${name}. Fold the corners against their walls and push each into the slit of the other: nothing is glued.`,
      line: `${name}: hook the corners`,
    };
  return isLast
    ? {
        figure: `Tuck in ${what}`,
        text: `${name}. Tuck in ${what}; nothing is glued here.`,
        line: `${name}: tuck in ${what}`,
      }
    : {
        figure: `Fold in ${what}`,
        text: `${name}. Fold in ${what} and leave ${count === 1 ? 'it' : 'them'} unglued; what comes next holds ${count === 1 ? 'it' : 'them'}.`,
        line: `${name}: fold in ${what}`,
      };
}

/** What goes through the holes of a piece, and how it holds. */
function sayFasten({ name, with: means, places: { length } }: FastenStep) {
  const holes = ['', 'the hole', 'both holes'][length] ?? `all ${countInWords(length)} holes`;
  const said = {
    'ribbon pull': [
      'Thread the pull',
      `Thread a loop of ribbon through ${holes} from the outside and knot or tape its ends inside, while the wall lies flat.`,
    ],
    wire: [
      'Put the wire on',
      `Bend a wire to a handle, push its ends through ${holes} from the outside and curl them up inside.`,
    ],
    ribbon: ['Tie the ribbon', `Thread a ribbon through ${holes}, draw it together and tie it.`],
    brad: ['Close with the brad', `Push the brad through ${holes} and spread its legs.`],
    tongue: ['Close with the tongue', 'Bend the tongue over and push it through the slot.'],
  } as const;
  const [figure, sentence] = said[means];
  return {
    figure,
    text: `${name}. ${sentence}`,
    line: `${name}: ${figure.charAt(0).toLowerCase()}${figure.slice(1)}`,
  };
}

function sayWork(step: JobStep, kit: Kit): Omit<JobWords, 'counted'> {
  const { work } = step;
  switch (work.kind) {
    case 'trim':
      return sayTrim(work, kit);
    case 'punch':
      return sayPunch(work, kit);
    case 'score':
      return sayScore(work, kit);
    case 'fold':
      return sayFold(work);
    case 'glue':
      return sayGlue(work, kit);
    case 'join':
      return sayJoin(work);
    case 'close':
      return sayClose(work);
    case 'fasten':
      return sayFasten(work);
    case 'gift':
      return { figure: 'Gift in', text: 'Put the gift in.', line: 'Gift in' };
    case 'slit':
      return saySnip(slitHeadline(work), work.name, stepInWords(work, kit));
    case 'slant':
      return withDetail(
        saySnip(slantHeadline(work), work.name, stepInWords(work, kit)),
        slantDetail(work, cutUnit(kit)),
      );
    case 'taper':
      return withDetail(
        saySnip(taperHeadline(work), work.name, stepInWords(work, kit)),
        taperDepth(work, cutUnit(kit)),
      );
    case 'snip':
      return withDetail(
        saySnip(snipHeadline(work), work.name, stepInWords(work, kit)),
        snipDetail(work, kit),
      );
  }
}

/** What tells things that are cut by hand from others of their kind: how much is cut off, or how round. */
function snipDetail({ shape, size, punch }: SnipStep, kit: Kit): string | undefined {
  if (size === undefined || punch !== undefined) return undefined;
  if (shape === 'trim') return formatNearest(size, cutUnit(kit));
  return shape === 'corner' ? `${formatNearest(times(size, 2), cutUnit(kit))} round` : undefined;
}

/** Steps of one kind on one piece are told apart in the list by what makes them two. */
function withDetail<Words extends { readonly line: string }>(
  said: Words,
  detail: string | undefined,
): Words {
  return detail === undefined ? said : { ...said, line: `${said.line}, ${detail}` };
}

function sayPunch(step: PunchStep, kit: Kit) {
  const { setting, board, name } = step;
  const unit = (board === 'diagonal' ? kit.diagonalBoard : kit.cornerBoard)?.unit;
  const headline = punchHeadline(step);
  const figure =
    setting.kind === 'mark'
      ? `${setting.name === undefined ? '' : `${setting.name}, `}${formatWithUnit(setting.at, unit ?? cutUnit(kit))}`
      : headline;
  return {
    ...saySnip(headline, name, punchInWords(step, kit)),
    figure,
    line: setting.kind === 'mark' ? `${name}: ${figure}` : `${name}: ${headline.toLowerCase()}`,
  };
}

function saySnip(headline: string, name: string, sentence: string) {
  return {
    figure: capitalised(headline),
    text: sentence.replace(
      /^([^:]+): (.)/,
      (_, piece: string, first: string) => `${piece}. ${first.toUpperCase()}`,
    ),
    line: `${name}: ${headline.charAt(0).toLowerCase()}${headline.slice(1)}`,
  };
}

/** A step as it is said at the table. */
export function sayJobStep(step: JobStep, kit: Kit): JobWords {
  const { figure, text, line } = sayWork(step, kit);
  const { name, kind } = step.work;
  const things = kind === 'gift' ? 'boxes' : kind === 'trim' ? 'cuts' : plural(name);
  return { figure, text, line, counted: `${things} ${participles[kind]}` };
}
