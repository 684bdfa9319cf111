import { minus, zero, formatGap, formatWithUnit, smallest, type Length } from '../length/index.ts';
import type { Plan, PlannedPair } from '../planning/index.ts';
import { papersOf, type PlanRequest } from '../request/index.ts';
import { flatOperations, leftOver, missingTools } from '../make/index.ts';
import { cutSizeOf } from '../piece/index.ts';
import { readOnMarks, scoringMeans, type Kit } from '../tools/index.ts';
import { clearanceInWords, roundedClearance } from './clearance.ts';
import { capitalised, counted, countInWords, inRow } from './plain.ts';

/** One answer to what makers check before they cut. */
export interface Verdict {
  readonly about: 'gift' | 'fit' | 'marks' | 'paper';
  /** Whether it holds, wants care, or is wrong; undefined for a plain fact. */
  readonly state?: 'holds' | 'care' | 'wrong';
  /** The sentence in three parts; the middle one is the figure. */
  readonly text: readonly [string, string, string];
  /** A second sentence for who wants to know more. */
  readonly detail?: string;
}

const places = { across: 'at the sides', deep: 'at front and back', high: 'over the top' } as const;
const directions = ['across', 'deep', 'high'] as const;

/** Where the room is not what was asked for, as it is told: what was asked; empty where it is. */
function roomAskedInWords({ room }: Plan, request: PlanRequest): string {
  const { unit } = request;
  const asked = new Map<string, string[]>();
  for (const each of directions) {
    const { target } = request.room[each];
    if (roundedClearance(target, unit) === roundedClearance(room[each], unit)) continue;
    const wanted = clearanceInWords(target, unit);
    asked.set(wanted, [...(asked.get(wanted) ?? []), places[each]]);
  }
  if (asked.size === 0) return '';
  const told = [...asked].map(([wanted, where]) => `${wanted} ${inRow(where)}`).join(', ');
  const why =
    request.made.length > 0
      ? 'what is cut already leaves this'
      : 'the scores on your marks come to this';
  return ` You asked for ${told}: ${why}.`;
}

function giftVerdict(plan: Plan, request: PlanRequest): Verdict {
  const { across, deep, high } = plan.room;
  const { unit } = request;
  const least = smallest(across, deep);
  return {
    about: 'gift',
    state: 'holds',
    text:
      roundedClearance(least, unit) === 0
        ? ['The gift ', 'just fits', ' at the sides']
        : ['The gift has ', clearanceInWords(least, unit), ' on each side'],
    detail: `${capitalised(clearanceInWords(across, unit))} ${places.across}, ${clearanceInWords(deep, unit)} ${places.deep}, ${clearanceInWords(high, unit)} ${places.high}.${roomAskedInWords(plan, request)}`,
  };
}

/** What slides, closes or lies there, and how that is said. */
interface PairWords {
  /** Undefined where it is called by its piece’s name. */
  readonly what?: string;
  readonly holds: string;
  readonly tight: string;
  /** What it is where it is larger than its place, or its place than it. */
  readonly tooFar: 'small' | 'large' | 'short';
}

const pairWords: Readonly<Record<Exclude<PlannedPair['kind'], 'level'>, PairWords>> = {
  lid: { what: 'lid', holds: 'slides on', tight: 'is tight', tooFar: 'small' },
  drawer: { what: 'drawer', holds: 'slides', tight: 'sticks', tooFar: 'large' },
  hinge: { what: 'lid', holds: 'closes', tight: 'is tight', tooFar: 'small' },
  handle: { what: 'handle', holds: 'lies on the sides', tight: 'pulls', tooFar: 'short' },
  tuck: { what: 'flap', holds: 'tucks in', tight: 'is tight', tooFar: 'large' },
  seat: { what: 'seat', holds: 'spans the base', tight: 'is tight', tooFar: 'large' },
  liner: { holds: 'drops in', tight: 'is tight', tooFar: 'large' },
};

/** How one thing goes with another, in a sentence of three parts with the figure in the middle. */
function pairInWords(
  { kind, state, gap, inner }: PlannedPair,
  nameOf: (piece: string) => string,
): Verdict['text'] {
  const amount = formatGap(gap < 0 ? minus(zero, gap) : gap);
  if (kind === 'level') {
    if (state === 'holds') return ['The lid lies level within ', amount, ''];
    return gap < 0
      ? ['The lid is drawn down ', amount, ' at its hinge']
      : ['The lid stands up ', amount, ' at its hinge'];
  }
  const words = pairWords[kind];
  const what = `The ${words.what ?? nameOf(inner)}`;
  if (gap < 0 || (gap === 0 && state === 'tight'))
    return [`${what} is `, amount, ` too ${words.tooFar}`];
  if (state === 'holds') return [`${what} ${words.holds} with `, amount, ' to spare'];
  return state === 'loose'
    ? [`${what} is loose, with `, amount, ' to spare']
    : [`${what} ${words.tight}, with only `, amount, ' to spare'];
}

const pairState = { holds: 'holds', loose: 'care', tight: 'wrong' } as const;

const ways = { across: 'side to side', deep: 'front to back', high: 'in height' } as const;

/** What goes together with what, of one piece. */
const onePiece: Readonly<Partial<Record<PlannedPair['kind'], string>>> = {
  hinge: 'the lid and the walls',
  seat: 'the seat and the walls',
};

/** How a gap comes about: what is between the folds of the one piece, of the other, and the card in between. */
function ruleInWords(
  { outer, inner }: PlannedPair,
  { direction, gap, rule }: PlannedPair['fits'][number],
  { nameOf, kit }: { readonly nameOf: (piece: string) => string; readonly kit: Kit },
): string | undefined {
  if (!rule || outer === inner) return undefined;
  const told = (length: Length) => {
    const read = readOnMarks(length, kit);
    return `${read.isAbout ? 'about ' : ''}${formatWithUnit(read.length, read.unit)}`;
  };
  const rest =
    gap < 0
      ? `that is ${formatGap(minus(zero, gap))} more than there is`
      : `${formatGap(gap)} is left`;
  return `${capitalised(ways[direction])}: ${told(rule.outer)} between the folds of the ${nameOf(outer)}, less ${told(rule.inner)} between those of the ${nameOf(inner)} and ${formatGap(rule.layers)} of card: ${rest}.`;
}

function pairDetail(
  pair: PlannedPair,
  named: { readonly nameOf: (piece: string) => string; readonly kit: Kit },
): string {
  const { kind, outer, inner, gap, fits } = pair;
  const rules = fits.map((fit) => ruleInWords(pair, fit, named));
  if (rules.every((rule) => rule !== undefined)) return rules.join(' ');
  if (kind === 'level')
    return gap < 0
      ? `At the hinge the lid lies ${formatGap(minus(zero, gap))} below level.`
      : `At the hinge the lid stands ${formatGap(gap)} above level.`;
  const gaps = fits.map(({ gap, direction }) => `${formatGap(gap)} ${ways[direction]}`).join(', ');
  const inOnePiece = onePiece[kind] ?? 'the flap and its wall';
  const both = outer === inner ? inOnePiece : `${outer} and ${inner}`;
  return `Between ${both} in all: ${gaps}.`;
}

/** The pair that fits worst speaks for all of them. */
function pairVerdicts({ pairs, pieces }: Plan, kit: Kit): readonly Verdict[] {
  const nameOf = (piece: string) =>
    (pieces.find(({ id }) => id === piece)?.name ?? piece).toLowerCase();
  const order = ['tight', 'loose', 'holds'];
  const [worst] = [...pairs].sort((a, b) => order.indexOf(a.state) - order.indexOf(b.state));
  if (!worst) return [];
  const { state } = worst;
  return [
    {
      about: 'fit',
      state: pairState[state],
      text: pairInWords(worst, nameOf),
      detail: pairs.map((pair) => pairDetail(pair, { nameOf, kit })).join(' '),
    },
  ];
}

function linesOf({ marks }: Plan, piece: string) {
  return marks.filter((each) => each.piece === piece).flatMap(({ readings }) => readings);
}

function marksVerdict(plan: Plan, { kit }: PlanRequest): Verdict {
  const work = plan.pieces.flatMap((piece) => flatOperations(piece, linesOf(plan, piece.id), kit));
  const [missing] = missingTools(work, kit);
  if (missing)
    return {
      about: 'marks',
      state: 'wrong',
      text: ['A ', missing.tool, ' is missing'],
      detail: 'Some lines are on no tool’s marks: they are scored along a ruler. Add one in Tools.',
    };
  const isOnBoard = plan.pieces.every(({ punchBoard }) => punchBoard === undefined);
  const mark = isOnBoard && scoringMeans(kit)?.tool === 'board' ? 'groove' : 'mark';
  return plan.offGrid === 0
    ? {
        about: 'marks',
        state: 'holds',
        text: ['', 'Every score', ` is on a ${mark}`],
      }
    : {
        about: 'marks',
        state: 'care',
        text: [
          '',
          capitalised(`${countInWords(plan.offGrid)} ${plan.offGrid === 1 ? 'score' : 'scores'}`),
          plan.offGrid === 1 ? ` falls between ${mark}s` : ` fall between ${mark}s`,
        ],
        detail: 'The cut list says where they are, to be scored along a ruler.',
      };
}

function paperVerdict(plan: Plan, request: PlanRequest): Verdict {
  const total = plan.sheets.reduce((sum, { sheets }) => sum + sheets, 0);
  const pieces = plan.pieces.map((piece) => ({ ...piece, ...cutSizeOf(piece.grid) }));
  const { offcuts, waste } = leftOver(plan.sheets, pieces, request);
  const left = [
    { share: Math.round(offcuts * 100), what: 'offcuts' },
    { share: Math.round(waste * 100), what: 'waste' },
  ].flatMap(({ share, what }) => (share === 0 ? [] : [`, ${share}% ${what}`]));
  const detail = plan.sheets
    .map(({ paper, sheets }) => {
      const found = papersOf(request).find(({ id }) => id === paper);
      return `${sheets} of ${found?.name ?? paper}, ${found?.sheet.name ?? ''}`;
    })
    .join('; ');
  return {
    about: 'paper',
    text: ['', capitalised(counted(total, 'sheet')), left.join('')],
    detail: `${detail}.`,
  };
}

/** What makers check, in the order in which they ask: the gift, the fit, the marks, the paper. */
export function verdictsOf(plan: Plan, request: PlanRequest): readonly Verdict[] {
  return [
    giftVerdict(plan, request),
    ...pairVerdicts(plan, request.kit),
    marksVerdict(plan, request),
    paperVerdict(plan, request),
  ];
}
