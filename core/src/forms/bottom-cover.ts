import { vector, type Part, type Stack } from '../fold/index.ts';
import {
  half,
  largest,
  millimetres,
  minus,
  plus,
  toMillimetres,
  type Length,
} from '../length/index.ts';
import type { SmallerPair } from '../marks/index.ts';
import type { PieceTemplate, StyleSection } from './brief.ts';
import { drawGrid } from './draw-grid.ts';
import { footprint, type FloorSections } from './sections.ts';
import { panels } from './tube.ts';

/** So far it keeps back from the edges of the bottom, both sides together, to be glued on without standing over. */
const keepsBack: Length = millimetres(2);
const least: Length = millimetres(8);

/** A plain piece that is glued under a bottom of flaps and hides them. */
export interface BottomCover {
  readonly sections: readonly StyleSection[];
  readonly smaller: readonly SmallerPair[];
  readonly template: PieceTemplate;
  readonly part: Part;
  readonly stacks: readonly Stack[];
}

/** The cover of a tube's bottom, whose flaps lie in the row `flaps` of the piece `under`. */
export function bottomCover({
  under,
  flaps,
  floor,
  card,
  paper,
  own,
  joins,
}: {
  readonly under: string;
  readonly flaps: number;
  readonly floor: FloorSections;
  /** The card that it is glued to. */
  readonly card: Length;
  readonly paper: number;
  /** Its own card. */
  readonly own: Length;
  readonly joins: number;
}): BottomCover {
  const ways = floor.across === floor.deep ? (['across'] as const) : footprint;
  const id = (way: (typeof footprint)[number]) =>
    floor.across === floor.deep ? 'cover side' : `cover ${way}`;
  return {
    sections: ways.map((way) => {
      const over = floor.byDirection[way];
      return {
        id: id(way),
        least: largest(least, minus(over.least, millimetres(8))),
        target: largest(least, minus(over.target, keepsBack)),
        most: largest(least, minus(over.most, half(keepsBack))),
        weight: 0.1,
      };
    }),
    smaller: ways.map((way) => ({ less: id(way), more: floor[way], by: half(keepsBack) })),
    template: {
      id: 'cover',
      name: 'Bottom cover',
      paper,
      copies: 1,
      across: [id('across')],
      down: [id('deep')],
      draw: (size) =>
        drawGrid({
          columns: [size(id('across'))],
          rows: [size(id('deep'))],
          picture: ['f'],
          lines: [],
        }),
    },
    part: {
      id: 'cover',
      piece: 'cover',
      root: { column: 0.5, row: 0.5 },
      at: vector(0, 0, -toMillimetres(plus(card, half(own)))),
      right: vector(1, 0, 0),
      up: vector(0, 1, 0),
      joins,
      opens: vector(0, 0, -30),
    },
    // A narrow one lies on hardly any of one flap: it is glued to the whole bottom, and told once.
    stacks: [panels.front, panels.back, panels.right, panels.left].map((panel) => ({
      face: { part: 'cover', spot: { column: 0.5, row: 0.5 } },
      on: { part: under, spot: { column: panel + 0.5, row: flaps + 0.5 } },
      side: 'outside',
      holds: panel === panels.front ? 'glue' : 'rest',
    })),
  };
}
