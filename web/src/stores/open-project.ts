import { onBeforeUnmount, watch } from 'vue';
import { useProject } from './project.ts';

/** Opens the project of a view that stands beside the box, where it has one, unless it is open already; saves on leaving. */
export function useOpenProject(id: () => string | undefined) {
  const project = useProject();
  watch(
    id,
    (wanted) => {
      if (wanted === undefined) return;
      if (project.id !== wanted || project.openState.kind !== 'open') void project.open(wanted);
    },
    { immediate: true },
  );
  onBeforeUnmount(() => project.flush());
  return project;
}
