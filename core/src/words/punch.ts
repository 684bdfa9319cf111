import { formatWithUnit } from '../length/index.ts';
import type { PunchOperation } from '../make/index.ts';
import { cutUnit, type Kit } from '../tools/index.ts';
import { figuresInRow } from './measures.ts';
import { countInWords } from './plain.ts';

function unitOf({ board }: PunchOperation, kit: Kit) {
  return (board === 'diagonal' ? kit.diagonalBoard : kit.cornerBoard)?.unit ?? cutUnit(kit);
}

/** The short line of what is done on a punch board. */
export function punchHeadline({ setting, sides, board }: PunchOperation): string {
  if (setting.kind === 'last lines') return `Follow the last lines, ${countInWords(sides)} sides`;
  return board === 'corner'
    ? `Punch and score all ${countInWords(sides)} corners`
    : 'Punch and score on the first side';
}

/** Where a punch board is set: `B, 1 in`; undefined where it follows the lines before. */
export function punchFigure(punch: PunchOperation, kit: Kit): string | undefined {
  const { setting } = punch;
  if (setting.kind === 'last lines') return undefined;
  const at = formatWithUnit(setting.at, unitOf(punch, kit));
  return setting.name === undefined ? at : `${setting.name}, ${at}`;
}

/** All that a sheet is punched at, in one go: `2 13/16 and 5 1/2 in`; what is done where nothing is set. */
export function punchFigures(
  punches: readonly [PunchOperation, ...PunchOperation[]],
  kit: Kit,
): string {
  const [first] = punches;
  const set = punches.flatMap(({ setting }) => (setting.kind === 'mark' ? [setting.at] : []));
  return set.length > 1
    ? figuresInRow(set, unitOf(first, kit))
    : (punchFigure(first, kit) ?? punchHeadline(first));
}

/** What is done on a punch board, sentence by sentence. */
export function punchSentences(punch: PunchOperation, kit: Kit): readonly string[] {
  const { board, setting, sides } = punch;
  if (setting.kind === 'last lines') {
    const lines = countInWords(setting.lines);
    return [
      'Turn it a quarter clockwise.',
      'Slide it along the fence until the end of a line that you scored last is at the notch. Punch there, and score.',
      `Do the same with the other line of that side; ${lines} lines in all.`,
      `Turn and do so on ${countInWords(sides)} sides in all.`,
    ];
  }
  const at = formatWithUnit(setting.at, unitOf(punch, kit));
  if (board === 'corner') {
    const mark = setting.name === undefined ? 'the mark' : `the mark “${setting.name}”,`;
    return [
      `Put a corner at ${mark} ${at}.`,
      'Notch it and score its three lines: one from each edge, and one across the corner.',
      `Turn it a quarter clockwise and do the next corner the same way, all ${countInWords(sides)}.`,
    ];
  }
  return [
    `Lay the top edge at the fence, with the top left corner at ${at}.`,
    'Punch the notch, and score the line down to the left.',
  ];
}
