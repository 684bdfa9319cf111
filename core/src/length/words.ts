import { ordinalInWords } from './ordinals.ts';
import type { Length } from './length.ts';
import { isOnGrid } from './grid.ts';
import type { Unit } from './unit.ts';

/** A row of marks as a maker counts them: which unit its figures are in, and how far apart the marks stand. */
export interface Ruler {
  readonly unit: Unit;
  readonly step: Length;
}

/** So many small marks are counted. */
const mostCounted = 8;
const counts = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight'];

/** The distance between the figures printed on a ruler: 1 in, or 1 cm (printed in millimetres as 10). */
function figureStep(unit: Unit): number {
  return unit === 'inch' ? 25_400_000 : 10_000_000;
}

function marks(count: number, size: string): string {
  return `${counts[count] ?? `${count}`} ${size} ${count === 1 ? 'mark' : 'marks'}`;
}

/**
 * Where a mark stands, in a maker's words: `the 5`, `the sixth small mark`, `one small mark before 5`,
 * `halfway between 3 and 4`. Undefined when the length is not on one of the ruler's marks.
 */
export function markInWords(length: Length, ruler: Ruler): string | undefined {
  if (length <= 0 || !isOnGrid(length, ruler.step)) return undefined;
  const figure = figureStep(ruler.unit);
  const perFigure = Math.round(figure / ruler.step);
  const whole = Math.floor(length / figure);
  const after = Math.round((length - whole * figure) / ruler.step);
  const name = (figures: number) => `${ruler.unit === 'inch' ? figures : figures * 10}`;
  if (after === 0) return `the ${name(whole)}`;
  if (whole === 0 && after <= mostCounted && after < perFigure)
    return `the ${ordinalInWords(after)} small mark`;
  if (after * 2 === perFigure) return `halfway between ${name(whole)} and ${name(whole + 1)}`;
  if (after * 2 > perFigure)
    return `${marks(perFigure - after, 'small')} before ${name(whole + 1)}`;
  return `${marks(after, 'small')} after ${name(whole)}`;
}
