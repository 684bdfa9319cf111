import { z } from 'zod';
import type { WornAnswer } from '../forms/index.ts';
import type { Gift } from '../gift/index.ts';
import { zero, type Length } from '../length/index.ts';
import { dividers, dividersSchema } from './dividers.ts';
import type {
  Addition,
  DressBrief,
  GoesRound,
  LaidBrief,
  LaidCard,
  LeftOff,
  OpensAnswer,
  Undressed,
} from './addition.ts';
import type { FlatFace } from './flat-faces.ts';
import { band, bandSchema } from './band.ts';
import { handle, handleSchema } from './handle.ts';
import { insert, insertSchema } from './insert.ts';
import { liner, linerSchema } from './liner.ts';
import { panel, panelSchema } from './panel.ts';
import { ribbon, ribbonChoiceSchema } from './ribbon.ts';
import { spot, spotChoiceSchema } from './spot.ts';
import type { RoomTaken } from './room-taken.ts';
import { stiffener, stiffenerSchema } from './stiffener.ts';
import { tag, tagChoiceSchema } from './tag.ts';
import { window, windowSchema } from './window.ts';
import { wire, wireSchema } from './wire.ts';

/** Something that a box wears, by name, with all that is chosen of it. */
export const additionSchema = z.discriminatedUnion('addition', [
  panelSchema,
  linerSchema,
  stiffenerSchema,
  bandSchema,
  dividersSchema,
  ribbonChoiceSchema,
  spotChoiceSchema,
  windowSchema,
  tagChoiceSchema,
  insertSchema,
  handleSchema,
  wireSchema,
]);
export type AdditionChoice = z.infer<typeof additionSchema>;

/** An addition with what was chosen of it. */
export interface ChosenAddition {
  readonly room: (gift: Gift) => RoomTaken;
  readonly apart: (gift: Gift) => Length;
  readonly goesRound: GoesRound | 'not';
  readonly isCutToFace: boolean;
  readonly takes: (box: Undressed) => readonly FlatFace[];
  readonly goesUnder: boolean;
  readonly laid: (box: Undressed, brief: LaidBrief) => readonly LaidCard[];
  readonly leftOff: (
    box: Undressed,
    brief: Pick<DressBrief, 'step' | 'gift'>,
  ) => readonly LeftOff[];
  /** Whether something may be cut out of the box’s own pieces for it. */
  readonly mayOpen: boolean;
  readonly opens: (box: Undressed, brief: DressBrief) => OpensAnswer;
  readonly wear: (box: Undressed, brief: DressBrief) => WornAnswer;
}

function chosen<Choice extends AdditionChoice>(
  addition: Addition<Choice>,
  choice: Choice,
): ChosenAddition {
  return {
    room: (gift) => addition.room(choice, gift),
    apart: (gift) => addition.apart?.(choice, gift) ?? zero,
    goesRound: addition.goesRound ?? 'not',
    isCutToFace: addition.isCutToFace ?? false,
    takes: (box) => addition.takes(choice, box),
    goesUnder: addition.goesUnder?.(choice) ?? false,
    laid: (box, brief) => addition.laid?.(choice, box, brief) ?? [],
    leftOff: (box, brief) => addition.leftOff(choice, box, brief),
    mayOpen: addition.opens !== undefined,
    opens: (box, brief) => addition.opens?.(choice, box, brief) ?? { ok: true, cutouts: [] },
    wear: (box, brief) => addition.wear(choice, box, brief),
  };
}

/** How a chosen addition is made. */
export function additionOf(choice: AdditionChoice): ChosenAddition {
  switch (choice.addition) {
    case 'band':
      return chosen(band, choice);
    case 'dividers':
      return chosen(dividers, choice);
    case 'panel':
      return chosen(panel, choice);
    case 'liner':
      return chosen(liner, choice);
    case 'ribbon':
      return chosen(ribbon, choice);
    case 'spot':
      return chosen(spot, choice);
    case 'stiffener':
      return chosen(stiffener, choice);
    case 'handle':
      return chosen(handle, choice);
    case 'insert':
      return chosen(insert, choice);
    case 'tag':
      return chosen(tag, choice);
    case 'window':
      return chosen(window, choice);
    case 'wire':
      return chosen(wire, choice);
  }
}
