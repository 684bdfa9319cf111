import type { Length } from '../length/index.ts';

/** A shape of a print, as the path of an SVG in the print's own units. */
export interface PrintShape {
  readonly path: string;
  /** How wide its line is drawn; a shape without a line is filled. */
  readonly line?: number;
  /** How much of the ink it takes, 0–1. */
  readonly strength: number;
}

/** A print of Rangoli's own: what one repeat of it shows. It meets itself on all four sides. */
export interface OwnPrint {
  readonly name: string;
  /** The size of a repeat, in the print's own units. */
  readonly width: number;
  readonly height: number;
  readonly shapes: readonly PrintShape[];
  /** Whether it looks wrong upside down or on its side. */
  readonly runs: 'any way' | 'one way';
  /** How wide a repeat is on paper unless the maker says otherwise. */
  readonly usually: Length;
}
