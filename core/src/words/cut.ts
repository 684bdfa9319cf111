import { formatWithUnit, type Unit } from '../length/index.ts';
import { isOffcut, type CutOperation, type CutStep } from '../make/index.ts';
import { cutUnit, type Kit } from '../tools/index.ts';
import { figuresInRow, formatAsFound, sizeAsFound } from './measures.ts';
import type { NameOf, Said } from './said.ts';
import { capitalised, counted, countInWords, inRow } from './plain.ts';

/** What is cut: whole sheets, or parts of them by their size. */
function fromInWords(
  { from, paper }: CutOperation,
  { isOn, nameOf, unit }: { readonly isOn: boolean; readonly nameOf: NameOf; readonly unit: Unit },
): string {
  if (isOn) return 'that strip';
  const { what, count, width, height } = from;
  const name = nameOf(paper);
  if (what === 'sheet') return `${counted(count, 'sheet')} of ${name}`;
  const size = sizeAsFound(width, height, unit);
  return what === 'strip'
    ? `${counted(count, 'strip')} of ${name}, ${size}`
    : `what is left of ${counted(count, 'sheet')} of ${name}, ${size}`;
}

/** Whether every part gives as many. */
function isEven({ perPart }: CutOperation): boolean {
  return perPart.every((count) => count === perPart[0]);
}

/** What comes of each part, where there are several. */
function fromEach(cut: CutOperation): string {
  const { from, perPart } = cut;
  const [most = 1] = perPart;
  if (from.count === 1 || (most === 1 && isEven(cut))) return '';
  if (isEven(cut)) return `, ${countInWords(most)} from each`;
  const counts = [...new Set(perPart)];
  const row = counts.map((count, i) => {
    const parts = perPart.filter((each) => each === count).length;
    const isLast = i === counts.length - 1;
    const which = parts > 1 ? `each of ${countInWords(parts)}` : isLast ? 'the last' : 'one';
    return `${countInWords(count)} from ${which}`;
  });
  return `, ${inRow(row)}`;
}

function wantedInWords(cut: CutOperation, nameOf: NameOf, unit: Unit): string {
  const { gives, count, takes } = cut;
  const wide = formatWithUnit(takes, unit);
  switch (gives.kind) {
    case 'piece':
      return `cut ${counted(count, nameOf(gives.piece).toLowerCase())}, ${wide}${count === 1 ? '' : ' each'}${fromEach(cut)}`;
    case 'strip':
      return `cut ${counted(count, 'strip')}, ${wide} wide${fromEach(cut)}`;
    case 'waste':
      return `cut off ${counted(count, 'strip')}, ${wide} wide: an offcut`;
  }
}

function leavesInWords(cut: CutOperation, nameOf: NameOf, unit: Unit): readonly string[] {
  const { leaves, gives, from, measures } = cut;
  const each = from.count > 1 ? ' of each' : '';
  switch (leaves.kind) {
    case 'nothing':
    case 'more':
      return [];
    case 'waste':
      if (!isEven(cut)) return [`What is left of each is an offcut.`];
      return [
        `What is left${each}, ${formatAsFound(leaves.width, unit)}, is ${isOffcut(leaves.width, measures === 'width' ? from.height : from.width) ? 'an offcut' : 'waste'}.`,
      ];
    case 'piece':
      return gives.kind === 'piece' && gives.piece === leaves.piece
        ? [`The last${each} needs no cut.`]
        : [`What is left${each} is the ${nameOf(leaves.piece).toLowerCase()}.`];
  }
}

function settingInWords(cut: CutOperation, unit: Unit): string {
  const { from, measures, setting, arm, wanted, tool, cautions } = cut;
  const figure = formatWithUnit(setting, unit);
  const which =
    from.width === from.height
      ? ''
      : (measures === 'width') === from.width > from.height
        ? ', along the longer side'
        : ', along the shorter side';
  if (tool === 'ruler') {
    const measure = cautions.includes('too large')
      ? 'Too large for the trimmer: measure'
      : 'Measure';
    return `${measure} ${figure}${which}, and cut along a ruler.`;
  }
  const pulled = arm === 'out' ? ', arm pulled out' : '';
  const side = wanted === 'on the ruler' ? '' : ' What you want falls off beyond the blade.';
  return `Set the trimmer to ${figure}${which}${pulled}.${side}`;
}

/** What to mind besides; that a trimmer is too small is said before what is done instead. */
function cautionsInWords({ cautions }: CutOperation): readonly string[] {
  return cautions.includes('narrow strip')
    ? ['The strip is too narrow to hold: hold the wide part.']
    : [];
}

/** A cut as it is said; the second one of a step goes through the strip that the first gave. */
function cutSentences(
  cut: CutOperation,
  { isOn, nameOf, unit }: { readonly isOn: boolean; readonly nameOf: NameOf; readonly unit: Unit },
): readonly string[] {
  return [
    `From ${fromInWords(cut, { isOn, nameOf, unit })}: ${wantedInWords(cut, nameOf, unit)}.`,
    settingInWords(cut, unit),
    ...leavesInWords(cut, nameOf, unit),
    ...cautionsInWords(cut),
    ...(cut.print === undefined ? [] : [`The print runs ${cut.print}.`]),
  ];
}

/** What comes of a step. */
function whatComes(cuts: CutStep['cuts'], nameOf: NameOf): string {
  const pieces = cuts.flatMap(({ gives, count }) =>
    gives.kind === 'piece' ? [counted(count, nameOf(gives.piece).toLowerCase())] : [],
  );
  if (pieces.length > 0) return inRow(pieces);
  const [{ gives, count }] = cuts;
  return gives.kind === 'strip' ? counted(count, 'strip') : `${counted(count, 'strip')} off`;
}

/** Sheets that are pieces as they are. */
function sayWhole({ from, paper, gives }: CutOperation, nameOf: NameOf): Said {
  const name = gives.kind === 'piece' ? nameOf(gives.piece).toLowerCase() : 'piece';
  const sheets = counted(from.count, 'whole sheet');
  return {
    figure: capitalised(sheets),
    text: `Take ${sheets} of ${nameOf(paper)}: ${from.count === 1 ? 'it is the' : 'each is one'} ${name}. Nothing is cut off.`,
    line: `${nameOf(paper)}: ${counted(from.count, name)}, whole sheets`,
  };
}

/** The cuts of a step as they are said at the table. */
export function sayCut({ cuts }: CutStep, nameOf: NameOf, kit: Kit): Said {
  const unit = cutUnit(kit);
  const [first] = cuts;
  if (first.isWhole) return sayWhole(first, nameOf);
  const settings = figuresInRow(
    cuts.map(({ setting }) => setting),
    unit,
  );
  const rest = first.from.what === 'rest' ? ', from the rest' : '';
  return {
    figure: settings,
    text: cuts.flatMap((cut, i) => cutSentences(cut, { isOn: i > 0, nameOf, unit })).join(' '),
    line: `${nameOf(first.paper)}: ${whatComes(cuts, nameOf)} at ${settings}${rest}`,
  };
}
