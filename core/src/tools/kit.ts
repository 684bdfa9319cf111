import { z } from 'zod';
import {
  inchFraction,
  isOnGrid,
  millimetres,
  roundToGrid,
  type Length,
  type Unit,
} from '../length/index.ts';
import { adhesiveSchema, genericAdhesives } from './adhesive.ts';
import { cornerBoardSchema } from './corner-board.ts';
import { diagonalBoardSchema } from './diagonal-board.ts';
import { genericRulers, handRulerSchema } from './hand-ruler.ts';
import { genericPunches, punchSchema } from './punch.ts';
import { scoringBoardSchema } from './scoring-board.ts';
import { trimmerSchema } from './trimmer.ts';

/** The kinds of tools that a maker may have, by the name of their drawer in the toolbox. */
export const toolKindSchema = z.enum([
  'boards',
  'trimmers',
  'diagonalBoards',
  'cornerBoards',
  'rulers',
  'punches',
  'adhesives',
]);
export type ToolKind = z.infer<typeof toolKindSchema>;

/** The tools that a box is planned for. */
export const kitSchema = z.object({
  trimmer: trimmerSchema,
  board: scoringBoardSchema,
  /** Punch boards are used where there is one; else the lines are made along a ruler. */
  diagonalBoard: diagonalBoardSchema.optional(),
  cornerBoard: cornerBoardSchema.optional(),
  punches: z
    .array(punchSchema)
    .max(80)
    .default(() => [...genericPunches]),
  adhesives: z
    .array(adhesiveSchema)
    .max(80)
    .default(() => [...genericAdhesives]),
  rulers: z
    .array(handRulerSchema)
    .max(40)
    .default(() => [...genericRulers]),
  /** What the maker has none of, whatever else the kit says. */
  without: z.array(toolKindSchema).max(toolKindSchema.options.length).default([]),
});
export type Kit = z.infer<typeof kitSchema>;

/** A kit of a trimmer and a board, with what else is usual at hand. */
export function kitOf(main: Pick<Kit, 'trimmer' | 'board'>): Kit {
  return kitSchema.parse(main);
}

/** What a length is set by: the marks of one tool. */
export interface Marked {
  readonly unit: Unit;
  readonly step: Length;
  /** How far its marks go. */
  readonly reach: Length;
}

/** Whether the maker has a ruler. */
export function hasRuler({ rulers }: Kit): boolean {
  return rulers.length > 0;
}

function rulerOf(kit: Kit, unit: Unit) {
  if (!hasRuler(kit)) return undefined;
  return kit.rulers.find((ruler) => ruler.unit === unit) ?? kit.rulers[0];
}

/** What cuts sheets to pieces: the trimmer, or else a knife along a ruler; undefined with neither. */
export type CuttingMeans = Marked & { readonly tool: 'trimmer' | 'ruler' };

/** What this kit cuts with. */
export function cuttingMeans(kit: Kit): CuttingMeans | undefined {
  const { trimmer, without } = kit;
  if (!without.includes('trimmers')) {
    const { unit, step, widthWithArm } = trimmer;
    return { tool: 'trimmer', unit, step, reach: widthWithArm };
  }
  const ruler = rulerOf(kit, trimmer.unit);
  return ruler && { tool: 'ruler', unit: ruler.unit, step: ruler.step, reach: ruler.length };
}

/** The unit that cut sizes are read in: the trimmer's, or that of the ruler which takes its place. */
export function cutUnit(kit: Kit): Unit {
  return cuttingMeans(kit)?.unit ?? kit.trimmer.unit;
}

/** A length on a piece as it is read at its tools. */
export interface ReadLength {
  readonly length: Length;
  readonly unit: Unit;
  /** Whether it is on no marks of them, and so about as long. */
  readonly isAbout: boolean;
}

/**
 * A length on a piece as it is read on the marks that it is on: of what cuts, or of what scores where it is on those
 * alone. Between an edge that is cut on one ruler and a line that is scored on another it is on neither’s: about so much.
 */
export function readOnMarks(length: Length, kit: Kit): ReadLength {
  const [cuts, scores] = [cuttingMeans(kit), scoringMeans(kit)];
  const on = [cuts, scores].find((means) => means && isOnGrid(length, means.step));
  if (on) return { length, unit: on.unit, isAbout: false };
  const unit = cutUnit(kit);
  if (!scores || scores.unit === unit) return { length, unit, isAbout: false };
  const fine = unit === 'inch' ? inchFraction(1, 32) : millimetres(0.5);
  return { length: roundToGrid(length, fine), unit, isAbout: true };
}

/** What scores straight lines: the board, or the trimmer's tip, or a stylus along a ruler. */
export type ScoringMeans = Marked & { readonly tool: 'board' | 'tip' | 'ruler' };

/** Whether the trimmer of this kit can score. */
export function hasTip({ trimmer, without }: Kit): boolean {
  return trimmer.scoringTip && !without.includes('trimmers');
}

/** What this kit scores with, where a line is on its marks; undefined where it can't. */
export function scoringMeans(kit: Kit): ScoringMeans | undefined {
  const { board, trimmer, without } = kit;
  if (!without.includes('boards'))
    return { tool: 'board', unit: board.unit, step: board.pitch, reach: board.reach };
  if (hasTip(kit)) {
    const { unit, step, widthWithArm } = trimmer;
    return { tool: 'tip', unit, step, reach: widthWithArm };
  }
  const ruler = rulerOf(kit, board.unit);
  return ruler && { tool: 'ruler', unit: ruler.unit, step: ruler.step, reach: ruler.length };
}
