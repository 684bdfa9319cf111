import { foldingBox, type FaceRef, type FoldingBox } from '../fold/index.ts';
import {
  drawFrame,
  cutOutOf,
  type DrawnFrame,
  type PieceCutout,
  type Refusal,
  type SizeOf,
  type StyleFrame,
  type Worn,
  type WornAnswer,
} from '../forms/index.ts';
import type { Gift } from '../gift/index.ts';
import { ordinalInWords, plus, zero, type Length, type Unit } from '../length/index.ts';
import { paperFor, type Paper, type Papers } from '../paper/index.ts';
import { cuttingMeans, type Kit } from '../tools/index.ts';
import type { DressBrief, LaidCard, LeftOff, Undressed } from './addition.ts';
import type { Over } from './covers.ts';
import { flatFaces, type FlatFace } from './flat-faces.ts';
import { withoutOpenings } from './openings.ts';
import { capitalised, faceSaid } from './panel-names.ts';
import { makeRoom, mayMakeRoom } from './make-room.ts';
import { pieceUnderLid } from './under-lid.ts';
import { additionOf, type AdditionChoice } from './registry.ts';
import { roomTaken } from './take-room.ts';

/** What a box is to wear, and how that is made. */
export interface DressRequest {
  readonly additions: readonly AdditionChoice[];
  /** The papers of the box’s own pieces, each its own, and then those of what it wears. */
  readonly papers: Papers;
  readonly kit: Kit;
  readonly unit: Unit;
  readonly gift: Gift;
}

/** The papers of what a box wears, in the order in which they follow those of its own pieces. */
export function papersWorn(additions: readonly AdditionChoice[]): readonly Paper[] {
  return additions.flatMap((choice) => additionOf(choice).papers);
}

/** The same additions with another paper in place of one of those that they wear, as these are counted. */
export function withWornPaper(
  additions: readonly AdditionChoice[],
  at: number,
  paper: Paper,
): readonly AdditionChoice[] {
  let first = 0;
  return additions.map((choice) => {
    const addition = additionOf(choice);
    const own = at - first;
    const count = addition.papers.length;
    first += count;
    return own >= 0 && own < count ? addition.withPaper(own, paper) : choice;
  });
}

/** A box ready to fold, without its openings and without anything that it wears. */
function plainBox(
  { pieces, assembly }: Pick<DrawnFrame, 'pieces' | 'assembly'>,
  papers: Papers,
): FoldingBox {
  const parts = assembly.parts.filter(
    ({ worn, lies, wraps, isHandle }) => !worn && !lies && !wraps && !isHandle,
  );
  const isBare = ({ part }: FaceRef) => parts.some(({ id }) => id === part);
  const bare = {
    ...assembly,
    parts,
    // A flap of the box may close over a panel of another one.
    stacks: assembly.stacks.filter(({ face, on }) => isBare(face) && isBare(on)),
  };
  return foldingBox(
    withoutOpenings(pieces),
    ({ paper }) => paperFor(papers, paper).thickness,
    bare,
  );
}

/** Its faces that something may be worn on. */
function facesOf(
  plain: FoldingBox,
  pieces: DrawnFrame['pieces'],
  pairs: readonly Over[],
): readonly FlatFace[] {
  return flatFaces(plain, new Map(pieces.map(({ id, grid }) => [id, grid.cutouts])), pairs);
}

/** All faces of a box that something may be worn on, whether they wear anything or not. */
export function wearable(
  {
    pieces,
    assembly,
    pairs,
  }: Pick<DrawnFrame, 'pieces' | 'assembly'> & { readonly pairs: readonly Over[] },
  papers: Papers,
): readonly FlatFace[] {
  return facesOf(plainBox({ pieces, assembly }, papers), pieces, pairs);
}

const nothing: Worn = { pieces: [], parts: [], stacks: [] };

/** A box as it is planned, with what goes over what. */
export type DressedBox = DrawnFrame & { readonly pairs: readonly Over[] };

/** The step that cuts are made in. */
export function stepOfCuts(kit: Kit): Length {
  return cuttingMeans(kit)?.step ?? kit.trimmer.step;
}

/** A drawn box that wears nothing yet. */
export function undressed(drawn: DrawnFrame, papers: Papers, pairs: readonly Over[]): Undressed {
  const plain = plainBox(drawn, papers);
  return {
    drawn,
    plain,
    papers,
    faces: facesOf(plain, drawn.pieces, pairs),
    taken: [],
    worn: nothing,
  };
}

/** Where something lies in the box: at its walls, among what is put in one after the other, or next to the gift. */
function nearness(choice: AdditionChoice): 0 | 1 | 2 {
  const { goesRound } = additionOf(choice);
  return goesRound === 'under all' ? 0 : goesRound === 'within all' ? 2 : 1;
}

/** Whether one of the additions lies nearer to the gift than another: what is put in later does. */
function isNearer(additions: readonly AdditionChoice[], one: number, other: number): boolean {
  const [a, b] = [additions[one], additions[other]];
  if (!a || !b || one === other) return false;
  return nearness(a) > nearness(b) || (nearness(a) === nearness(b) && one > other);
}

/** How wide the ribbon is that goes through a band; undefined where none does. */
function ribbonThroughBand(additions: readonly AdditionChoice[]): Length | undefined {
  return additions.flatMap((choice) =>
    choice.addition === 'ribbon' && choice.way === 'band' ? [choice.width] : [],
  )[0];
}

/** Each addition with the faces that those before it have left, and how it is cut. */
function eachInTurn<Result>(
  { additions, papers, kit, unit, gift }: DressRequest,
  bare: Undressed,
  put: (choice: AdditionChoice, box: Undressed, brief: DressBrief) => Result,
): readonly Result[] {
  const taken: FlatFace[] = [];
  const firstBand = additions.find(({ addition }) => addition === 'band');
  let firstPaper = papers.length - papersWorn(additions).length;
  return additions.map((choice, i) => {
    const addition = additionOf(choice);
    const box = { ...bare, taken: [...taken] };
    const step = stepOfCuts(kit);
    const inner = roomTaken(
      additions.filter((_, j) => isNearer(additions, j, i)),
      gift,
    );
    const field = `additions.${i}`;
    const threaded = choice === firstBand ? ribbonThroughBand(additions) : undefined;
    const result = put(choice, box, {
      ...{ field, firstPaper, step, kit, unit, gift, inner },
      ...(threaded !== undefined && { threaded }),
    });
    taken.push(...addition.takes(box));
    firstPaper += addition.papers.length;
    return result;
  });
}

/** The box with what is cut out of its own pieces, before it wears anything. */
function openAll(
  request: DressRequest,
  bare: Undressed,
  fits: StyleFrame['fits'],
): {
  readonly box: Undressed;
  readonly cutouts: readonly PieceCutout[];
  readonly refusal?: Refusal;
} {
  const cutouts: PieceCutout[] = [];
  let refusal: Refusal | undefined;
  eachInTurn(request, bare, (choice, box, brief) => {
    const drawn = cutOutOf(box.drawn, cutouts);
    const answer = additionOf(choice).opens({ ...box, drawn }, brief);
    if (answer.ok) cutouts.push(...answer.cutouts);
    else refusal ??= answer.refusal;
  });
  const box =
    cutouts.length === 0 ? bare : undressed(cutOutOf(bare.drawn, cutouts), request.papers, fits);
  return { box, cutouts, ...(refusal && { refusal }) };
}

/** A stamp goes on what covers its face, what goes round the box over all else, and a ribbon over a band. */
const orderOfWearing = ['under all', 'not', 'within all', 'on it', 'over it', 'over all'] as const;

function wearAll(request: DressRequest, closed: Undressed, fits: StyleFrame['fits']): WornAnswer {
  const { box: bare, cutouts, refusal: unopened } = openAll(request, closed, fits);
  let worn: Worn = { ...nothing, ...(cutouts.length > 0 && { cutouts }) };
  let refusal = unopened;
  const each = eachInTurn(request, bare, (choice, box, brief) => ({
    addition: additionOf(choice),
    box,
    brief,
  }));
  // What goes round the box goes over all else, whenever it was put on.
  const inOrder = orderOfWearing.flatMap((goes) =>
    each.filter(({ addition }) => addition.goesRound === goes),
  );
  for (const { addition, box, brief } of inOrder) {
    const narrow = addition
      .laid(box, { ...brief, laid: [] })
      .find((card) => !mayMakeRoom(fits, card));
    if (narrow) refusal ??= noRoomFor(narrow, brief.field);
    const answer = addition.wear({ ...box, worn }, brief);
    if (!answer.ok) refusal ??= answer.refusal;
    else
      worn = {
        ...worn,
        pieces: [...worn.pieces, ...answer.worn.pieces],
        parts: [...worn.parts, ...answer.worn.parts],
        stacks: [...worn.stacks, ...answer.worn.stacks],
        ribbons: [...(worn.ribbons ?? []), ...(answer.worn.ribbons ?? [])],
        spots: [...(worn.spots ?? []), ...(answer.worn.spots ?? [])],
        tags: [...(worn.tags ?? []), ...(answer.worn.tags ?? [])],
      };
  }
  return refusal
    ? { ok: false, refusal }
    : { ok: true, worn: { ...worn, pieces: apartByName(worn.pieces) } };
}

/** Pieces that would have the same name, as unlike panels on the walls of a cup, are told apart by their order. */
function apartByName(pieces: Worn['pieces']): Worn['pieces'] {
  return pieces.map((piece) => {
    const nth = pieces.filter(({ name }) => name === piece.name).indexOf(piece);
    if (nth === 0) return piece;
    const which = capitalised(nth === 1 ? 'other' : `${ordinalInWords(nth)} other`);
    return { ...piece, name: `${which} ${piece.name.toLowerCase()}` };
  });
}

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
 * on the box at sizes near those that it will come to.
 */
export function dressFrame(frame: StyleFrame, request: DressRequest, near: SizeOf): DressAnswer {
  const bare = undressed(drawFrame(frame, near), request.papers, frame.fits);
  const laid = laidUnder(request, bare);
  const refusal = unlikeAllRound(laid, bare.faces);
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
  return { ok: true, frame: { ...roomy, wears } };
}

function isBandUnderLid(choice: AdditionChoice): boolean {
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
  const hasBand = hasBandUnderLid(request);
  const heaps = new Map<string, LaidCard>();
  const each = eachInTurn(request, bare, (choice, box, brief) => ({ choice, box, brief }));
  // A band lies over all else that is on those walls.
  const inOrder = [
    ...each.filter(({ choice }) => !isBandUnderLid(choice)),
    ...each.filter(({ choice }) => isBandUnderLid(choice)),
  ];
  for (const { choice, box, brief } of inOrder) {
    // It lies over a panel there even where that ends below the lid.
    const isCounted = hasBand && choice.addition === 'panel';
    const whole: AdditionChoice = isCounted ? { ...choice, underCover: 'counted' } : choice;
    for (const { face, card } of additionOf(whole).laid(box, {
      ...brief,
      laid: [...heaps.values()],
    })) {
      const key = `${face.part} ${face.name.at}`;
      heaps.set(key, { face, card: plus(heaps.get(key)?.card ?? zero, card) });
    }
  }
  return [...heaps.values()];
}

function noRoomFor({ face: { name } }: LaidCard, field: string): Refusal {
  return {
    field,
    message: `Nothing can be worn on the ${faceSaid(name)} there: another part of the box lies close over it, and can’t be made larger. Let it end below that, or take it off there.`,
  };
}

/** What goes over many walls has all of its own alike, and goes over the same on each of them or on none. */
function unlikeAllRound(
  laid: readonly LaidCard[],
  faces: readonly FlatFace[],
): Refusal | undefined {
  const isNumbered = ({ name, covers }: FlatFace) => name.nth !== undefined && covers.length > 0;
  const [first] = laid.filter(({ face }) => isNumbered(face));
  if (!first) return undefined;
  const isAlike = faces
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
