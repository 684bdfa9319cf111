import { formatWithUnit, type KindedTool, type Punch } from '@rangoli/core';

function punchFact({ shape, size, unit }: Punch): string {
  const said = formatWithUnit(size, unit);
  switch (shape) {
    case 'hole':
      return `A round hole, ${said} wide`;
    case 'corner':
      return `Rounds a corner, ${said} each way`;
    case 'edge':
      return `A border that repeats every ${said}`;
    case 'end':
      return `Shapes the end of a strip up to ${said} wide`;
  }
}

/** What a tool can do, fact by fact, what tells it from others first: together they are a sentence. */
export function toolFacts(kept: KindedTool): readonly string[] {
  const { unit } = kept.tool;
  switch (kept.kind) {
    case 'boards': {
      const { pitch, reach, grooveLength, fence, markers, shim } = kept.tool;
      return [
        `A groove every ${formatWithUnit(pitch, unit)}`,
        `up to ${formatWithUnit(reach, unit)}`,
        `grooves ${formatWithUnit(grooveLength, unit)} long`,
        `fence on the ${fence}`,
        markers === 0 ? 'no markers' : markers === 1 ? 'one marker' : `${markers} markers`,
        ...(shim === undefined ? [] : [`a shim of ${formatWithUnit(shim, unit)}`]),
      ];
    }
    case 'trimmers': {
      const { step, cutLength, tableWidth, widthWithArm, leastStrip, scoringTip } = kept.tool;
      return [
        `A mark every ${formatWithUnit(step, unit)}`,
        `cuts of ${formatWithUnit(cutLength, unit)}`,
        `table ${formatWithUnit(tableWidth, unit)}`,
        `${formatWithUnit(widthWithArm, unit)} with the arm out`,
        `holds strips of ${formatWithUnit(leastStrip, unit)}`,
        scoringTip ? 'with a scoring tip' : 'no scoring tip',
      ];
    }
    case 'diagonalBoards': {
      const { step, least, most, largestSheet } = kept.tool;
      return [
        `A mark every ${formatWithUnit(step, unit)}`,
        `from ${formatWithUnit(least, unit)} to ${formatWithUnit(most, unit)}`,
        `sheets up to ${formatWithUnit(largestSheet, unit)}`,
        'for the diamond wrap',
      ];
    }
    case 'cornerBoards': {
      const { marks, largestSheet } = kept.tool;
      const [first] = marks;
      const last = marks[marks.length - 1];
      return [
        `${marks.length} marks`,
        ...(first && last
          ? [
              `from ${first.name} at ${formatWithUnit(first.at, unit)} to ${last.name} at ${formatWithUnit(last.at, unit)}`,
            ]
          : []),
        `sheets up to ${formatWithUnit(largestSheet, unit)}`,
        'for the web-corner box',
      ];
    }
    case 'rulers':
      return [
        `A mark every ${formatWithUnit(kept.tool.step, unit)}`,
        `${formatWithUnit(kept.tool.length, unit)} long`,
        'with a stylus and a knife',
      ];
    case 'punches':
      return [punchFact(kept.tool)];
    case 'adhesives':
      return [
        kept.tool.width === undefined
          ? 'Holds a flap of any width'
          : `Tape ${formatWithUnit(kept.tool.width, unit)} wide`,
      ];
  }
}

/** The same as one sentence, without its full stop. */
export function toolInWords(kept: KindedTool): string {
  return toolFacts(kept).join(', ');
}
