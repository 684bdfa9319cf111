import { largest, millimetres, smallest, times, type Length } from '../length/index.ts';
import type { Section } from '../marks/index.ts';
import type { StyleBrief } from './brief.ts';
import { section } from './sections.ts';

/** No strip needs to be wider to be carried by. */
const widest: Length = millimetres(22);
/** A narrower strip has too little to be glued by. */
const narrowest: Length = millimetres(6);

/** The width of a strip that is glued to a panel: `share` of it, and never wider than that. */
export function handleWidth(
  brief: Pick<StyleBrief<unknown>, 'kit'>,
  { panel, share }: { readonly panel: Length; readonly share: number },
): Section {
  const least = smallest(panel, narrowest);
  const target = largest(least, smallest(widest, times(panel, share)));
  const width = { least: largest(least, times(target, 2 / 3)), target, weight: 0.1 };
  return { ...section(brief, 'handle width', width), most: largest(target, panel) };
}
