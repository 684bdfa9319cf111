import {
  minus,
  zero,
  formatGap,
  formatWithUnit,
  inchFraction,
  millimetres,
  roundToGrid,
  smallest,
  type Length,
  type Unit,
} from '../length/index.ts';
import type { Plan, PlannedPair } from '../planning/index.ts';
import { papersOf, type PlanRequest } from '../request/index.ts';
import { flatOperations, leftOver, missingTools } from '../make/index.ts';
import { cutSizeOf } from '../piece/index.ts';
import { readOnMarks, scoringMeans, type Kit } from '../tools/index.ts';
import { capitalised, countInWords, inRow } from './plain.ts';

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

/** Clearances are told to the nearest 1/64 in or 0.1 mm. */
function roundedClearance(length: Length, unit: Unit): Length {
  return roundToGrid(length, unit === 'inch' ? inchFraction(1, 64) : millimetres(0.1));
}

/** A clearance, said to be about that where it is not quite. */
function about(length: Length, unit: Unit): string {
  const rounded = roundedClearance(length, unit);
  return `${rounded === length ? '' : 'about '}${formatWithUnit(rounded, unit)}`;
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
    const wanted = about(target, unit);
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
  return {
    about: 'gift',
    state: 'holds',
    text: ['Gift has ', about(smallest(across, deep), unit), ' each side'],
    detail: `${capitalised(about(across, unit))} ${places.across}, ${about(deep, unit)} ${places.deep}, ${about(high, unit)} ${places.high}.${roomAskedInWords(plan, request)}`,
  };
}

const pairWords: Record<PlannedPair['kind'], Record<PlannedPair['state'], string>> = {
  lid: {
    holds: 'Lid slides with a light tug, ',
    loose: 'Lid is loose: ',
    tight: 'Lid is tight: ',
  },
  drawer: { holds: 'Drawer slides, ', loose: 'Drawer is loose: ', tight: 'Drawer sticks: ' },
  hinge: { holds: 'Lid closes, ', loose: 'Lid is loose: ', tight: 'Lid is tight: ' },
  handle: { holds: 'Handle lies on the sides, ', loose: 'Handle bows: ', tight: 'Handle pulls: ' },
  tuck: { holds: 'Flap tucks in, ', loose: 'Flap is loose: ', tight: 'Flap is tight: ' },
  level: {
    holds: 'Lid lies level, ',
    loose: 'Lid stands up at its hinge: ',
    tight: 'Lid is drawn down at its hinge: ',
  },
  seat: {
    holds: 'Seat spans the base, ',
    loose: 'Seat is short: ',
    tight: 'Seat is too long: ',
  },
  liner: { holds: ' drops in, ', loose: ' is loose: ', tight: ' is tight: ' },
};

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
  const { kind, state, gap } = worst;
  const inside = kind === 'liner' && pieces.find(({ id }) => id === worst.inner);
  const words =
    kind === 'lid' && state === 'tight' && gap <= 0
      ? 'Lid jams: '
      : `${inside ? inside.name : ''}${pairWords[kind][state]}`;
  return [
    {
      about: 'fit',
      state: pairState[state],
      text: [words, formatGap(gap), ''],
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
    text: ['', `${total} ${total === 1 ? 'sheet' : 'sheets'}`, left.join('')],
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
