import type { PlanRequest } from '../request/index.ts';
import { allStyles, styleSummary, traitsOf } from '../styles/index.ts';
import type { WayOut } from './way-out.ts';

/** Ways out by another kind of box, those first that open and show the gift as this one does. */
export function waysByKind({ style }: PlanRequest): readonly WayOut[] {
  const wanted = traitsOf(style);
  const unlike = (id: (typeof allStyles)[number]['id']) => {
    const traits = traitsOf(styleSummary(id).usual);
    return (
      Number(traits.opensFromTop !== wanted.opensFromTop) +
      Number(traits.showsGift !== wanted.showsGift)
    );
  };
  return allStyles
    .filter(({ id }) => id !== style.style)
    .sort((a, b) => unlike(a.id) - unlike(b.id))
    .map(({ name, usual }) => ({
      kind: 'other kind',
      said: `Another kind: ${name.toLowerCase()}`,
      part: { style: usual, made: [] },
    }));
}
