<script setup lang="ts">
import { curveCatmullRom, line } from 'd3';
import { computed } from 'vue';

/** The way that a part goes, drawn as an arrow. */
const props = defineProps<{
  way: readonly { readonly x: number; readonly y: number }[];
  /** How much of the picture is one pixel of the screen. */
  pixel: number;
}>();

const smooth = line<{ readonly x: number; readonly y: number }>()
  .x(({ x }) => x)
  .y(({ y }) => y)
  .curve(curveCatmullRom);
const path = computed(() => smooth(props.way) ?? '');

/** A head on the end of the way, in its last direction. */
const head = computed(() => {
  const to = props.way.at(-1);
  const from = props.way.at(-2);
  if (!to || !from) return '';
  const far = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  const [dx, dy] = [(to.x - from.x) / far, (to.y - from.y) / far];
  const [long, half] = [17 * props.pixel, 9 * props.pixel];
  const at = (ahead: number, aside: number) =>
    `${(to.x + ahead * dx - aside * dy).toFixed(2)},${(to.y + ahead * dy + aside * dx).toFixed(2)}`;
  return `${at(long, 0)} ${at(0, half)} ${at(0, -half)}`;
});
</script>

<template>
  <g class="arrow">
    <path :d="path" class="rim" />
    <polygon :points="head" class="rim" />
    <path :d="path" />
    <polygon :points="head" />
  </g>
</template>

<style scoped>
path {
  fill: none;
  stroke: #fff;
  stroke-width: 4;
  stroke-linecap: round;
  stroke-linejoin: round;
  vector-effect: non-scaling-stroke;
}

polygon {
  fill: #fff;
}

.rim {
  stroke: var(--line);
  stroke-width: 6.5;
}

polygon.rim {
  stroke-width: 2.5;
  stroke-linejoin: round;
  vector-effect: non-scaling-stroke;
}
</style>
