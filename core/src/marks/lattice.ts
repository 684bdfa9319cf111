/** The values that a section can still take: `residue` modulo `step`; one value when the step is 0. */
export interface Lattice {
  readonly residue: number;
  readonly step: number;
}

/** Of two whole numbers; the other one when one is 0. */
export function greatestCommonDivisor(a: number, b: number): number {
  return b === 0 ? Math.abs(a) : greatestCommonDivisor(b, a % b);
}

/** Whether a length is so many whole steps; quicker than a remainder. */
export function isWholeSteps(value: number, step: number): boolean {
  return Math.trunc(value / step) * step === value;
}

/** What is over after whole steps, from 0 to below a step, below zero too. */
export function remainder(value: number, step: number): number {
  return ((value % step) + step) % step;
}

/** The lattice's values next to a range: from the last one at or below it to the first at or above it. */
export function valuesAround(lattice: Lattice, from: number, to: number): readonly number[] {
  if (lattice.step === 0) return [lattice.residue];
  const first = Math.floor((from - lattice.residue) / lattice.step);
  const last = Math.ceil((to - lattice.residue) / lattice.step);
  const values: number[] = [];
  for (let i = first; i <= last; i++) values.push(lattice.residue + i * lattice.step);
  return values;
}

/** The lattice's values from one limit to another, both among them. */
export function valuesWithin({ residue, step }: Lattice, least: number, most: number): number[] {
  const values: number[] = [];
  const first = Math.ceil((least - residue) / step) * step + residue;
  for (let value = first; value <= most; value += step) values.push(value);
  return values;
}

/** How far the lattice's value next to a target lies from it. */
export function distanceTo({ residue, step }: Lattice, target: number): number {
  if (step === 0) return Math.abs(target - residue);
  const over = Math.abs(target - residue) % step;
  return Math.min(over, step - over);
}
