import type { Section } from '../marks/index.ts';
import { half, largest, minus, nanometres, plus, times, type Length } from '../length/index.ts';
import type { RoughSection, StyleBrief } from './brief.ts';
import { seamSection } from './flap-widths.ts';
import { plateSize, sideTangent, tabSection } from './many-sided.ts';
import { marksWindow, section } from './sections.ts';

/** How far from the middle the sides must be for a gift of this size: it touches them with its corners. */
export function reachInRing(across: Length, deep: Length, round: boolean, sides: number): Length {
  if (round) return half(largest(across, deep));
  const reaches = Array.from({ length: sides }, (_, i) => {
    const angle = -Math.PI / 2 + (2 * Math.PI * i) / sides;
    return (across / 2) * Math.abs(Math.cos(angle)) + (deep / 2) * Math.abs(Math.sin(angle));
  });
  return nanometres(Math.ceil(Math.max(...reaches)));
}

/** Beside the room lie half the panel's card and the seam. */
export function sideForReach(reach: Length, card: Length, sides: number): Length {
  return nanometres(Math.ceil(2 * (reach + 1.5 * card) * sideTangent(sides)) + 2);
}

/** Sections of everything but the panels' width and height. */
export function ringSections(
  brief: Pick<StyleBrief<unknown>, 'kit'>,
  id: string,
  {
    sides,
    side,
    wall,
    card,
  }: {
    readonly sides: number;
    readonly side: Section;
    readonly wall: Section;
    readonly card: Length;
  },
) {
  const make = (name: string, least: Length, target: Length) =>
    section(brief, name, { least, target, weight: 0.1 });
  const tab = tabSection(make, `${id} tab`, side.least, sides);
  const beside = seamSection(brief, `${id} seam`, times(side.least, 0.7));
  const seam = { ...beside, most: largest(beside.target, side.least) };
  const shape = { sides };
  const least = plateSize(shape, side.least, card);
  const most = plateSize(shape, side.most, card);
  const onSheet = (name: string, from: Length, to: Length): Section => ({
    id: name,
    // The plate is trimmed to the panels, so its sheet may be larger and never smaller.
    least: to,
    target: to,
    most: plus(to, marksWindow(brief), minus(to, from)),
    weight: 0.01,
  });
  return {
    tab,
    seam,
    rough: (['across', 'deep'] as const).map((way): RoughSection => ({
      section: `${id} plate ${way}`,
      holds: (size) => plateSize(shape, size(side.id), card)[way],
    })),
    plateAcross: onSheet(`${id} plate across`, least.across, most.across),
    plateDeep: onSheet(`${id} plate deep`, least.deep, most.deep),
    wall,
  };
}
