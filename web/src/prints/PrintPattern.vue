<script setup lang="ts">
import type { Print } from '@rangoli/core';
import { computed } from 'vue';
import { printParts } from './print-parts.ts';

/** A print as a pattern that a shape of an SVG is filled with, at its true size. */
const props = defineProps<{
  id: string;
  print: Print;
  /** Where the print’s right and its foot go in the drawing, and its corner. */
  matrix: readonly [number, number, number, number, number, number];
}>();

const parts = computed(() => printParts(props.print));
const transform = computed(
  () => `matrix(${props.matrix.map((each) => each.toFixed(4)).join(' ')})`,
);
</script>

<template>
  <pattern
    :id="id"
    patternUnits="userSpaceOnUse"
    :width="parts.width"
    :height="parts.height"
    :patternTransform="transform"
  >
    <image
      v-if="parts.kind === 'picture'"
      :href="parts.address"
      :width="parts.width"
      :height="parts.height"
      preserveAspectRatio="none"
    />
    <g v-else :transform="`scale(${parts.scale})`">
      <path
        v-for="(shape, i) in parts.shapes"
        :key="i"
        :d="shape.path"
        :fill="shape.line === undefined ? parts.ink : 'none'"
        :stroke="shape.line === undefined ? 'none' : parts.ink"
        :stroke-width="shape.line"
        :opacity="shape.strength"
      />
    </g>
  </pattern>
</template>
