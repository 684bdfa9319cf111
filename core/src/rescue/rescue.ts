import { planChanges } from '../compare/index.ts';
import {
  formatGap,
  formatSize,
  formatWithUnit,
  hair,
  isOnGrid,
  minus,
  type Length,
  type Unit,
} from '../length/index.ts';
import { asDrawn, cardSoFar, handlingOf, laidAs } from '../make/index.ts';
import { paperFor } from '../paper/index.ts';
import { cutSizeOf, type Piece } from '../piece/index.ts';
import { planWithLessRoom, type Plan } from '../planning/index.ts';
import { papersOf, type MadeWay, type PlanRequest } from '../request/index.ts';
import { cutListEntry, laidInWords } from '../words/index.ts';
import { cutDown, factsAfter, onTable, trimFor, trimmedAt } from './facts.ts';
import type { DoneSoFar, Mishap } from './mishap.ts';

/** A way to go on with what is made. */
export interface WayOn {
  readonly kind: 'go on' | 'trim' | 'another piece';
  /** The other piece that is cut again, so that it goes with this one. */
  readonly again?: string;
  /** Whether the box is as good as it was planned: what goes over what still holds. */
  readonly isGood: boolean;
  readonly request: PlanRequest;
  readonly plan: Plan;
  /** What to do about the piece, and what becomes of the others. */
  readonly sentences: readonly string[];
}

/** What can be done about a mishap: ways to go on, the best first, and what cutting again would take. */
export interface Rescue {
  readonly ways: readonly WayOn[];
  /** The piece as it was planned, where it is better cut again. */
  readonly again: string;
  /** Why nothing made so can be used, where there is no way on. */
  readonly why?: string;
}

/** A plan with what was asked for. */
interface Answered {
  readonly plan: Plan;
  readonly request: PlanRequest;
}

const order = ['holds', 'loose', 'tight'];

function worst({ pairs }: Plan): number {
  return Math.max(0, ...pairs.map(({ state }) => order.indexOf(state)));
}

/** How a piece is scored, one sentence for each way in which it lies: `Base: score at 5/8 in on all four sides.` */
function scoreSentences({ plan, request }: Answered, piece: Piece): readonly string[] {
  const paper = paperFor(papersOf(request), piece.paper);
  const { strips } = cutListEntry(plan, piece, paper, request.kit);
  return [...new Set(strips.map(({ said }) => `${piece.name}: ${said}.`))];
}

function changeSentences(old: Answered, now: Answered): readonly string[] {
  const { unit } = now.request.kit.trimmer;
  const made = new Set(now.request.made.map(({ piece }) => piece));
  const named = (id: string): Piece | undefined => now.plan.pieces.find((piece) => piece.id === id);
  return planChanges(old, now).pieces.flatMap(({ piece: id, sameSize, sameScores }) => {
    const piece = named(id);
    if (!piece) return [];
    const { width, height } = cutSizeOf(piece.grid);
    const cut =
      sameSize || made.has(id) ? [] : [`${piece.name}: cut it ${formatSize(width, height, unit)}.`];
    return [...cut, ...(sameScores ? [] : scoreSentences(now, piece))];
  });
}

function pairSentences({ pairs }: Plan): readonly string[] {
  return pairs.flatMap(({ kind, state }) => {
    if (state === 'holds') return [];
    const name = { lid: 'The lid', drawer: 'The drawer', liner: 'The liner' }[
      kind === 'drawer' || kind === 'liner' ? kind : 'lid'
    ];
    return [`${name} would be ${state === 'tight' ? 'too tight' : 'loose'}.`];
  });
}

/** The unit of the ruler that a depth is read on: the trimmer's, where it has a mark there. */
function readOn(depth: Length, { trimmer, board }: PlanRequest['kit']): Unit {
  return isOnGrid(depth, trimmer.step) ? trimmer.unit : board.unit;
}

/**
 * How the piece of a mishap lies when its edges are named: `Base, inside up, the longer edge at the top.`
 * Undefined where one lying can't be told from another.
 */
function lyingSentence(
  { plan, request }: Answered,
  piece: Piece,
  done: DoneSoFar,
  mishap: Mishap,
): string | undefined {
  const paper = paperFor(papersOf(request), piece.paper);
  const table = onTable(plan, done, mishap);
  const [across, down] = (['across', 'down'] as const).map((way) =>
    table.find((each) => each.way === way),
  );
  if (!across || !down) throw new Error(`${piece.id} is not on the table`);
  const laid = laidAs(cardSoFar({ across, down }, piece, paper), asDrawn, undefined);
  if (laid.features.some(({ kind }) => kind === 'turned')) return undefined;
  return `${piece.name}, ${laidInWords(laid, handlingOf(paper), request.kit.trimmer.unit)}.`;
}

type Try = WayOn | { readonly kind: 'none'; readonly why: string };

function roomSentence(plan: Plan, { room }: PlanRequest): readonly string[] {
  const ways = [
    ['at the sides', plan.room.across, room.across.floor],
    ['at front and back', plan.room.deep, room.deep.floor],
    ['over the top', plan.room.high, room.high.floor],
  ] as const;
  return ways.flatMap(([where, left, wanted]) =>
    // What is short by less than anybody measures is not short.
    left < minus(wanted, hair)
      ? [
          `The gift has less room than you asked for: ${formatGap(left)} ${where}, and not ${formatGap(wanted)}.`,
        ]
      : [],
  );
}

/** What is cut already keeps its print as it lies; the rest is as it was asked for. */
function topsKept({ plan, request }: Answered, made: readonly MadeWay[]): PlanRequest['printTops'] {
  const cut = new Set(made.map(({ piece }) => piece));
  const kept = plan.pieces.flatMap(({ id, printTop }) =>
    cut.has(id) && printTop ? [[id, printTop] as const] : [],
  );
  return { ...request.printTops, ...Object.fromEntries(kept) };
}

/** Plans a box round what is made; with less room for the gift where there is no other way. */
function wayOn(
  kind: WayOn['kind'],
  old: Answered,
  made: readonly MadeWay[],
  first: readonly string[],
): Try {
  const wanted = { ...old.request, made: [...made], printTops: topsKept(old, made) };
  const { request, result } = planWithLessRoom(wanted);
  if (!result.ok) return { kind: 'none', why: result.problems[0]?.message ?? '' };
  const { plan } = result;
  const changes = changeSentences(old, { plan, request });
  return {
    kind,
    isGood: request === wanted && worst(plan) <= worst(old.plan),
    request,
    plan,
    sentences: [
      ...first,
      ...(changes.length === 0 ? ['Everything else stays as it is.'] : changes),
      ...pairSentences(plan),
      ...roomSentence(plan, wanted),
    ],
  };
}

/** Ways in which one other piece that is cut already is cut again, to go with the one that came out otherwise. */
function cutAnother(
  old: Answered,
  facts: readonly MadeWay[],
  mishap: Mishap,
  first: readonly string[],
): readonly WayOn[] {
  const cut = new Set(facts.map(({ piece }) => piece));
  const kept = old.plan.pieces.find(({ id }) => id === mishap.piece)?.name.toLowerCase() ?? 'piece';
  return old.plan.pieces.flatMap(({ id, name }): readonly WayOn[] => {
    if (id === mishap.piece || !cut.has(id)) return [];
    const left = facts.filter(({ piece }) => piece !== id);
    const way = wayOn('another piece', old, left, [
      ...first,
      `Keep the ${kept}, and cut the ${name.toLowerCase()} again.`,
    ]);
    return way.kind !== 'none' && way.isGood ? [{ ...way, again: id }] : [];
  });
}

/**
 * What to do when a piece came out otherwise than planned: everything that is not cut yet is planned again
 * round it; where a score lies too far in, also with a strip cut off; and what it takes to cut it again.
 */
export function rescue(plan: Plan, request: PlanRequest, done: DoneSoFar, mishap: Mishap): Rescue {
  const old = { plan, request };
  const facts = factsAfter(plan, done, mishap);
  const piece = plan.pieces.find(({ id }) => id === mishap.piece);
  if (!piece) throw new RangeError(`No piece ${mishap.piece} in this box`);
  const { unit } = request.kit.trimmer;
  const name = piece.name.toLowerCase();
  const { width, height } = cutSizeOf(piece.grid);
  const size = formatSize(width, height, unit);
  const lying = lyingSentence(old, piece, done, mishap);
  const cutOff = (depth: Length, edge: string, how: string) =>
    `Cut ${formatWithUnit(depth, readOn(depth, request.kit))} off the ${name} at ${edge}${how}`;
  const torn =
    mishap.kind !== 'torn'
      ? []
      : lying === undefined
        ? [cutOff(mishap.depth, 'the torn edge', ', past the tear.')]
        : [lying, cutOff(mishap.depth, `the ${mishap.edge}`, ', past the tear.')];
  const tries = [wayOn('go on', old, facts, torn)];
  const down = cutDown(plan, facts, mishap);
  if (down) {
    // What is scored keeps its distance from the left and the top edge.
    const isScored = down.some((each) => each.piece === mishap.piece && each.marks.length > 0);
    const sentences = isScored
      ? [
          lying ?? `${piece.name}, as it lay for its first score.`,
          `Cut the ${name} down to ${size}, at the right and the bottom.`,
        ]
      : [`Cut the ${name} down to ${size}.`];
    tries.push(wayOn('trim', old, down, sentences));
  }
  const trim = trimFor(plan, mishap);
  if (trim) {
    const { edge, depth, way } = trim;
    const trimmed = facts.map((each) =>
      each.piece === mishap.piece && each.way === way ? trimmedAt(edge, depth, each) : each,
    );
    const sentences =
      lying === undefined
        ? [cutOff(depth, 'the edge that the score was measured from', ': then it is as planned.')]
        : [
            lying,
            cutOff(depth, `the ${edge}`, ': then the score is as far from its edge as planned.'),
          ];
    tries.push(wayOn('trim', old, trimmed, sentences));
  }
  const others = tries.some((each) => each.kind !== 'none' && each.isGood)
    ? []
    : cutAnother(old, facts, mishap, torn);
  const ways = [...tries, ...others]
    .flatMap((each) => (each.kind === 'none' ? [] : [each]))
    .sort((a, b) => Number(b.isGood) - Number(a.isGood));
  const refused = tries.find((each) => each.kind === 'none');
  return {
    ways,
    again: `Cut the ${name} again: ${size}.`,
    ...(ways.length === 0 && refused && { why: refused.why }),
  };
}
