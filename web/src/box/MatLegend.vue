<script setup lang="ts">
import type { Unit } from '@rangoli/core';
import { computed } from 'vue';

/** What the lines on the mat mean, and how large things are drawn on it: along its lower edge. */
const props = defineProps<{
  unit: Unit;
  /** Pixels for a millimetre. */
  scale: number;
  width: number;
  height: number;
  hasMountains: boolean;
}>();

const bar = computed(() =>
  props.unit === 'inch'
    ? { text: '1 in', size: 25.4 * props.scale }
    : { text: '20 mm', size: 20 * props.scale },
);
/** How wide the legend is, at the right end. */
const legend = computed(() => (props.hasMountains ? 372 : 262));
/** Beside the legend of a narrow mat there may be no room for it. */
const hasRoomForBar = computed(() => bar.value.size + 76 < props.width - legend.value);
</script>

<template>
  <g>
    <g v-if="hasRoomForBar" class="foot" :transform="`translate(20 ${height - 24})`">
      <path :d="`M0 -5V5M0 0H${bar.size}M${bar.size} -5V5`" />
      <text :x="bar.size + 9" y="4">{{ bar.text }}</text>
    </g>
    <g class="foot" :transform="`translate(${Math.max(12, width - legend)} ${height - 24})`">
      <line class="cut" x1="0" x2="30" y1="0" y2="0" />
      <text x="38" y="4">cut</text>
      <line class="fold" x1="76" x2="108" y1="0" y2="0" />
      <text x="116" y="4">fold in</text>
      <g v-if="hasMountains" transform="translate(172 0)">
        <line class="out" x1="0" x2="32" y1="0" y2="0" />
        <text x="40" y="4">fold out</text>
      </g>
      <g :transform="`translate(${hasMountains ? 282 : 172} 0)`">
        <rect class="glue" x="0" y="-7" width="30" height="14" />
        <path class="hatch" d="M2 7l12-14m-4 14 12-14m-4 14 10-12" />
        <text x="38" y="4">glue</text>
      </g>
    </g>
  </g>
</template>

<style scoped>
.foot text {
  font: 13px var(--text);
  fill: #d3e2dd;
}

.foot path,
.foot line {
  fill: none;
  stroke: #ffffff;
  stroke-width: 1.5;
}

.foot .cut {
  stroke-width: 2.6;
}

.foot .fold {
  stroke-dasharray: 6 4;
}

.foot .out {
  stroke-dasharray: 9 3 2 3;
}

.foot .glue {
  fill: none;
  stroke: #ffffff;
}

.foot .hatch {
  stroke-width: 1;
  stroke-opacity: 0.7;
}
</style>
