import { clearDepth, clearInside } from '../gaps/index.ts';
import type { Extents } from '../gift/index.ts';
import type { Length } from '../length/index.ts';
import type { Section } from '../marks/index.ts';
import type { SizeOf } from './brief.ts';
import type { FloorSections, Layers } from './sections.ts';

/** The clear inside of a tray folded from these sections, with so many layers of card inside its walls. */
export function trayInside(
  {
    floor,
    wall,
    card,
    layers,
  }: {
    readonly floor: FloorSections;
    readonly wall: Pick<Section, 'id'>;
    readonly card: Length;
    readonly layers: Layers;
  },
  size: SizeOf,
): Extents {
  return {
    across: clearInside(size(floor.across), card, layers.across),
    deep: clearInside(size(floor.deep), card, layers.deep),
    high: clearDepth(size(wall.id), card),
  };
}
