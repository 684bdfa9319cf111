import { watchEffect } from 'vue';
import { useProject } from '../stores/project.ts';

const titles = {
  shelf: 'Shelf',
  box: 'Box',
  compare: 'Compare',
  limits: 'What fits',
  make: 'Make',
  kit: 'My tools',
  papers: 'My papers',
  kept: 'What is kept where',
} as const;

/** The views that have a bar over them. */
export type Place = keyof typeof titles;

/** Tells each view from the others by the title of the page, the name of its box first. */
export function useTitle(place: () => Place, project: () => string | undefined): void {
  const open = useProject();
  watchEffect(() => {
    const name = open.id === project() ? open.document?.name : undefined;
    document.title = [name, titles[place()], 'Rangoli']
      .filter((part) => part !== undefined)
      .join(' · ');
  });
}
