import { useLocalStorage } from '@vueuse/core';
import { v4 as newId } from 'uuid';

/** The name of this device among all that make a box: nobody reads it, it only tells them apart. */
export function useDevice(): string {
  return useLocalStorage('rangoli.device', newId()).value;
}
