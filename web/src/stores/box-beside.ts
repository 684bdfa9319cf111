import type { ProjectDocument } from '@rangoli/core';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { boxOf } from '../parts/beside.ts';
import { useOpenProject } from './open-project.ts';

/** A box that a view stands beside; its document once it is here. */
export interface BoxBeside {
  readonly id: string;
  readonly document: ProjectDocument | undefined;
}

/**
 * The box that a view stands beside, by its address: opened unless it is open already, and saved on leaving. One that is
 * no more is not led back to.
 */
export function useBoxBeside() {
  const route = useRoute();
  const wanted = computed(() => boxOf(route.query));
  const project = useOpenProject(() => wanted.value);

  return computed((): BoxBeside | undefined => {
    const id = wanted.value;
    if (id === undefined) return undefined;
    if (project.id !== id) return { id, document: undefined };
    return project.openState.kind === 'missing' ? undefined : { id, document: project.document };
  });
}
