import { heldApart } from '../additions/index.ts';
import { extentsOf, waysUp, type DirectedRoom, type Gift } from '../gift/index.ts';
import { half, minus, plus, smallest, times, zero } from '../length/index.ts';
import { StagedSolver } from '../marks/index.ts';
import type { StyleFrame, StyleSection } from '../forms/index.ts';
import { papersOf, type PlanRequest, type Problem } from '../request/index.ts';
import { begin, type Begun } from './begin-box.ts';
import { styleSummary } from '../styles/index.ts';
import { compareCard, leastCard, type CardUse } from './least-card.ts';
import { judgePairs, worstState, type BothLeans } from './judge-pairs.ts';
import { boardProblems } from './kit-problems.ts';
import { readingsOf } from './piece-readings.ts';
import type { Plan } from './plan.ts';
import { drawBox, type DrawnBox, type SolvedFrame } from './put-to-solver.ts';
import { mayBeTooLarge, sheetProblems } from './sheet-problems.ts';
import { snapMade } from './snap-made.ts';
import { standOnSheets, type LaidOut, type Standing } from './standing.ts';

export type PlanResult =
  | { readonly ok: true; readonly plan: Plan }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/**
 * The one way in: a request becomes a plan, or sentences that say which field stands in the way and how to get
 * round it. A gift that may stand any way up is boxed the way in which everything holds, then that takes the fewest
 * sheets for the box itself, then the least card: what it wears doesn't turn the gift round. What a punch board can't
 * make is made along a ruler. Pure; the request has been parsed by its schema.
 */
export function planBox(asked: PlanRequest): PlanResult {
  const result = chooseBox(asked);
  return result.ok ? { ok: true, plan: finish(result) } : result;
}

/** A box that is chosen: every length of it, and how its pieces lie on their sheets. */
export interface ChosenBox {
  readonly standing: Standing;
  readonly laidOut: Extract<LaidOut, { ok: true }>;
}

type Choice =
  | ({ readonly ok: true } & ChosenBox)
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** The box of which `planBox` tells the plan. */
export function chooseBox(asked: PlanRequest): Choice {
  const [first, ...papers] = papersOf(asked);
  const gift = heldApart(asked.gift, asked.additions);
  const request: PlanRequest = { ...asked, gift, papers: [first, ...papers] };
  const result = planWith(request);
  if (result.ok) return result;
  const byHand = withoutItsPunchBoard(request);
  const again = byHand && planWith(byHand);
  // Where only what it is to wear stands in the way along a ruler, the punch board is no way out.
  return again && (again.ok || again.problems.some(isOfDress)) ? again : result;
}

/** The same for a kit without the punch board of its kind of box; undefined where it has none. */
function withoutItsPunchBoard(request: PlanRequest): PlanRequest | undefined {
  const { diagonalBoard, cornerBoard, ...kit } = request.kit;
  const { punchBoard } = styleSummary(request.style.style);
  if (punchBoard === 'diagonal' && diagonalBoard)
    return { ...request, kit: { ...kit, ...(cornerBoard && { cornerBoard }) } };
  if (punchBoard === 'corner' && cornerBoard)
    return { ...request, kit: { ...kit, ...(diagonalBoard && { diagonalBoard }) } };
  return undefined;
}

function planWith(request: PlanRequest): Choice {
  const made = [...snapMade(request.made, request.kit)];
  const solver = new StagedSolver();
  const begun = waysUp(request.gift).map((gift) => begin({ ...request, gift, made }, solver));
  // Where everything holds one way up, what doesn't hold is not looked for in any other.
  const holding = allHolding(begun);
  const held = layOutBest([...holding.values()]);
  if (held) return { ok: true, ...held };
  const tried = standAsNearAsCan(begun, holding, solver);
  const refused = new Set(holding.values());
  const left = tried.flatMap((each) =>
    each.ok && !refused.has(each.standing) ? [each.standing] : [],
  );
  const best = layOutBest(left);
  if (best) return { ok: true, ...best };
  const closer = layOutBest(tried.flatMap((each) => (each.ok ? (each.closer?.() ?? []) : [])));
  if (closer) return { ok: true, ...closer };
  return { ok: false, problems: problemsToTell(tried, request) };
}

/** The best of those that can be laid out on their sheets; undefined where none can. */
function layOutBest(all: readonly Standing[]): ChosenBox | undefined {
  for (const standing of all.toSorted(byCard)) {
    const laidOut = standing.layOut();
    if (laidOut.ok) return { standing, laidOut };
  }
  return undefined;
}

function isOfDress({ field }: Problem): boolean {
  return field.startsWith('additions');
}

/** One way up is enough to say what stands in the way: one in which it is only what the box is to wear, if there is one. */
function problemsToTell(tried: readonly Stood[], { additions }: PlanRequest): readonly Problem[] {
  const refused = tried.flatMap((each) => {
    const answer = each.ok ? each.standing.layOut() : each;
    return answer.ok ? [] : [answer];
  });
  const nearest =
    additions.length === 0
      ? undefined
      : refused.map(({ problems }) => problems()).find((all) => all.some(isOfDress));
  return nearest ?? refused[0]?.problems() ?? [];
}

/** What stands in the way is worked out only when it is told. */
type Stood =
  | {
      readonly ok: true;
      readonly standing: Standing;
      /** The same with less room, where what it wears has none on its sheets otherwise. */
      readonly closer?: () => Standing | undefined;
    }
  | { readonly ok: false; readonly problems: () => readonly Problem[] };

const states = ['holds', 'loose', 'tight'] as const;

/** What holds first, then the fewest sheets, then how much of them is used. */
function byCard(one: Standing, other: Standing): number {
  const rank = ({ leans }: Standing) => states.indexOf(worstState(leans.box));
  return rank(one) - rank(other) || compareCard(one.card(), other.card());
}

/** Whether something jams in a box even where it is rather made loose than tight. */
function isTightAtBest({ box, otherwise }: BothLeans, { lean }: PlanRequest): boolean {
  if (worstState(box) !== 'tight') return false;
  if (lean === 'loose') return true;
  const looser = otherwise();
  return looser === undefined || worstState(looser) === 'tight';
}

/** The same request with so much of the room that it wishes for beyond the least. */
function wishingLess(request: PlanRequest, share: number): PlanRequest {
  const { across, deep, high } = request.room;
  const less = ({ target, floor }: DirectedRoom): DirectedRoom => ({
    target: plus(floor, times(minus(target, floor), share)),
    floor,
  });
  return { ...request, room: { across: less(across), deep: less(deep), high: less(high) } };
}

/** A gift one way up in a box with the room that is wished for, or else with half of it or the least that will do. */
function stand(wishing: Begun, solver: StagedSolver): Stood {
  const wished = standIn(wishing);
  return wished.ok
    ? orCloser(wishing, wished.standing, solver)
    : standCloser(wishing, wished, solver);
}

/** What stands in the room that is wished for, and with less where its sheets have no room for what it wears. */
function orCloser(wishing: Begun, standing: Standing, solver: StagedSolver): Stood {
  const wished = { ok: true as const, standing };
  return {
    ...wished,
    closer: () => {
      const laidOut = standing.layOut();
      if (laidOut.ok || laidOut.why === 'refused') return undefined;
      const closer = standCloser(wishing, wished, solver);
      return closer.ok ? closer.standing : undefined;
    },
  };
}

/** The same with half of the room that is wished for or the least that will do; where that is no help, what was found. */
function standCloser(wishing: Begun, wished: Stood, solver: StagedSolver): Stood {
  const { request } = wishing;
  const wishingLeast = begin(wishingLess(request, 0), solver);
  // Where it has no more to choose from, there is no more to be found.
  if (wishing.ok && (!wishingLeast.ok || isNoWider(wishingLeast.bare, wishing.bare))) return wished;
  const least = standIn(wishingLeast);
  if (!least.ok) return wished;
  const some = standIn(begin(wishingLess(request, 0.5), solver));
  return some.ok ? some : least;
}

/** Whether no section of a frame may come smaller than in another one of the same kind. */
function isNoWider(frame: StyleFrame, than: StyleFrame): boolean {
  const leastOf = ({ least, scant }: StyleSection) => smallest(least, scant ?? least);
  const least = new Map(than.sections.map((section) => [section.id, leastOf(section)]));
  return frame.sections.every((section) => leastOf(section) >= (least.get(section.id) ?? zero));
}

/** The ways up in which everything holds, in their order; not all of those that surely take more card. */
function allHolding(begun: readonly Begun[]): ReadonlyMap<Begun, Standing> {
  const found = eachByLeastCard(
    begun,
    (each) => ({ each, standing: standHolding(each) }),
    ({ standing }) => standing?.card(),
  );
  return new Map(found.flatMap(({ each, standing }) => (standing ? [[each, standing]] : [])));
}

/**
 * The ways up where nothing holds: once one is only loose, those that surely take more card in the room that is wished
 * for are no better.
 */
function standAsNearAsCan(
  begun: readonly Begun[],
  holding: ReadonlyMap<Begun, Standing>,
  solver: StagedSolver,
): readonly Stood[] {
  return eachByLeastCard(
    begun,
    (each) => {
      const held = holding.get(each);
      return held ? orCloser(each, held, solver) : stand(each, solver);
    },
    (stood) =>
      stood.ok && worstState(stood.standing.leans.box) === 'loose'
        ? stood.standing.card()
        : undefined,
  );
}

/**
 * Tries the ways up, those first that may take the least card, until what is left surely takes more than one that is
 * good enough. What was tried, in the order of the ways up.
 */
function eachByLeastCard<Tried>(
  begun: readonly Begun[],
  tryOut: (each: Begun) => Tried,
  goodEnough: (tried: Tried) => CardUse | undefined,
): readonly Tried[] {
  const ways = begun
    .map((each) => ({ each, least: leastOf(each) }))
    .sort((a, b) => compareCard(a.least, b.least));
  const tried = new Map<Begun, Tried>();
  let best: CardUse | undefined;
  for (const { each, least } of ways) {
    if (best && compareCard(least, best) > 0) continue;
    const found = tryOut(each);
    tried.set(each, found);
    // With nothing left to compare it to it is no matter what it takes.
    if (each === ways.at(-1)?.each) break;
    const card = goodEnough(found);
    if (card && (!best || compareCard(card, best) < 0)) best = card;
  }
  return begun.flatMap((each) => {
    const found = tried.get(each);
    return found === undefined ? [] : [found];
  });
}

/** What a box takes at the least; what is cut already may be smaller than its frame lets it. */
function leastOf(begun: Begun): CardUse {
  if (!begun.ok || begun.request.made.length > 0) return { sheets: 0, used: 0 };
  return leastCard(begun.bare, begun.request.papers);
}

/** A gift one way up in a box with the room that is wished for, where everything holds. */
function standHolding(begun: Begun): Standing | undefined {
  const dressed = begun.ok ? begun.dressed() : undefined;
  const box = dressed?.ok ? dressed.lengths.held() : undefined;
  if (!box || boardProblems(box, begun.request).length > 0) return undefined;
  const stood = standOnSheets(box, begun.request);
  return stood.ok ? stood.standing : undefined;
}

function standIn(begun: Begun): Stood {
  if (!begun.ok) return { ok: false, problems: () => begun.problems };
  const { request } = begun;
  const dressed = begun.dressed();
  if (!dressed.ok) return { ok: false, problems: () => dressed.problems };
  const { frame, lengths } = dressed;
  const box = lengths.best();
  if (!box && request.made.length > 0) return { ok: false, problems: () => [beyondRescue] };
  if (!box) return { ok: false, problems: () => withWayOut(sheetProblems(request, frame)) };
  const stood = standOnSheets(box, request);
  if (!stood.ok) return stood;
  const { standing } = stood;
  // Where a larger lid would go on, it is its sheet that leaves no room for it.
  if (mayBeTooLarge(request, frame) && isTightAtBest(standing.leans, request)) {
    const problems = sheetProblems(request, frame);
    if (problems.length > 0) return { ok: false, problems: () => problems };
  }
  const offBoard = boardProblems(box, request);
  if (offBoard.length > 0) return { ok: false, problems: () => offBoard };
  return { ok: true, standing };
}

function finish({
  standing: { request, leans },
  laidOut: { sheets, drawn: known },
}: ChosenBox): Plan {
  const { box } = leans;
  const drawn = known ?? drawnBox(box, request.kit);
  const marks = drawn.pieces.map((marked) => readingsOf(marked, request.kit));
  const { pairs, finerStep } = judgePairs(leans, request);
  return {
    version: 1,
    style: request.style,
    gift: request.gift,
    pieces: drawn.pieces.map(({ piece }) => piece),
    clearInside: { ...drawn.clearInside },
    room: roomLeft(request.gift, drawn),
    pairs: [...pairs],
    depths: drawn.depths,
    ...(finerStep !== undefined && { finerStep }),
    marks,
    offGrid: marks.flatMap(({ readings }) => readings).filter(({ onGroove }) => !onGroove).length,
    sheets: sheets.map((use) => ({ ...use, placements: [...use.placements] })),
    assembly: drawn.assembly,
  };
}

/** A box that wears nothing. */
function drawnBox(box: SolvedFrame, kit: PlanRequest['kit']): DrawnBox {
  const answer = drawBox(box, kit);
  if (!answer.ok) throw new Error(answer.refusal.message);
  return answer.box;
}

/** What is cut already leaves no box round this gift. */
const beyondRescue: Problem = {
  field: 'made',
  message:
    'No box goes round this gift with what is cut and scored already. Cut a piece again, or choose another gift.',
};

/** Where no sheet is too small, it is the marks that are too coarse. */
function withWayOut(problems: readonly Problem[]): readonly Problem[] {
  if (problems.length > 0) return problems;
  return [
    {
      field: 'gift',
      message: 'No marks of these tools come near this gift.',
    },
  ];
}

function roomLeft(gift: Gift, box: DrawnBox): Plan['room'] {
  const size = extentsOf(gift);
  return {
    across: half(minus(box.clearInside.across, size.across)),
    deep: half(minus(box.clearInside.deep, size.deep)),
    high: minus(box.clearInside.high, size.high),
  };
}
