import { isWholeSteps, remainder, valuesWithin, type Lattice } from './lattice.ts';
import { isSettled } from './made-already.ts';
import type { DecisionOrder } from './marks-index.ts';
import type { MarksProblem, MarkTools } from './marks-problem.ts';
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
 * trimmer's marks, what a shim reaches and what lies between two edges of a cut as well; and of these what leaves the
 * chains that it completes on the trimmer's marks.
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
  const { step, pitch } = problem.tools;
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
  for (const lattice of latticesBetween(at, soFar))
    for (const value of valuesWithin(lattice, least, most))
      if (!isWholeSteps(value, step) && !isWholeSteps(value, pitch)) values.push(value);
  return values;
}

/** Values that are neither grooves nor marks, and bring scores onto grooves all the same. */
function latticesBetween(at: number, soFar: SoFar): readonly Lattice[] {
  const { problem, choice } = soFar;
  const { step, pitch, edges } = problem.tools;
  const residues = new Set(shimResidues(problem.tools));
  // From one edge alone nothing else comes onto a groove.
  const isTurned = edges === 'both';
  for (const cut of isTurned ? choice.cutsOf(at) : [])
    for (const residue of residuesOfCut(cut, problem.tools)) residues.add(residue);
  const rests = isTurned ? choice.scoresBeside(at) : [];
  return [
    ...[...residues].map((residue) => ({ residue, step: pitch })),
    // What is left beside a score that is made already has only the trimmer’s marks for its cut to be on.
    ...rests.map((is) => ({ residue: remainder(-is, step), step })),
  ];
}

/** What a section is over whole grooves where it lies before a shimmed score, behind one, or between one and a groove. */
function shimResidues({ pitch, shim }: MarkTools): readonly number[] {
  const after = shim === undefined ? 0 : shim % pitch;
  return after === 0 ? [] : [pitch - after, after];
}

/**
 * What a section of a piece that is cut already is over whole grooves where the scores beside it are read from different
 * edges: the remainder of the cut lies between them. A score has its place on a groove, or before one with the shim
 * between, from the one edge or from the other; a section goes from one such place to another.
 */
function residuesOfCut(cut: number, { pitch, shim }: MarkTools): readonly number[] {
  if (isWholeSteps(cut, pitch)) return [];
  const thick: number = shim ?? 0;
  const places = [0, -thick, cut, cut + thick];
  return places.flatMap((to) => places.map((from) => remainder(to - from, pitch)));
}

/**
 * Whether a value is of no use but between scores that are read from different edges: neither whole grooves nor the
 * trimmer's marks, nor what a shim reaches. With it every score has to be on a groove, for no ruler has the others.
 */
export function isBetweenEdges(value: number, tools: MarkTools): boolean {
  const { step, pitch } = tools;
  return !isWholeSteps(value, step) && ![0, ...shimResidues(tools)].includes(value % pitch);
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
