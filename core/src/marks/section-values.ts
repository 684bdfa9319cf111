import { isWholeSteps, valuesWithin } from './lattice.ts';
import { isSettled } from './made-already.ts';
import type { DecisionOrder } from './marks-index.ts';
import type { MarksProblem } from './marks-problem.ts';
import type { OpenChain, PartialChoice, SearchGrid } from './partial-choice.ts';

/** A search as far as it has come. */
interface SoFar {
  readonly problem: MarksProblem;
  readonly order: DecisionOrder;
  readonly where: SearchGrid;
  readonly choice: PartialChoice;
}

/**
 * Values that the tools allow for a section, given those already decided: whole grooves or, off the grooves, the
 * trimmer's marks and what a shim reaches as well; and of these what leaves the chains that it completes on the
 * trimmer's marks.
 */
export function sectionValues(at: number, soFar: SoFar): readonly number[] {
  const { problem, choice } = soFar;
  const values = allowedValues(at, soFar);
  const chains = choice.openOnlyAt(at);
  if (chains.length === 0) return values;
  const { step } = problem.tools;
  return values.filter((value) => isCutOnMarks(value, chains, step));
}

/** Whether a value leaves the chains that it completes on the trimmer's marks. */
function isCutOnMarks(value: number, chains: readonly OpenChain[], step: number): boolean {
  for (const { others, times } of chains)
    if (!isWholeSteps(others + times * value, step)) return false;
  return true;
}

function allowedValues(at: number, soFar: SoFar): readonly number[] {
  const { problem, order, where, choice } = soFar;
  const { step, pitch, shim } = problem.tools;
  const made = choice.madeAlready(at);
  const { least, most } = choice.rangeOf(at);
  if (made !== undefined) return mayBe(at, made, soFar) ? [made] : [];
  if (!order.onPitch[at]) {
    const residue = choice.latticeOf(at).residue % step;
    return valuesWithin({ residue, step }, least, most);
  }
  const onGrooves = valuesWithin({ residue: 0, step: pitch }, least, most);
  if (where === 'on grooves') return onGrooves;
  const onMarks = valuesWithin({ residue: 0, step }, least, most);
  const values = [...onGrooves, ...onMarks.filter((value) => !isWholeSteps(value, pitch))];
  if (shim === undefined) return values;
  // A section lies before a shimmed score, behind one, or between one and a groove.
  const after = shim % pitch;
  for (const residue of after === 0 ? [] : new Set([pitch - after, after]))
    for (const value of valuesWithin({ residue, step: pitch }, least, most))
      if (!isWholeSteps(value, step)) values.push(value);
  return values;
}

/**
 * Whether a section whose size is made already may have it: on grooves, whole grooves only. That it is in its
 * range has been seen by then.
 */
function mayBe(at: number, made: number, { problem, order, where }: SoFar): boolean {
  const section = problem.sections[at];
  if (!section || !Number.isInteger(made)) return false;
  const isOff = order.onPitch[at] && made % problem.tools.pitch !== 0;
  return isSettled(section) || where === 'off grooves' || !isOff;
}
