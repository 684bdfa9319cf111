export { renderBoxSight } from './box-sight.ts';
export { renderCardSight, renderShelfSight } from './shelf-sight.ts';

/** Has nothing done: that the script has come is all that is asked for. */
export function ready(): void {
  // Nothing is left to be made ready.
}
