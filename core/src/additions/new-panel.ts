import { inchFraction, millimetres, type Length, type Unit } from '../length/index.ts';
import type { Paper } from '../paper/index.ts';
import type { PanelChoice } from './panel.ts';
import type { AdditionChoice } from './registry.ts';

/** How far a panel keeps in from the edges of its face, and a layer from those of the one under it, unless it is said. */
export function usualMargin(unit: Unit, under: 'face' | 'layer'): Length {
  if (unit === 'inch') return inchFraction(1, under === 'face' ? 8 : 16);
  return millimetres(under === 'face' ? 3 : 2);
}

/** A panel of one layer for a box that wears these things already. */
export function newPanel(
  additions: readonly AdditionChoice[],
  { on, paper, unit }: Pick<PanelChoice, 'on'> & { readonly paper: Paper; readonly unit: Unit },
): PanelChoice {
  let nth = additions.length + 1;
  while (additions.some(({ id }) => id === `panel-${nth}`)) nth++;
  return {
    addition: 'panel',
    id: `panel-${nth}`,
    on,
    layers: [{ margin: usualMargin(unit, 'face'), paper }],
    underCover: 'counted',
  };
}

/** The same panel with one more layer on top. */
export function withLayer(panel: PanelChoice, paper: Paper, unit: Unit): PanelChoice {
  return {
    ...panel,
    layers: [...panel.layers, { margin: usualMargin(unit, 'layer'), paper }],
  };
}
