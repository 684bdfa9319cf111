import type { Ribbon, RibbonWay } from '../fold/index.ts';
import { formatWithUnit, zero, type Unit } from '../length/index.ts';
import type { LayRibbonOperation } from '../make/index.ts';
import type { NameOf } from './said.ts';

/** How a ribbon is put on, before its ends are seen to. */
const laid: Readonly<Record<Exclude<RibbonWay, 'holes' | 'notches' | 'band'>, string>> = {
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

/** A ribbon that is cut and put through or under a piece, before that is in its place. */
export function layRibbonSentences(
  { piece, through, ribbon: { way, width, cut } }: LayRibbonOperation,
  nameOf: NameOf,
  unit: Unit,
): readonly string[] {
  const [long, wide] = [formatWithUnit(cut, unit), formatWithUnit(width, unit)];
  const [name, under] = [nameOf(through).toLowerCase(), nameOf(piece).toLowerCase()];
  if (way === 'notches')
    return [
      `Cut two pieces of ribbon, each ${long} long, ${wide} wide.`,
      `Lay both over the floor of the ${under} from left to right, a third of the way in from the front and from the back, their ends out over the walls: the ${name} comes on top of them.`,
    ];
  return [
    `Cut ${long} of ribbon, ${wide} wide.`,
    `From the inside of the ${name}, put an end of it out through each slit, until both are as long.`,
  ];
}

/** How a ribbon is tied that has been laid before. */
function tieSentence({ way, bow, ties = 'on top' }: Ribbon, unit: Unit): string {
  const tied = bow > zero ? `tie a bow, ${formatWithUnit(bow, unit)} wide` : 'knot its ends';
  return way === 'notches'
    ? `Bring each ribbon up through its two notches and over the gift, and ${tied}, on top.`
    : `Draw the ends of the ribbon even, and ${tied}, ${ties}.`;
}

/** A ribbon that is cut and put on, as it is said at the table. */
export function ribbonSentences(ribbon: Ribbon, unit: Unit): readonly string[] {
  const { way, width, bow, cut, bowCut } = ribbon;
  const [long, wide] = [formatWithUnit(cut, unit), formatWithUnit(width, unit)];
  if (way === 'notches' || way === 'band') return [tieSentence(ribbon, unit)];
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
  notches: 'round the gift and its insert',
  band: 'through the band',
};

/** A ribbon in a line of the cut list: `38 1/2 in, 1/2 in wide, crossed`. */
export function ribbonInWords({ way, width, cut, bowCut }: Ribbon, unit: Unit): string {
  const own = bowCut === undefined ? '' : ` and ${formatWithUnit(bowCut, unit)} for its bow`;
  const twice = way === 'notches' ? 'two, each ' : '';
  return `${twice}${formatWithUnit(cut, unit)}${own}, ${formatWithUnit(width, unit)} wide, ${named[way]}`;
}
