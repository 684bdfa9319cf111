import type { Section } from '../marks/index.ts';
import type { Part, Stack } from '../fold/index.ts';
import { plus, type Length, type Tolerance } from '../length/index.ts';
import { paperFor, type Papers } from '../paper/index.ts';
import type { PieceTemplate, SizeOf, StyleBrief, StyleFit } from './brief.ts';
import {
  addLayers,
  evenLayers,
  fitsOver,
  sectionsOver,
  type FloorSections,
  type Layers,
} from './sections.ts';
import {
  openEnd,
  tubeAside,
  tubeInside,
  tubePanels,
  tubePart,
  tubeStacks,
  tubeTemplate,
  type Standing,
} from './tube.ts';

type Brief = Pick<StyleBrief<unknown>, 'inside' | 'kit' | 'mayBeOblong'> & {
  readonly papers: Papers;
};

/** Card that lies outside a liner's fold lines and inside the walls round it. */
interface Around {
  readonly piece: string;
  readonly card: Length;
  /** What lies inside those walls besides the liner. */
  readonly inside: Layers;
}

/** A band of four panels that stands inside a box, and the box's floor over it. */
export interface Liner {
  readonly sections: readonly Section[];
  readonly template: PieceTemplate;
  readonly floor: FloorSections;
  readonly fits: readonly StyleFit[];
  readonly part: (size: SizeOf, standing: Standing) => Part;
  /** How far in millimetres to the right the walls round it stand, for the gift's room to be in the middle. */
  readonly aside: number;
  readonly stacks: (size: SizeOf) => readonly Stack[];
  readonly inside: (size: SizeOf) => { readonly across: Length; readonly deep: Length };
}

/** A liner round the gift, and the floor of the tray that it stands in. */
export function liner(brief: Brief, slot: number, high: Section, around: Around): Liner {
  const { thickness: card, gaps } = paperFor(brief.papers, slot);
  const panels = tubePanels(brief, 'liner', card);
  const between = addLayers(evenLayers(plus(card, around.card)), around.inside);
  const gap: Tolerance = gaps.liner;
  const floor = sectionsOver(brief, around.piece, { inner: panels.floor, layers: between, gap });
  const tube = {
    id: 'liner',
    name: 'Liner',
    paper: slot,
    panels,
    high: high.id,
    top: openEnd,
    bottom: openEnd,
  };
  return {
    sections: [...panels.sections, high],
    template: tubeTemplate(tube),
    floor,
    fits: fitsOver('liner', {
      outer: { piece: around.piece, floor },
      inner: { piece: 'liner', floor: panels.floor },
      layers: between,
      gap,
    }),
    part: (size, standing) => tubePart(tube, size, standing),
    aside: tubeAside(panels),
    stacks: (size) => tubeStacks(tube, size),
    inside: (size) => tubeInside(size, panels),
  };
}
