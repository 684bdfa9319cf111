<script setup lang="ts">
import { cutUnit, measureParts, readOnMarks, type Kit, type Length } from '@rangoli/core';
import { computed } from 'vue';
import MeasureSpan from './MeasureSpan.vue';
import type { LaidPiece } from './lay-pieces.ts';
import { placeMeasures } from './place-measures.ts';

/** The sections of a piece as measures below it and beside it, each on the marks that it is on. */
const props = defineProps<{ placed: LaidPiece; kit: Kit }>();

const away = 13;
const lineHeight = 15;
/** Figures may stand a little closer than lines of text. */
const figureHeight = 11;

/** Whether a length is read on other marks than sizes are cut by: it says so then. */
function isOther(length: Length): boolean {
  return readOnMarks(length, props.kit).unit !== cutUnit(props.kit);
}

/** About as wide as the figures are drawn, with a little air. */
function widthOf(length: Length, times: number): number {
  const read = readOnMarks(length, props.kit);
  const parts = measureParts(read.length, read.unit);
  const figures =
    parts.kind === 'fraction'
      ? (parts.whole > 0 ? 9 * `${parts.whole}`.length : 0) + (parts.numerator > 0 ? 17 : 0)
      : 8 * parts.text.length;
  const isAbout = read.isAbout || (parts.kind === 'decimal' && !parts.exact);
  return figures + (isAbout ? 12 : 0) + (isOther(length) ? 24 : 0) + (times > 1 ? 24 : 0) + 9;
}

const below = computed(() =>
  placeMeasures(props.placed.piece.grid.columns, props.placed.columns, widthOf),
);
const beside = computed(() =>
  placeMeasures(props.placed.piece.grid.rows, props.placed.rows, () => figureHeight),
);
/** Lines beside the piece are as wide as the widest figures. */
const besideWidth = computed(() =>
  Math.max(0, ...beside.value.map(({ length, times }) => widthOf(length, times))),
);
</script>

<template>
  <g class="measures">
    <g :transform="`translate(0 ${placed.height + away})`">
      <line x1="0" :x2="placed.width" y1="0" y2="0" />
      <line v-for="(at, i) in placed.columns" :key="i" :x1="at" :x2="at" y1="-5" y2="5" />
      <text
        v-for="(measure, i) in below"
        :key="i"
        :x="measure.at"
        :y="19 + measure.line * lineHeight"
        text-anchor="middle"
      >
        <tspan v-if="measure.times > 1" class="times">{{ measure.times }} at </tspan
        ><MeasureSpan
          v-bind="readOnMarks(measure.length, kit)"
          :with-unit="isOther(measure.length)"
        />
      </text>
    </g>
    <g :transform="`translate(${placed.width + away} 0)`">
      <line x1="0" x2="0" y1="0" :y2="placed.height" />
      <line v-for="(at, i) in placed.rows" :key="i" x1="-5" x2="5" :y1="at" :y2="at" />
      <text
        v-for="(measure, i) in beside"
        :key="i"
        :x="8 + measure.line * besideWidth"
        :y="measure.at + 5"
      >
        <tspan v-if="measure.times > 1" class="times">{{ measure.times }} at </tspan
        ><MeasureSpan
          v-bind="readOnMarks(measure.length, kit)"
          :with-unit="isOther(measure.length)"
        />
      </text>
    </g>
  </g>
</template>

<style scoped>
line {
  stroke: #9db5af;
  stroke-width: 1;
}

text {
  font: 500 14px var(--text);
  fill: #e6efec;
}

.times {
  font-size: 12px;
  fill: #b9cfc8;
  white-space: pre;
}
</style>
