import { inches, millimetres, type Length } from '../length/index.ts';
import { drawerGap, lidGap, linerGap } from '../gaps/index.ts';
import { ownPrints, type OwnPrintId, type Print } from '../print/index.ts';
import type { Paper } from './paper.ts';

const square = { name: '12 × 12 in', width: inches(12), height: inches(12) };

function card(id: string, name: string, colour: string, thickness: Length): Paper {
  return {
    id,
    name,
    thickness,
    sheet: square,
    print: 'plain',
    printRuns: 'any way',
    finish: 'matt',
    colour,
    gaps: { lid: lidGap, drawer: drawerGap, liner: linerGap },
  };
}

function printed(print: OwnPrintId, ink: string): Print {
  return { kind: 'own', print, ink, across: ownPrints[print].usually };
}

/** The papers that Rangoli starts with. */
export const stockPapers: readonly Paper[] = [
  card('dusk', 'Dusk', '#32499b', millimetres(0.3)),
  card('sodium', 'Sodium', '#e6903c', millimetres(0.3)),
  card('comet', 'Comet', '#8fb7d9', millimetres(0.27)),
  card('graphite', 'Graphite', '#5b6468', millimetres(0.36)),
  card('eggshell', 'Eggshell', '#f3e6cf', millimetres(0.3)),
  {
    ...card('star-trails', 'Star trails', '#4a3d86', millimetres(0.24)),
    print: 'one face',
    printRuns: 'one way',
    front: printed('star-trails', '#ece4c8'),
  },
  {
    ...card('orbits', 'Orbits', '#3f8f86', millimetres(0.24)),
    print: 'one face',
    front: printed('orbits', '#f0e2bf'),
  },
];

/** Clear film, for windows: no box is made of it. */
export const windowFilm: Paper = card('window-film', 'Window film', '#dcebf0', millimetres(0.13));
