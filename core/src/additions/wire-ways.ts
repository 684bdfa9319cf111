import { bareBox } from './bare-box.ts';
import type { DressRequest } from './in-turn.ts';
import { undressed, type DressedBox } from './undress.ts';
import { overSchema, type OverTop } from './facing-walls.ts';
import { mayHaveWire } from './wire.ts';

/** The ways in which a wire may go over a planned box; none where it is closed, or has a handle. */
export function wireWays({ papers, kit }: DressRequest, plan: DressedBox): readonly OverTop[] {
  const box = undressed(bareBox(plan), papers, plan.pairs);
  return overSchema.options.filter((over) => mayHaveWire(over, box, kit));
}
