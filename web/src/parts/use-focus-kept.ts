import { onBeforeUnmount, type Ref } from 'vue';
import { focusMain } from './focus-main.ts';

/** What has the focus in something that is taken away: it goes on where the view begins. */
export function useFocusKept(root: Readonly<Ref<HTMLElement | null>>): void {
  onBeforeUnmount(() => {
    if (root.value?.contains(document.activeElement)) focusMain();
  });
}
