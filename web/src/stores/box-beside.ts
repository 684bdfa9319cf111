import type { ProjectDocument } from '@rangoli/core';
import { computed, onBeforeUnmount, watch } from 'vue';
import { useRoute } from 'vue-router';
import { boxOf } from '../parts/beside.ts';
import { useProject } from './project.ts';

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
  const project = useProject();
  const wanted = computed(() => boxOf(route.query));
  watch(
    wanted,
    (id) => {
      if (id !== undefined && (project.id !== id || project.openState.kind !== 'open'))
        void project.open(id);
    },
    { immediate: true },
  );
  onBeforeUnmount(() => project.flush());

  return computed((): BoxBeside | undefined => {
    const id = wanted.value;
    if (id === undefined) return undefined;
    if (project.id !== id) return { id, document: undefined };
    return project.openState.kind === 'missing' ? undefined : { id, document: project.document };
  });
}
