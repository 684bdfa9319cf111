<script setup lang="ts">
import { faceLook, hasWayUp, largest, toMillimetres, type KeptPaper } from '@rangoli/core';
import { computed, useId } from 'vue';
import { isDark, shade } from '../parts/colour.ts';
import PrintPattern from '../prints/PrintPattern.vue';

/** A sheet of a paper in the shape that it comes in first, with a corner turned up to show the other face. */
const props = defineProps<{ paper: KeptPaper }>();

/** The largest side of the sheet and the turned corner, in the picture’s own units. */
const longest = 100;
const corner = 30;

const id = useId();
const line = computed(() =>
  isDark(props.paper.colour) ? 'rgb(255 255 255 / 60%)' : 'rgb(20 48 45 / 45%)',
);
const front = computed(() => faceLook(props.paper, 'front'));
const other = computed(() => faceLook(props.paper, 'back'));
const back = computed(() => {
  const { colour, isPrinted } = other.value;
  // A back like the front is told from it by its shade.
  if (isPrinted || colour !== props.paper.colour) return colour;
  return isDark(colour) ? shade(colour, 0.28) : shade(colour, -0.12);
});
/** Units of the picture for a millimetre of the sheet. */
const perMillimetre = computed(() => {
  const [first] = props.paper.sheets;
  return first ? longest / toMillimetres(largest(first.width, first.height)) : 1;
});
const matrix = computed(() => [perMillimetre.value, 0, 0, perMillimetre.value, 0, 0] as const);
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
    <PrintPattern v-if="front.print" :id="`${id}-front`" :print="front.print" :matrix="matrix" />
    <path
      v-if="front.isPrinted"
      :d="face"
      :fill="front.print ? `url(#${id}-front)` : `url(#${id})`"
    />
    <path :d="turned" :fill="back" stroke="rgb(20 48 45 / 30%)" />
    <PrintPattern v-if="other.print" :id="`${id}-back`" :print="other.print" :matrix="matrix" />
    <path
      v-if="other.isPrinted"
      :d="turned"
      :fill="other.print ? `url(#${id}-back)` : `url(#${id})`"
    />
    <path
      v-if="hasWayUp(paper) && !front.print"
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
