<script setup lang="ts">
/** Where a tool is set: a knob over its ruler, and a line from there down over the card. In millimetres. */
defineProps<{
  /** Where it is along the ruler. */
  at: number;
  /** How high the ruler is. */
  ruler: number;
  /** How far down its line runs, and where it begins if not at the ruler’s upper edge. */
  to: number;
  from?: number;
  /** The length of one pixel. */
  grain: number;
}>();
</script>

<template>
  <g class="at" :transform="`translate(${at} 0)`">
    <line class="casing" :y1="from ?? -ruler" :y2="to" />
    <line :y1="from ?? -ruler" :y2="to" />
    <circle cx="0" :cy="-ruler - 8 * grain" :r="8 * grain" />
    <slot />
  </g>
</template>

<style scoped>
.at > line,
.at > :slotted(line) {
  stroke: var(--turmeric);
  stroke-width: calc(4.5px * var(--grain));
}

.at > .casing {
  stroke: var(--line);
  stroke-width: calc(7.5px * var(--grain));
}

.at > circle {
  fill: var(--turmeric);
  stroke: var(--line);
  stroke-width: calc(1.6px * var(--grain));
}
</style>
