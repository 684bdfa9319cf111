import { z } from 'zod';
import { times, toMillimetres, zero } from '../length/index.ts';
import { paperSchema } from '../paper/index.ts';
import type { Addition, Undressed } from './addition.ts';
import { roomSides } from './inside-faces.ts';
import { wearPlates, type InsidePlate } from './inside-plates.ts';
import { capitalised, sidesTogether } from './panel-names.ts';
import { floorPlate, lidPlate, wallPlates, type PlateBrief } from './room-plates.ts';
import { noRoomTaken, type RoomTaken } from './room-taken.ts';

/** Card that covers the inside of a box, its lid or both. */
export const linerSchema = z.object({
  addition: z.literal('liner'),
  id: z.string().min(1).max(40),
  lines: z.enum(['box', 'lid', 'box and lid']),
  paper: paperSchema,
});
export type LinerChoice = z.infer<typeof linerSchema>;

/** Walls that lean take more room sideways than their card is thick: so much more at the most. */
const aslant = 1.06;

function nameOf(alike: readonly InsidePlate[]): string {
  const [first] = alike;
  if (first?.against === 'floor') return 'Floor liner';
  if (first?.against === 'lid') return 'Lid liner';
  const sides = [...new Set(alike.map(({ against }) => against))];
  const which = sidesTogether(sides);
  const isRound = alike.length > sides.length || which === '';
  return isRound ? 'Wall liner' : `${capitalised(which)} liner`;
}

/** Its plates, with the sides of the room that they lie at: as many as the box has card for. */
function platesOf(
  { lines, paper }: LinerChoice,
  bare: Undressed,
  { step, inner }: Pick<PlateBrief, 'step'> & { readonly inner: RoomTaken },
) {
  const sides = roomSides(bare, inner);
  const brief: PlateBrief = { card: toMillimetres(paper.thickness), step };
  const floor = lines === 'lid' ? undefined : floorPlate(sides, brief);
  const walls = lines === 'lid' ? [] : wallPlates(sides, brief);
  const lid = lines === 'box' ? undefined : lidPlate(sides, brief);
  return { sides, box: [...(floor ? [floor] : []), ...walls], lid: lid ? [lid] : [] };
}

/** A liner: a plate on the floor, one on each wall, and one in the lid. */
export const liner: Addition<LinerChoice> = {
  room: ({ lines, paper: { thickness } }) => ({
    around: lines === 'lid' ? zero : times(thickness, aslant),
    under: lines === 'lid' ? zero : thickness,
    over: lines === 'box' ? zero : thickness,
  }),
  takes: () => [],
  leftOff: (choice, bare, { step }) => {
    const { box, lid } = platesOf(choice, bare, { step, inner: noRoomTaken });
    const isWhole =
      (choice.lines === 'lid' || box.length > 0) && (choice.lines === 'box' || lid.length > 0);
    return isWhole ? [] : [{ id: choice.id, why: 'no such face' }];
  },
  wear: (choice, bare, brief) => {
    const { sides, box, lid } = platesOf(choice, bare, brief);
    const { id } = choice;
    const worn = wearPlates([...box, ...lid], { id, paper: brief.firstPaper, sides, nameOf });
    return { ok: true, worn };
  },
};
