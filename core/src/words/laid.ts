import type { Unit } from '../length/index.ts';
import type { Feature, Handling, Laid } from '../make/index.ts';
import { formatNearest } from './measures.ts';
import { inRow } from './plain.ts';

/** How the card lies, as it is said: a print lies down, so that it isn’t scored on. */
const faces: Readonly<Record<Handling['face'], readonly [string, string]>> = {
  'inside up': ['inside up', 'inside down'],
  'print down': ['print down', 'print up'],
  'foil down': ['foil down', 'foil up'],
};

const turns = [
  'just as it lay',
  'turned a quarter clockwise',
  'turned half round',
  'turned a quarter anticlockwise',
];

function featureInWords(feature: Feature, unit: Unit): string {
  switch (feature.kind) {
    case 'edge at the top': {
      const length =
        feature.length === undefined ? '' : `, ${formatNearest(feature.length, unit)},`;
      return `the ${feature.edge} edge${length} at the top`;
    }
    case 'top of the print':
      return `the top of the print at the ${feature.at}`;
    case 'strip':
      return `the ${formatNearest(feature.width, unit)} strip at the ${feature.at}`;
    case 'score':
      return `a score ${formatNearest(feature.distance, unit)} from the ${feature.from} edge`;
    case 'scores run':
      return `the scores running ${feature.way}`;
    case 'unscored end':
      return `the end without scores at the ${feature.at}`;
    case 'slits':
      return `the slit ${feature.at.length === 1 ? 'edge' : 'edges'} at the ${inRow(feature.at)}`;
    case 'notches':
      return `the notched ${feature.at.length === 1 ? 'edge' : 'edges'} at the ${inRow(feature.at)}`;
    case 'holes':
      return `the holes nearest to the ${inRow(feature.at)}`;
    case 'cut corners':
      return `the cut-away ${feature.at.length === 1 ? 'corner' : 'corners'} at the ${inRow(feature.at)}`;
    case 'turned':
      return turns[feature.turns] ?? '';
  }
}

/** By what one finds how a piece has to lie; empty where it does not matter. */
export function featuresInWords(features: readonly Feature[], unit: Unit): string {
  return features.map((feature) => featureInWords(feature, unit)).join(', ');
}

/** How a piece lies, to be found with nothing but the piece in hand: `inside up, the longer edge at the top`. */
export function laidInWords({ lying, features }: Laid, handling: Handling, unit: Unit): string {
  const [up, down] = faces[handling.face];
  const lies = featuresInWords(features, unit);
  const face = lying.over ? `turned over end to end, ${down}` : up;
  return lies === '' ? face : `${face}, ${lies}`;
}
