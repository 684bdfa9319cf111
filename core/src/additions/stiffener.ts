import { z } from 'zod';
import { toMillimetres, zero } from '../length/index.ts';
import { paperSchema } from '../paper/index.ts';
import type { Addition, Undressed } from './addition.ts';
import { roomSides } from './inside-faces.ts';
import { wearPlates, type InsidePlate } from './inside-plates.ts';
import { floorPlate, lidPlate, type PlateBrief } from './room-plates.ts';
import { noRoomTaken, type RoomTaken } from './room-taken.ts';

/** A plate that lies on the floor of the box, under the gift, or is glued into its lid. */
export const stiffenerSchema = z.object({
  addition: z.literal('stiffener'),
  id: z.string().min(1).max(40),
  in: z.enum(['floor', 'lid']).default('floor'),
  paper: paperSchema,
});
export type StiffenerChoice = z.infer<typeof stiffenerSchema>;

/** The plate, with the sides of the room that it lies at; none where the box has no such floor or lid. */
function plateOf(
  { in: where, paper }: StiffenerChoice,
  bare: Undressed,
  { step, inner }: Pick<PlateBrief, 'step'> & { readonly inner: RoomTaken },
) {
  const sides = roomSides(bare, inner);
  const brief: PlateBrief = { card: toMillimetres(paper.thickness), step };
  const plate = where === 'floor' ? floorPlate(sides, brief) : lidPlate(sides, brief);
  return { sides, plates: plate ? [plate] : [] };
}

function nameOf([first]: readonly InsidePlate[]): string {
  return first?.against === 'lid' ? 'Lid stiffener' : 'Stiffener';
}

/** A plate that braces the floor or the lid. */
export const stiffener: Addition<StiffenerChoice> = {
  room: ({ in: where, paper: { thickness } }) => ({
    around: zero,
    under: where === 'floor' ? thickness : zero,
    over: where === 'lid' ? thickness : zero,
  }),
  takes: () => [],
  leftOff: (choice, box, { step }) =>
    plateOf(choice, box, { step, inner: noRoomTaken }).plates.length > 0
      ? []
      : [{ id: choice.id, why: 'no such face' }],
  wear: (choice, bare, brief) => {
    const { sides, plates } = plateOf(choice, bare, brief);
    const { id } = choice;
    return {
      ok: true,
      worn: wearPlates(plates, { id, paper: brief.firstPaper, sides, nameOf }),
    };
  },
};
