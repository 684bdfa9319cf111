<script setup lang="ts">
import type { Length, Unit } from '@rangoli/core';
import { computed } from 'vue';
import { rulerMarks } from '../parts/ruler-marks.ts';
import ToolFigure from './ToolFigure.vue';

/**
 * The marks of a tool's ruler over the card, and the grooves under them where it has any. What lies on them goes in
 * between; figures stand over all of it.
 */
const props = defineProps<{
  unit: Unit;
  pitch: Length;
  from?: number;
  to: number;
  /** Which way the figures grow: to the right, or to the left. */
  away: 1 | -1;
  scale: number;
  /** How high the ruler is. */
  ruler: number;
  /** How far down grooves run; none without it. */
  grooves?: number;
}>();

/** How long its ticks are, as shares of the ruler's height. */
const ticks = { figure: 0.47, half: 0.32, small: 0.2 } as const;
const grain = computed(() => 1 / props.scale);
const marks = computed(() =>
  rulerMarks({
    unit: props.unit,
    pitch: props.pitch,
    ...(props.from !== undefined && { from: props.from }),
    to: props.to,
    pixelsPerMillimetre: props.scale,
    apart: 3.2,
    // Two digits at the most on an inch ruler, three on the other.
    figuresApart: props.unit === 'inch' ? 24 : 34,
  }).map((mark) => ({ ...mark, x: props.away * mark.at })),
);
</script>

<template>
  <g>
    <g v-for="mark in marks" :key="mark.at">
      <line
        v-if="grooves !== undefined"
        class="groove"
        :class="{ figure: mark.kind === 'figure' }"
        :x1="mark.x"
        :x2="mark.x"
        y1="0"
        :y2="grooves"
      />
      <line class="ruler-tick" :x1="mark.x" :x2="mark.x" :y1="-ticks[mark.kind] * ruler" y2="0" />
    </g>
    <slot />
    <template v-for="mark in marks" :key="mark.at">
      <ToolFigure
        v-if="mark.figure"
        :at="mark.x"
        :text="mark.figure"
        :ruler="ruler"
        :grain="grain"
      />
    </template>
  </g>
</template>

<style scoped>
.groove {
  stroke: #d5dfd9;
  stroke-width: calc(1px * var(--grain));
}

.groove.figure {
  stroke: #a9bdb4;
  stroke-width: calc(1.6px * var(--grain));
}
</style>
