/**
 * How many cases of a kind a property must have met for it to mean something. Where code is spoilt on purpose
 * (`npm run mutate`) a property has half a second only, and nothing is wanted of it.
 */
export function casesWanted(count: number): number {
  return process.env.FIRST_FAILURE === undefined ? count : 0;
}
