import {
  drawFrame,
  type DrawnFrame,
  type Refusal,
  type SizeOf,
  type StyleFrame,
} from '../forms/index.ts';
import { largest, plus, zero } from '../length/index.ts';
import type { LaidCard, LeftOff, Undressed } from './addition.ts';
import { widthCut, type BandChoice } from './band.ts';
import type { FlatFace } from './flat-faces.ts';
import { eachInTurn, stepOfCuts, type DressRequest } from './in-turn.ts';
import { lookAgain, type SeenDress } from './look-again.ts';
import { makeRoom } from './make-room.ts';
import { additionOf, type AdditionChoice } from './registry.ts';
import { bandUnderLid, pieceUnderLid } from './under-lid.ts';
import { undressed, type DressedBox } from './undress.ts';
import { wearAll } from './wear-all.ts';

export type DressAnswer =
  | { readonly ok: true; readonly frame: StyleFrame }
  | { readonly ok: false; readonly refusal: Refusal }
  /** A box with a square floor can’t wear this: it must be asked for with one that may come out oblong. */
  | { readonly ok: false; readonly refusal: 'square' };

/** Whether something of what a box is to wear may come to lie under another piece of it. */
export function mayGoUnder(additions: readonly AdditionChoice[]): boolean {
  return additions.some((choice) => additionOf(choice).goesUnder);
}

/** A frame with what the box is to wear, and no room made for it: nothing goes over anything of it. */
export function dressAsItIs(frame: StyleFrame, request: DressRequest): StyleFrame {
  return {
    ...frame,
    wears: (own) => wearAll(request, undressed(own, request.papers, frame.fits), frame.fits),
  };
}

/**
 * A style’s frame with what the box is to wear, and with room for it under what goes over it. Where that is, is seen
 * on the box at sizes near those that it will come to; what a frame comes to is asked for where that matters.
 */
export function dressFrame(
  frame: StyleFrame,
  request: DressRequest,
  near: SizeOf,
  comesTo: (frame: StyleFrame) => SizeOf | undefined,
): DressAnswer {
  const first = dressAt(frame, request, near);
  if (!first.ok || !hasBandUnderLid(request)) return first;
  const widened = new Set(
    frame.fits.flatMap(({ outer, inner, outerSection }) => (outer === inner ? [] : [outerSection])),
  );
  const again = (size: SizeOf) => {
    const answer = dressAt(frame, request, size);
    return answer.ok ? answer : undefined;
  };
  return lookAgain(first, { widened, near, comesTo, dressAt: again });
}

type DressedAt = SeenDress | Exclude<DressAnswer, { readonly ok: true }>;

/** The same as it is seen on the box at these sizes, with the card that room is made for. */
function dressAt(frame: StyleFrame, request: DressRequest, near: SizeOf): DressedAt {
  const bare = undressed(drawFrame(frame, near), request.papers, frame.fits);
  const laid = laidUnder(request, bare);
  const refusal = unlikeAllRound(laid, bare);
  if (refusal) return { ok: false, refusal };
  const kept = hasBandUnderLid(request) ? keptAs(frame, pieceUnderLid(bare), near) : frame;
  const roomy = makeRoom(kept, laid);
  if (!roomy) return { ok: false, refusal: 'square' };
  const { fits } = roomy;
  const wears = (drawn: DrawnFrame) => {
    // With no room to be made it mostly comes out as it was looked at.
    const isSame = drawn.pieces.every(({ grid }, i) => grid === bare.drawn.pieces[i]?.grid);
    const box =
      laid.length === 0 && isSame ? { ...bare, drawn } : undressed(drawn, request.papers, fits);
    return wearAll(request, box, fits);
  };
  return { ok: true, frame: { ...roomy, wears }, laid };
}

function isBandUnderLid(choice: AdditionChoice): choice is BandChoice {
  return choice.addition === 'band' && choice.round === 'under lid';
}

function hasBandUnderLid({ additions }: DressRequest): boolean {
  return additions.some(isBandUnderLid);
}

/** A frame in which a piece that others go over keeps the size that it was looked at in: what it wears is cut to that. */
function keptAs(frame: StyleFrame, piece: string | undefined, size: SizeOf): StyleFrame {
  const kept = new Set(
    frame.fits.flatMap(({ outer, inner, innerSection }) =>
      inner === piece && outer !== inner ? [innerSection] : [],
    ),
  );
  return {
    ...frame,
    sections: frame.sections.map(({ scant, ...section }) => {
      if (!kept.has(section.id)) return { ...section, ...(scant !== undefined && { scant }) };
      const is = size(section.id);
      return { ...section, least: is, target: is, most: is };
    }),
  };
}

/** All card that is laid on faces which something goes over: what lies on one face is one heap. */
function laidUnder(request: DressRequest, bare: Undressed): readonly LaidCard[] {
  const step = stepOfCuts(request.kit);
  const widest = largest(
    zero,
    ...request.additions.filter(isBandUnderLid).map((choice) => widthCut(choice, step)),
  );
  const band = widest > zero ? bandUnderLid(bare, widest) : undefined;
  const heaps = new Map<string, LaidCard>();
  const each = eachInTurn(request, bare, (choice, box, brief) => ({ choice, box, brief }));
  // A band lies over all else that is on those walls.
  const inOrder = [
    ...each.filter(({ choice }) => !isBandUnderLid(choice)),
    ...each.filter(({ choice }) => isBandUnderLid(choice)),
  ];
  for (const { choice, box, brief } of inOrder) {
    const under = { ...brief, laid: [...heaps.values()], ...(band && { band }) };
    for (const { face, card } of additionOf(choice).laid(box, under)) {
      const key = `${face.part} ${face.name.at}`;
      heaps.set(key, { face, card: plus(heaps.get(key)?.card ?? zero, card) });
    }
  }
  return [...heaps.values()];
}

/** What goes over many walls has all of its own alike, and goes over the same on each of them or on none. */
function unlikeAllRound(laid: readonly LaidCard[], { faces }: Undressed): Refusal | undefined {
  const isNumbered = ({ name, covers }: FlatFace) => name.nth !== undefined && covers.length > 0;
  const [first] = laid.filter(({ face }) => isNumbered(face));
  if (!first) return undefined;
  const isAlike = faces
    .all()
    .filter((face) => isNumbered(face) && face.name.piece === first.face.name.piece)
    .every((face) =>
      laid.some(
        (each) =>
          each.face.part === face.part &&
          each.face.name.at === face.name.at &&
          each.card === first.card,
      ),
    );
  return isAlike
    ? undefined
    : {
        field: 'additions',
        message:
          'Under a lid all walls of a many-sided box must wear the same. Put the panel on all its walls, or let it end below the lid.',
      };
}

/** What of the additions is not on this box, and why. */
export function leftOff(request: DressRequest, plan: DressedBox): readonly LeftOff[] {
  if (request.additions.length === 0) return [];
  return eachInTurn(request, undressed(plan, request.papers, plan.pairs), (choice, box, brief) =>
    additionOf(choice).leftOff(box, brief),
  ).flat();
}
