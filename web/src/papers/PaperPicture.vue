<script setup lang="ts">
import type { KeptPaper } from '@rangoli/core';
import { computed, useId } from 'vue';
import { isDark, shade } from '../parts/colour.ts';

/** A sheet of a paper in the shape that it comes in first, with a corner turned up to show the other face. */
const props = defineProps<{ paper: KeptPaper }>();

/** The largest side of the sheet and the turned corner, in the picture’s own units. */
const longest = 100;
const corner = 30;

const id = useId();
const line = computed(() =>
  isDark(props.paper.colour) ? 'rgb(255 255 255 / 60%)' : 'rgb(20 48 45 / 45%)',
);
const back = computed(() => {
  const { print, colour } = props.paper;
  if (print === 'one face') return '#fbf8f1';
  return isDark(colour) ? shade(colour, 0.28) : shade(colour, -0.12);
});
const sheet = computed(() => {
  const [first] = props.paper.sheets;
  const [width, height] = first ? [first.width, first.height] : [1, 1];
  const scale = longest / Math.max(width, height);
  return { width: width * scale, height: height * scale };
});
const face = computed(() => {
  const { width, height } = sheet.value;
  return `M 0 0 H ${width - corner} L ${width} ${corner} V ${height} H 0 Z`;
});
const turned = computed(() => {
  const { width } = sheet.value;
  return `M ${width - corner} 0 V ${corner} H ${width} Z`;
});
</script>

<template>
  <svg
    :viewBox="`-1 -1 ${longest + 2} ${longest + 2}`"
    role="img"
    :aria-label="`A sheet of ${paper.name}`"
  >
    <defs>
      <pattern :id="id" width="14" height="14" patternUnits="userSpaceOnUse">
        <circle cx="4" cy="4" r="1.6" :fill="line" />
        <circle cx="11" cy="11" r="1.6" :fill="line" />
      </pattern>
    </defs>
    <path :d="face" :fill="paper.colour" stroke="rgb(20 48 45 / 30%)" />
    <path v-if="paper.print !== 'plain'" :d="face" :fill="`url(#${id})`" />
    <path :d="turned" :fill="back" stroke="rgb(20 48 45 / 30%)" />
    <path v-if="paper.print === 'both faces'" :d="turned" :fill="`url(#${id})`" />
    <path
      v-if="paper.print !== 'plain' && paper.printRuns === 'one way'"
      class="up"
      :stroke="line"
      :d="`M 22 ${sheet.height - 12} V 22 m -8 9 l 8 -9 l 8 9`"
    />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
}

.up {
  fill: none;
  stroke-width: 2.4px;
}
</style>
