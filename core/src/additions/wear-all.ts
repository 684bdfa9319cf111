import {
  cutOutOf,
  type PieceCutout,
  type Refusal,
  type StyleFrame,
  type Worn,
  type WornAnswer,
} from '../forms/index.ts';
import { ordinalInWords } from '../length/index.ts';
import type { DressBrief, LaidCard, Undressed } from './addition.ts';
import { eachInTurn, type DressRequest } from './in-turn.ts';
import { mayMakeRoom } from './make-room.ts';
import { capitalised, faceSaid } from './panel-names.ts';
import { additionOf, type ChosenAddition } from './registry.ts';
import { undressed } from './undress.ts';

const nothing: Worn = { pieces: [], parts: [], stacks: [] };

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
  if (request.additions.every((choice) => !additionOf(choice).mayOpen))
    return { box: bare, cutouts: [] };
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

/** An addition with the faces that are left for it, and how it is cut. */
interface InTurn {
  readonly addition: ChosenAddition;
  readonly box: Undressed;
  readonly brief: DressBrief;
}

/** What an addition comes to on a box that wears something already. */
function wearOne(
  { addition, box, brief }: InTurn,
  worn: Worn,
  fits: StyleFrame['fits'],
): WornAnswer {
  const narrow = addition
    .laid(box, { ...brief, laid: [] })
    .find((card) => !mayMakeRoom(fits, card));
  return narrow
    ? { ok: false, refusal: noRoomFor(narrow, brief.field) }
    : addition.wear({ ...box, worn }, brief);
}

function together(worn: Worn, more: Worn): Worn {
  return {
    ...worn,
    pieces: [...worn.pieces, ...more.pieces],
    parts: [...worn.parts, ...more.parts],
    stacks: [...worn.stacks, ...more.stacks],
    ribbons: [...(worn.ribbons ?? []), ...(more.ribbons ?? [])],
    spots: [...(worn.spots ?? []), ...(more.spots ?? [])],
    tags: [...(worn.tags ?? []), ...(more.tags ?? [])],
  };
}

/** A drawn box with all that it is to wear, or why it can’t wear one of these. */
export function wearAll(
  request: DressRequest,
  closed: Undressed,
  fits: StyleFrame['fits'],
): WornAnswer {
  const { box: bare, cutouts, refusal } = openAll(request, closed, fits);
  if (refusal) return { ok: false, refusal };
  const each = eachInTurn(request, bare, (choice, box, brief): InTurn => ({
    addition: additionOf(choice),
    box,
    brief,
  }));
  // What looks at nothing that is worn says soonest that it can’t be.
  const known = new Map<InTurn, WornAnswer>();
  for (const inTurn of each) {
    if (!inTurn.addition.isCutToFace) continue;
    const answer = wearOne(inTurn, nothing, fits);
    if (!answer.ok) return answer;
    known.set(inTurn, answer);
  }
  // What goes round the box goes over all else, whenever it was put on.
  const inOrder = orderOfWearing.flatMap((goes) =>
    each.filter(({ addition }) => addition.goesRound === goes),
  );
  let worn: Worn = { ...nothing, ...(cutouts.length > 0 && { cutouts }) };
  for (const inTurn of inOrder) {
    const answer = known.get(inTurn) ?? wearOne(inTurn, worn, fits);
    if (!answer.ok) return answer;
    worn = together(worn, answer.worn);
  }
  return { ok: true, worn: { ...worn, pieces: apartByName(worn.pieces) } };
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

function noRoomFor({ face: { name } }: LaidCard, field: string): Refusal {
  return {
    field,
    message: `Nothing can be worn on the ${faceSaid(name)} there: another part of the box lies close over it, and can’t be made larger. Let it end below that, or take it off there.`,
  };
}
