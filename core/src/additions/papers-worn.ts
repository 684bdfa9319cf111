import type { Paper } from '../paper/index.ts';
import type { AdditionChoice } from './registry.ts';

/** The papers of one thing that a box wears, in the order in which it counts them. */
export function papersOfOne(choice: AdditionChoice): readonly Paper[] {
  switch (choice.addition) {
    case 'panel':
    case 'tag':
      return choice.layers.map(({ paper }) => paper);
    case 'window':
      return choice.film ? [choice.film] : [];
    case 'ribbon':
    case 'spot':
    case 'wire':
      return [];
    case 'band':
    case 'dividers':
    case 'handle':
    case 'insert':
    case 'liner':
    case 'stiffener':
      return [choice.paper];
  }
}

/** The papers of what a box wears, in the order in which they follow those of its own pieces. */
export function papersWorn(additions: readonly AdditionChoice[]): readonly Paper[] {
  return additions.flatMap(papersOfOne);
}

/** The same layers with another paper in one of them. */
function layersWith<Layer extends { readonly paper: Paper }>(
  layers: readonly Layer[],
  at: number,
  paper: Paper,
): Layer[] {
  return layers.map((layer, i) => (i === at ? { ...layer, paper } : layer));
}

function withPaper(choice: AdditionChoice, at: number, paper: Paper): AdditionChoice {
  switch (choice.addition) {
    case 'panel':
      return { ...choice, layers: layersWith(choice.layers, at, paper) };
    case 'tag':
      return { ...choice, layers: layersWith(choice.layers, at, paper) };
    case 'window':
      return { ...choice, film: paper };
    case 'ribbon':
    case 'spot':
    case 'wire':
      return choice;
    case 'band':
    case 'dividers':
    case 'handle':
    case 'insert':
    case 'liner':
    case 'stiffener':
      return { ...choice, paper };
  }
}

/** The same additions with another paper in place of one of those that they wear, as these are counted. */
export function withWornPaper(
  additions: readonly AdditionChoice[],
  at: number,
  paper: Paper,
): readonly AdditionChoice[] {
  let first = 0;
  return additions.map((choice) => {
    const own = at - first;
    const count = papersOfOne(choice).length;
    first += count;
    return own >= 0 && own < count ? withPaper(choice, own, paper) : choice;
  });
}
