import { useLocalStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed } from 'vue';

/** The parts of the Box view that somebody is shown who has never seen it, in the order in which they are used. */
const parts = ['gift', 'tools', 'cut list'] as const;
export type FirstPart = (typeof parts)[number];

/** Three short steps over the first box that is opened in this browser; never again unless they are asked for. */
export const useFirstSteps = defineStore('first steps', () => {
  const seen = useLocalStorage('rangoli.first-steps', 0);
  const at = computed((): FirstPart | undefined => parts[seen.value]);

  return {
    at,
    number: computed(() => seen.value + 1),
    of: parts.length,
    next: () => (seen.value += 1),
    leave: () => (seen.value = parts.length),
    again: () => (seen.value = 0),
  };
});
