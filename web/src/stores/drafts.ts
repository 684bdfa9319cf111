import { useSessionStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed } from 'vue';

/** Text that is no length yet, with what is wrong with it. */
export interface Draft {
  readonly text: string;
  readonly message: string;
}

/**
 * What was typed and can't be taken yet, by project and field. It outlives a change of view and a reload,
 * so that nothing typed is lost.
 */
export const useDrafts = defineStore('drafts', () => {
  const drafts = useSessionStorage<Record<string, Draft>>('rangoli.drafts', {});

  function of(field: string) {
    return computed(() => drafts.value[field]);
  }

  function keep(field: string, draft: Draft): void {
    drafts.value = { ...drafts.value, [field]: draft };
  }

  function forget(field: string): void {
    if (!(field in drafts.value)) return;
    drafts.value = Object.fromEntries(
      Object.entries(drafts.value).filter(([each]) => each !== field),
    );
  }

  /** Whether any field of this project holds text that can't be taken. */
  function anyIn(project: string): boolean {
    return Object.keys(drafts.value).some((field) => field.startsWith(`${project} `));
  }

  return { of, keep, forget, anyIn };
});
