import { formatWithUnit, type Unit } from '../length/index.ts';
import type { CutCaution, TrimStep } from '../sheets/index.ts';
import { countInWords, formatSize } from '../steps/index.ts';
import { cutUnit, type Kit } from '../tools/index.ts';
import { plural } from './plural.ts';

/** A cut in words, without what is counted. */
export interface TrimWords {
  readonly figure: string;
  readonly text: string;
  readonly line: string;
}

function many(count: number, one: string): string {
  return count === 1 ? `one ${one}` : `${countInWords(count)} ${one}s`;
}

/** What is cut: whole sheets, or parts of them by their size. */
function fromInWords({ from, name }: TrimStep, unit: Unit): string {
  const { what, count, width, height } = from;
  if (what === 'sheet') return `${many(count, 'sheet')} of ${name}`;
  const size = formatSize(width, height, unit);
  return what === 'strip'
    ? `${many(count, 'strip')} of ${name}, ${size}`
    : `what is left of ${many(count, 'sheet')} of ${name}, ${size}`;
}

function givesInWords({ gives, copies, cutsEach, from }: TrimStep, said: string): string {
  const each =
    from.count > 1 && cutsEach !== undefined && cutsEach > 1
      ? `, ${countInWords(cutsEach)} from each`
      : '';
  switch (gives.kind) {
    case 'piece':
      return copies === 1
        ? `one ${piecesInWords(gives.name, copies)} of ${said}`
        : `${countInWords(copies)} ${piecesInWords(gives.name, copies)}, ${said} each${each}`;
    case 'strip':
      return `${many(copies, 'strip')} of ${said}${each}`;
    case 'waste':
      return `${many(copies, 'strip')} of ${said} off, to be kept for tags`;
  }
}

function piecesInWords(name: string, count: number): string {
  return count === 1 ? name.toLowerCase() : plural(name);
}

const cautionWords: Readonly<Record<CutCaution, string>> = {
  'narrow waste': 'The narrow bit that is left is waste.',
  'narrow strip': 'The strip is too narrow to be held: hold the wide part, and cut it last.',
  'print runs up': 'Keep the print the same way up.',
  'too large': 'It is too large for the trimmer.',
};

function settingInWords(step: TrimStep, unit: Unit): string {
  const figure = formatWithUnit(step.setting, unit);
  const which =
    step.from.width === step.from.height
      ? ''
      : (step.measures === 'width') === step.from.width > step.from.height
        ? ', along the long side'
        : ', along the short side';
  if (step.tool === 'ruler') return `Measure ${figure}${which}, and cut along a ruler.`;
  const arm = step.arm === 'out' ? ', arm pulled out' : '';
  const side =
    step.wanted === 'on the ruler' ? '' : ' What you want is what falls off beyond the blade.';
  return `Set the trimmer to ${figure}${which}${arm}.${side}`;
}

function lineOf({ gives, copies }: TrimStep): string {
  const count = countInWords(copies);
  switch (gives.kind) {
    case 'piece':
      return `${count} ${piecesInWords(gives.name, copies)}`;
    case 'strip':
      return many(copies, 'strip');
    case 'waste':
      return `${count} off`;
  }
}

/** A cut as it is said at the table. */
export function sayTrim(step: TrimStep, kit: Kit): TrimWords {
  const unit = cutUnit(kit);
  const takes = formatWithUnit(step.takes, unit);
  const cautions = step.cautions.map((each) => cautionWords[each]);
  return {
    figure: formatWithUnit(step.setting, unit),
    text: [
      `From ${fromInWords(step, unit)}: cut ${givesInWords(step, takes)}.`,
      settingInWords(step, unit),
      ...cautions,
    ].join(' '),
    line: `${step.name}: ${lineOf(step)} at ${formatWithUnit(step.setting, unit)}${step.from.what === 'rest' ? ', from the rest' : ''}`,
  };
}
