<script setup lang="ts">
import type { Threaded } from '@rangoli/core';
import { computed } from 'vue';

/** What goes through holes, drawn over the box: a wire handle, a tied ribbon, a brad. */
const props = defineProps<{
  what: Threaded;
  places: readonly { readonly x: number; readonly y: number }[];
  /** How much of the picture is one pixel of the screen. */
  pixel: number;
}>();

function spot({ x, y }: { readonly x: number; readonly y: number }): string {
  return `${x.toFixed(2)} ${y.toFixed(2)}`;
}

/** A bow with its ends hanging, tied at a place. */
function bow({ x, y }: { readonly x: number; readonly y: number }): string {
  const at = (across: number, down: number) =>
    spot({ x: x + across * props.pixel, y: y + down * props.pixel });
  const loop = (side: number) =>
    `M${spot({ x, y })}C${at(20 * side, -34)} ${at(62 * side, -26)} ${at(50 * side, -2)}S${at(16 * side, 10)} ${spot({ x, y })}`;
  const end = (side: number) =>
    `M${spot({ x, y })}C${at(8 * side, 18)} ${at(22 * side, 26)} ${at(26 * side, 50)}`;
  return [loop(-1), loop(1), end(-1), end(1)].join('');
}

const path = computed(() => {
  const { places } = props;
  const [first] = places;
  const last = places.at(-1);
  if (!first || !last) return '';
  if (props.what === 'wire') {
    const high = 0.8 * Math.hypot(last.x - first.x, last.y - first.y);
    return `M${spot(first)}C${spot({ x: first.x, y: first.y - high })} ${spot({ x: last.x, y: last.y - high })} ${spot(last)}`;
  }
  if (props.what !== 'ribbon') return '';
  const through = places.map((place, i) => `${i === 0 ? 'M' : 'L'}${spot(place)}`).join('');
  // It is tied where one can see it: at the lowest hole, which is the nearest.
  const [nearest = first] = [...places].sort((a, b) => b.y - a.y);
  return `${through}${bow(nearest)}`;
});
</script>

<template>
  <g>
    <path v-if="path !== ''" :d="path" class="rim" />
    <path v-if="path !== ''" :d="path" />
    <template v-if="what === 'brad'">
      <circle v-for="(place, i) in places" :key="i" :cx="place.x" :cy="place.y" :r="9 * pixel" />
    </template>
  </g>
</template>

<style scoped>
path {
  fill: none;
  stroke: var(--turmeric);
  stroke-width: 5;
  stroke-linecap: round;
  stroke-linejoin: round;
  vector-effect: non-scaling-stroke;
}

.rim {
  stroke: var(--line);
  stroke-width: 7.5;
}

circle {
  fill: var(--turmeric);
  stroke: var(--line);
  stroke-width: 1.5;
  vector-effect: non-scaling-stroke;
}
</style>
