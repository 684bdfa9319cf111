import type { StyleFrame, Worn } from '../forms/index.ts';
import { layOut as onSheets, type SheetPiece, type SheetUse } from '../make/index.ts';
import { paperFor } from '../paper/index.ts';
import { cutSizeOf } from '../piece/index.ts';
import type { PlanRequest, Problem } from '../request/index.ts';
import type { BothLeans } from './judge-pairs.ts';
import type { CardUse } from './least-card.ts';
import { cardHoweverTurned, cardOf } from './own-card.ts';
import { hasOneWayPrint, withPrintTops } from './print-tops.ts';
import {
  cutSizeIn,
  drawBox,
  solveFrameAgain,
  type DrawnBox,
  type SolvedFrame,
} from './put-to-solver.ts';
import { tooLargeForSheet } from './sheet-problems.ts';

/** Why a box can't be laid out, which is worked out only when it is told. */
interface Unlaid {
  readonly ok: false;
  readonly why: 'refused' | 'too large for its sheet';
  readonly problems: () => readonly Problem[];
}

/** The sheets of a box, with its pieces where they had to be drawn before these were known. */
export type LaidOut =
  { readonly ok: true; readonly sheets: readonly SheetUse[]; readonly drawn?: DrawnBox } | Unlaid;

/** A gift one way up, with a box whose every length is chosen. */
export interface Standing {
  readonly request: PlanRequest;
  readonly leans: BothLeans;
  /** What the box takes without what it wears; worked out once, and only where ways up are compared. */
  readonly card: () => CardUse;
  /** Works out all of its sheets, once. */
  readonly layOut: () => LaidOut;
}

/** How much of its sheets a box takes; what can't be laid out takes more than any that can. */
function cardUse(laidOut: LaidOut): CardUse {
  return laidOut.ok ? cardOf(laidOut.sheets) : { sheets: Infinity, used: Infinity };
}

const nothing: Worn = { pieces: [], parts: [], stacks: [] };

/** A box whose lengths are chosen, on sheets as far as must be known to compare it with others. */
export function standOnSheets(
  box: SolvedFrame,
  request: PlanRequest,
): { readonly ok: true; readonly standing: Standing } | Unlaid {
  const own = once(() => layOutOwn(box, request));
  const layOut = box.frame.wears ? once(() => layOutDrawn(box, request)) : own;
  // What it wears may turn its prints: whether its own pieces go on their sheets is known with that.
  const known = box.frame.wears ? undefined : own();
  if (known?.ok === false) return known;
  const card = once(() =>
    known
      ? cardOf(known.sheets)
      : (cardHoweverTurned(piecesIn(box), request.papers) ?? cardUse(own())),
  );
  return { ok: true, standing: { request, leans: bothLeans(box, request), card, layOut } };
}

/** A value that is worked out the first time that it is asked for. */
function once<Value>(work: () => Value): () => Value {
  let known: { readonly value: Value } | undefined;
  return () => (known ??= { value: work() }).value;
}

/** The box without what it wears on its sheets. */
function layOutOwn(box: SolvedFrame, request: PlanRequest): LaidOut {
  const papers = box.frame.pieces.map(({ paper }) => paperFor(request.papers, paper));
  if (hasOneWayPrint(papers)) {
    const frame: StyleFrame = { ...box.frame, wears: () => ({ ok: true, worn: nothing }) };
    return layOutDrawn({ ...box, frame }, request);
  }
  return { ok: true, sheets: onSheets(piecesIn(box), request.papers) };
}

/** The pieces of the box itself, at the lengths that are chosen. */
function piecesIn({ frame, solution }: SolvedFrame): readonly SheetPiece[] {
  return frame.pieces.map(({ id, paper, copies }) => ({
    id,
    paper,
    copies,
    ...cutSizeIn(solution, id),
  }));
}

/** What a box wears is cut to its pieces, and a print is turned to what it comes to: they are drawn first. */
function layOutDrawn(box: SolvedFrame, request: PlanRequest): LaidOut {
  const answer = drawBox(box, request.kit);
  if (!answer.ok) return { ok: false, why: 'refused', problems: () => [answer.refusal] };
  const drawn = withPrintTops(answer.box, request);
  const pieces = drawn.pieces.map(({ piece: { id, name, paper, copies, printTop, grid } }) => ({
    id,
    name,
    paper,
    copies,
    ...(printTop && { printTop }),
    ...cutSizeOf(grid),
  }));
  const tooLarge = pieces.flatMap((piece) => tooLargeForSheet(piece, request));
  if (tooLarge.length > 0)
    return { ok: false, why: 'too large for its sheet', problems: () => tooLarge };
  return { ok: true, sheets: onSheets(pieces, request.papers), drawn };
}

/** The other lean is worked out once, and only where it is asked for. */
function bothLeans(box: SolvedFrame, request: PlanRequest): BothLeans {
  const lean = request.lean === 'tight' ? 'loose' : 'tight';
  let leant: { readonly box: SolvedFrame | undefined } | undefined;
  return {
    box,
    otherwise: () => {
      leant ??= { box: solveFrameAgain(box, { ...request, lean }, 'misfit') };
      return leant.box;
    },
  };
}
