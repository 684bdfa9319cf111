import type { Ribbon, RibbonWay } from '../fold/index.ts';
import { formatWithUnit, zero, type Unit } from '../length/index.ts';

/** How a ribbon is put on, before its ends are seen to. */
const laid: Readonly<Record<Exclude<RibbonWay, 'holes'>, string>> = {
  walls: 'Lay it round the closed box, halfway up',
  across: 'Lay it round the closed box from left to right, over the top and under the bottom',
  deep: 'Lay it round the closed box from front to back, over the top and under the bottom',
  crossed:
    'Lay its middle on the top from left to right, cross it under the bottom, and bring both ends up at the front and the back',
  'lid across': 'Lay it over the lid from left to right',
  'lid deep': 'Lay it over the lid from front to back',
};

function ends({ way, bow }: Ribbon, unit: Unit): string {
  if (way === 'lid across' || way === 'lid deep')
    return ', turn its ends in under the rim, and stick them to the inside.';
  if (bow > zero) {
    const wide = formatWithUnit(bow, unit);
    return `, and tie a bow, ${wide} wide, ${way === 'walls' ? 'at the front' : 'on top'}.`;
  }
  return `, and stick its ends over each other ${way === 'walls' ? 'at the back' : 'underneath'}.`;
}

/** A ribbon that is cut and put on, as it is said at the table. */
export function ribbonSentences(ribbon: Ribbon, unit: Unit): readonly string[] {
  const { way, width, bow, cut, bowCut } = ribbon;
  const [long, wide] = [formatWithUnit(cut, unit), formatWithUnit(width, unit)];
  if (way === 'holes') return [`Cut ${long} of ribbon, ${wide} wide, for the holes.`];
  const put = `${laid[way]}${ends(ribbon, unit)}`;
  if (bowCut === undefined) return [`Cut ${long} of ribbon, ${wide} wide.`, put];
  return [
    `Cut ${long} of ribbon, ${wide} wide, and ${formatWithUnit(bowCut, unit)} for its bow.`,
    put,
    `Tie the other one to a bow, ${formatWithUnit(bow, unit)} wide, and stick it on top.`,
  ];
}

const named: Readonly<Record<RibbonWay, string>> = {
  walls: 'round the walls',
  across: 'left to right',
  deep: 'front to back',
  crossed: 'crossed',
  'lid across': 'over the lid, left to right',
  'lid deep': 'over the lid, front to back',
  holes: 'through the holes',
};

/** A ribbon in a line of the cut list: `38 1/2 in, 1/2 in wide, crossed`. */
export function ribbonInWords({ way, width, cut, bowCut }: Ribbon, unit: Unit): string {
  const own = bowCut === undefined ? '' : ` and ${formatWithUnit(bowCut, unit)} for its bow`;
  return `${formatWithUnit(cut, unit)}${own}, ${formatWithUnit(width, unit)} wide, ${named[way]}`;
}
