<script setup lang="ts">
/** A figure or a name on a tool’s ruler, over its tick and over whatever line runs there. In millimetres. */
defineProps<{
  at: number;
  text: string;
  /** How high the ruler is. */
  ruler: number;
  /** The length of one pixel. */
  grain: number;
}>();
</script>

<template>
  <text class="ruler-figure" :x="at" :y="-0.62 * ruler" :font-size="15 * grain">{{ text }}</text>
</template>

<style scoped>
text {
  stroke: #dbe5df;
  stroke-width: calc(4px * var(--grain));
  stroke-linejoin: round;
  paint-order: stroke;
}
</style>
