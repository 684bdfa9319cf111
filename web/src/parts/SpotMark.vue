<script setup lang="ts">
import { toMillimetres, type Length } from '@rangoli/core';
import { computed } from 'vue';

/** A place that is stamped, on the flat piece in millimetres: a ring with its middle, and a tick to its top. */
const props = defineProps<{
  /** From the upper left corner as the piece is drawn. */
  x: number;
  y: Length;
  top: string;
  /** Millimetres for a pixel. */
  grain: number;
}>();

const ways: Readonly<Record<string, readonly [number, number]>> = {
  top: [0, -1],
  bottom: [0, 1],
  // It is told with the outside up, and drawn with the inside up.
  left: [1, 0],
  right: [-1, 0],
};

const path = computed(() => {
  const [x, y] = [props.x, toMillimetres(props.y)];
  const r = 9 * props.grain;
  const [dx, dy] = props.top
    .split(' ')
    .map((each) => ways[each] ?? ([0, 0] as const))
    .reduce(([sx, sy], [wx, wy]) => [sx + wx, sy + wy] as const);
  const long = Math.hypot(dx, dy) || 1;
  const [ux, uy] = [dx / long, dy / long];
  return [
    `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`,
    `M${x - r / 3} ${y}h${(2 * r) / 3}M${x} ${y - r / 3}v${(2 * r) / 3}`,
    `M${x + ux * r} ${y + uy * r}L${x + ux * r * 1.8} ${y + uy * r * 1.8}`,
  ].join('');
});
</script>

<template>
  <path :d="path" :stroke-width="2 * grain" />
</template>

<style scoped>
path {
  fill: none;
  stroke: #ffffff;
  stroke-linecap: round;
  paint-order: stroke;
}
</style>
