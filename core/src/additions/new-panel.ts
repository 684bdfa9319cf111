import { inchFraction, millimetres, type Length, type Unit } from '../length/index.ts';
import type { Paper } from '../paper/index.ts';
import type { PanelChoice } from './panel.ts';

/** How far a panel keeps in from the edges of its face, and a layer from those of the one under it, unless it is said. */
export function usualMargin(unit: Unit, under: 'face' | 'layer'): Length {
  if (unit === 'inch') return inchFraction(1, under === 'face' ? 8 : 16);
  return millimetres(under === 'face' ? 3 : 2);
}

/** A panel of one layer. Its id is told from those of all other things, those on another tablet too. */
export function newPanel({
  id,
  on,
  paper,
  unit,
}: Pick<PanelChoice, 'id' | 'on'> & { readonly paper: Paper; readonly unit: Unit }): PanelChoice {
  return {
    addition: 'panel',
    id,
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
