import { onScopeDispose, watch } from 'vue';
import { useMaking } from './making.ts';

/** The making of a box, for as long as the view that asks for it is there; opened, where no view round it has it open. */
export function useOpenMaking(id: () => string) {
  const making = useMaking();
  let isMine = false;
  watch(
    id,
    (wanted) => {
      if (making.id === wanted) return;
      isMine = true;
      void making.open(wanted);
    },
    { immediate: true },
  );
  onScopeDispose(() => {
    if (isMine) making.close();
  });
  return making;
}
