import type { Unit } from '@rangoli/core';
import { useLocalStorage } from '@vueuse/core';

/** The ruler that was read last, which new boxes start on; at first that of the maker's country. */
export function useUsualUnit() {
  return useLocalStorage<Unit>(
    'rangoli.unit',
    /-(US|LR|MM)\b/i.test(navigator.language) ? 'inch' : 'mm',
  );
}
