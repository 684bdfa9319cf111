import {
  formatWithUnit,
  hasWayUp,
  ownPrints,
  weightOf,
  type KeptPaper,
  type Print,
} from '@rangoli/core';

const prints: Readonly<Record<KeptPaper['print'], string>> = {
  plain: 'the same on both faces',
  'one face': 'printed on one face',
  'both faces': 'printed on both faces',
};

const finishes: Readonly<Record<KeptPaper['finish'], string>> = {
  matt: '',
  foil: 'foil',
  coated: 'coated',
};

function shownBy(print: Print): string {
  return print.kind === 'own' ? ownPrints[print.print].name : 'a picture of it';
}

/** What a paper is, in a line: how thick, what it weighs, its faces, and the sheets that it comes in. */
export function paperFacts({
  thickness,
  weight,
  finish,
  print,
  printRuns,
  front,
  sheets,
}: KeptPaper): string {
  const about = weightOf(thickness, finish);
  const weighs = weight ?? about;
  const grams =
    weighs === undefined ? '' : `, ${weight === undefined ? 'about ' : ''}${weighs} gsm`;
  const shows = front && print !== 'plain' ? shownBy(front) : '';
  const faces = [
    finishes[finish],
    shows === '' ? prints[print] : `${prints[print]}: ${shows}`,
    hasWayUp({ print, printRuns }) ? 'one way up' : '',
  ].filter((words) => words !== '');
  const sizes = sheets.map(({ name }) => name.replaceAll(' ', '\u00a0')).join(', ');
  return `${formatWithUnit(thickness, 'mm')} thick${grams}; ${faces.join(', ')}. Sheets: ${sizes}`;
}
