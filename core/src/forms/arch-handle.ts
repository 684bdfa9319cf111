import { handleGap } from '../gaps/index.ts';
import type { Section } from '../marks/index.ts';
import { vector, type Part, type Stack } from '../fold/index.ts';
import {
  half,
  largest,
  millimetres,
  minus,
  plus,
  smallest,
  times,
  toMillimetres,
} from '../length/index.ts';
import { paperFor, type Papers } from '../paper/index.ts';
import type { PieceTemplate, SizeOf, StyleBrief, StyleDepth, StyleFit } from './brief.ts';
import { depthOf } from './depth.ts';
import { drawGrid, columnScore, valley } from './draw-grid.ts';
import { handleWidth } from './handle-width.ts';
import { apothemOf, sideTangent, type ManySided } from './many-sided.ts';
import { marksWindow, section } from './sections.ts';

/** A handle over a cup, with how it meets the cup. */
export interface ArchHandle {
  readonly sections: readonly Section[];
  readonly template: PieceTemplate;
  readonly fit: StyleFit;
  /** How high its ends come, where an option of the kind of box asks for it. */
  readonly depth: (option: string) => StyleDepth;
  readonly part: (size: SizeOf) => Part;
  readonly stacks: (size: SizeOf) => readonly Stack[];
}

type Brief = Pick<StyleBrief<unknown>, 'kit'> & { readonly papers: Papers };

/**
 * A strip over a cup with an even number of sides, glued outside its front and its back panel: it turns by
 * the same angle as the cup's panels do, so that its legs are as far apart as those.
 */
export function archHandle(
  brief: Brief,
  {
    cup,
    side,
    wall,
    paper,
    stages,
  }: {
    readonly cup: ManySided;
    readonly side: Section;
    readonly wall: Section;
    readonly paper: number;
    /** When it is bent and when it joins the cup, counted over the whole box. */
    readonly stages: { readonly bends: number; readonly joins: number };
  },
): ArchHandle {
  const { sides } = cup;
  const card = paperFor(brief.papers, cup.paper).thickness;
  const own = paperFor(brief.papers, paper).thickness;
  const over = plus(card, own);
  const wider = times(plus(over, handleGap.target), sideTangent(sides));
  const facet: Section = {
    id: 'handle side',
    least: side.least,
    target: plus(side.target, wider),
    most: plus(side.most, wider, marksWindow(brief)),
    weight: 0,
  };
  // Above the rim the arch begins, with room for a hand in all; a low cup has its own height above it at the most.
  const room = smallest(largest(millimetres(20), times(side.target, 0.4)), wall.least);
  const rise = plus(wall.target, largest(room, millimetres(8)));
  const shortest = plus(wall.target, millimetres(8));
  const leg = section(brief, 'handle leg', {
    least: plus(wall.least, millimetres(8)),
    target: rise,
    weight: 0.1,
  });
  const width = handleWidth(brief, { panel: side.least, share: 0.7 });
  const facets = sides / 2 - 1;
  const across = [leg.id, ...Array.from({ length: facets }, () => facet.id), leg.id];
  const front = Math.floor(sides / 2);
  return {
    sections: [facet, leg, width],
    depth: (option) =>
      depthOf(option, leg.id, { least: shortest, most: plus(wall.target, millimetres(150)) }),
    template: {
      id: 'handle',
      name: 'Handle',
      paper,
      copies: 1,
      across,
      down: [width.id],
      draw: (size) =>
        drawGrid({
          columns: across.map(size),
          rows: [size(width.id)],
          picture: [`e${'a'.repeat(facets)}e`],
          lines: Array.from({ length: sides / 2 }, (_, i) =>
            columnScore(i + 1, 0, 1, valley(360 / sides, stages.bends)),
          ),
        }),
    },
    fit: {
      kind: 'handle',
      outer: 'handle',
      inner: cup.id,
      direction: 'deep',
      outerSection: facet.id,
      innerSection: side.id,
      layers: over,
      gap: handleGap,
      opens: 1 / sideTangent(sides),
    },
    part: (size) => {
      const out = toMillimetres(apothemOf(size(facet.id), sides));
      // Its ends come down to just over the table.
      const middle = toMillimetres(minus(half(size(leg.id)), card));
      return {
        id: 'handle',
        piece: 'handle',
        // Folded in like any other piece, so that its print shows; the first leg stands at the front.
        root: { column: 0.5, row: 0.5 },
        right: vector(0, 0, 1),
        up: vector(1, 0, 0),
        at: vector(0, -out, middle),
        joins: stages.joins,
        opens: vector(0, 0, toMillimetres(size(leg.id))),
      };
    },
    stacks: (size) => {
      const apart = (id: string) => toMillimetres(apothemOf(size(id), sides));
      const bows = Math.max(0, apart(facet.id) - apart(side.id) - toMillimetres(over) / 2);
      return [0, 1].map((back): Stack => ({
        face: { part: 'handle', spot: { column: back ? across.length - 0.05 : 0.05, row: 0.5 } },
        on: {
          part: cup.id,
          spot: { column: ((front + (back * sides) / 2) % sides) + 0.5, row: 0.5 },
        },
        side: 'outside',
        holds: 'glue',
        bows,
      }));
    },
  };
}
