import { inchFraction, millimetres, type KindedTool, type Length } from '@rangoli/core';

/** A length of a tool that its maker reads off it. */
export interface ToolLength {
  readonly key: string;
  readonly label: string;
  readonly length: Length;
  readonly least: Length;
  readonly most: Length;
  /** What an arrow key adds. */
  readonly step?: Length;
}

const large = { least: millimetres(50), most: millimetres(1500) };
const marks = { least: millimetres(0.25), most: millimetres(25.4) };

const punchLabels = {
  hole: 'Hole’s width',
  corner: 'Radius of the corner',
  edge: 'Repeats every',
  end: 'Widest strip it takes',
} as const;

/** The lengths of a tool, in the order in which they are asked for. */
export function toolLengths({ kind, tool }: KindedTool): readonly ToolLength[] {
  const isInch = tool.unit === 'inch';
  const fine = isInch ? inchFraction(1, 32) : millimetres(0.5);
  const coarse = isInch ? inchFraction(1, 16) : millimetres(0.5);
  const board = { least: millimetres(100), most: millimetres(1500) };
  switch (kind) {
    case 'boards':
      return [
        { key: 'pitch', label: 'A groove every', length: tool.pitch, ...marks, step: coarse },
        { key: 'reach', label: 'Grooves reach to', length: tool.reach, ...board },
        { key: 'grooveLength', label: 'Each groove is', length: tool.grooveLength, ...board },
      ];
    case 'trimmers':
      return [
        { key: 'step', label: 'A mark every', length: tool.step, ...marks, step: fine },
        { key: 'cutLength', label: 'Longest cut', length: tool.cutLength, ...large },
        { key: 'tableWidth', label: 'Table, arm in', length: tool.tableWidth, ...large },
        { key: 'widthWithArm', label: 'Table, arm out', length: tool.widthWithArm, ...large },
        {
          key: 'leastStrip',
          label: 'Narrowest strip',
          length: tool.leastStrip,
          least: millimetres(2),
          most: millimetres(80),
        },
      ];
    case 'diagonalBoards': {
      const ruler = { least: millimetres(5), most: millimetres(1500) };
      return [
        { key: 'step', label: 'A mark every', length: tool.step, ...marks, step: coarse },
        { key: 'least', label: 'First mark', length: tool.least, ...ruler },
        { key: 'most', label: 'Last mark', length: tool.most, ...ruler },
        { key: 'largestSheet', label: 'Largest sheet', length: tool.largestSheet, ...ruler },
        {
          key: 'notch',
          label: 'Depth of the notch',
          length: tool.notch,
          least: millimetres(0.5),
          most: millimetres(25),
        },
      ];
    }
    case 'cornerBoards': {
      const ruler = { least: millimetres(3), most: millimetres(1500) };
      return [
        { key: 'largestSheet', label: 'Largest sheet', length: tool.largestSheet, ...ruler },
        { key: 'lineLength', label: 'Its lines are', length: tool.lineLength, ...ruler },
      ];
    }
    case 'rulers':
      return [
        { key: 'step', label: 'A mark every', length: tool.step, ...marks, step: fine },
        { key: 'length', label: 'Long', length: tool.length, ...large },
      ];
    case 'punches':
      return [
        {
          key: 'size',
          label: punchLabels[tool.shape],
          length: tool.size,
          least: millimetres(1),
          most: millimetres(150),
        },
      ];
    case 'adhesives':
      return tool.width === undefined
        ? []
        : [
            {
              key: 'width',
              label: 'Tape’s width',
              length: tool.width,
              least: millimetres(1),
              most: millimetres(100),
            },
          ];
  }
}
