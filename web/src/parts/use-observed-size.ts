import { useResizeObserver, type MaybeComputedElementRef } from '@vueuse/core';
import { shallowRef } from 'vue';

/**
 * How large the inside of an element is, in pixels, as the browser tells it once it has laid the page out; the usual
 * size until then. Nothing is measured by hand: that would have the page laid out again and again while it comes.
 */
export function useObservedSize(
  element: MaybeComputedElementRef,
  usual: { readonly width: number; readonly height: number } = { width: 0, height: 0 },
) {
  const width = shallowRef(usual.width);
  const height = shallowRef(usual.height);
  useResizeObserver(element, ([entry]) => {
    if (!entry) return;
    width.value = entry.contentRect.width;
    height.value = entry.contentRect.height;
  });
  return { width, height };
}
