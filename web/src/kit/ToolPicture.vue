<script setup lang="ts">
import { toMillimetres, type Length, type Unit } from '@rangoli/core';
import { computed } from 'vue';
import { rulerMarks } from '../parts/ruler-marks.ts';
import KitDrawing from './KitDrawing.vue';

/** A ruled tool drawn from its own numbers: marks from a fence, grooves under them or a table. */
const props = defineProps<{
  unit: Unit;
  /** Distance between the marks. */
  pitch: Length;
  /** How far the marks go. */
  reach: Length;
  /** How far the grooves or the cut run. */
  length: Length;
  fence: 'left' | 'right';
  /** A board has grooves; a trimmer has one line that it cuts along. */
  kind: 'board' | 'trimmer' | 'ruler';
  /** Where the table ends and the arm goes on. */
  table?: Length;
}>();

/** A board is drawn close enough to tell its grooves, a trimmer whole. */
const isBoard = computed(() => props.kind === 'board');
const shown = computed(() => (isBoard.value ? 112 : Infinity));
const reach = computed(() => Math.min(toMillimetres(props.reach), shown.value));
const goesOn = computed(() => reach.value < toMillimetres(props.reach));
const width = 190;
const scale = computed(() => width / (reach.value + 24));
const drawn = computed(() =>
  Math.min(toMillimetres(props.length), (props.kind === 'ruler' ? 22 : 88) / scale.value),
);
const ruler = computed(() => 20 / scale.value);
const grain = computed(() => 1 / scale.value);

const marks = computed(() =>
  rulerMarks({
    unit: props.unit,
    pitch: props.pitch,
    to: reach.value,
    pixelsPerMillimetre: scale.value,
    apart: 2.2,
    figuresApart: props.unit === 'inch' ? 15 : 22,
  }).map((mark) => ({
    ...mark,
    x: props.fence === 'left' ? mark.at : reach.value - mark.at,
    isFigure: mark.kind === 'figure',
  })),
);
const fenceX = computed(() => (props.fence === 'left' ? -7 : reach.value));
/** Where the drawing breaks off because the board goes on. */
const torn = computed(() => (props.fence === 'left' ? reach.value + 12 : -12));
const table = computed(() => (props.table === undefined ? undefined : toMillimetres(props.table)));
</script>

<template>
  <KitDrawing :box="{ x: -12, y: -ruler, width: reach + 24, height: drawn + ruler }" :grain="grain">
    <rect
      v-if="table !== undefined && table < reach"
      class="arm"
      :x="table"
      :y="-ruler + 3 * grain"
      :width="reach - table + 8"
      :height="ruler - 3 * grain"
    />
    <g v-for="mark in marks" :key="mark.x">
      <line
        v-if="isBoard"
        class="groove"
        :class="{ figure: mark.isFigure }"
        :x1="mark.x"
        :x2="mark.x"
        y1="0"
        :y2="drawn"
      />
      <line
        class="tick"
        :x1="mark.x"
        :x2="mark.x"
        :y1="(mark.isFigure ? -8 : -4.5) * grain"
        y2="0"
      />
      <text v-if="mark.figure" :x="mark.x" :y="-9.5 * grain" :font-size="11 * grain">
        {{ mark.figure }}
      </text>
    </g>
    <rect
      v-if="kind !== 'ruler'"
      class="fence"
      :x="fenceX"
      :y="-ruler"
      width="7"
      :height="drawn + ruler"
    />
    <line
      v-if="kind === 'trimmer'"
      class="blade"
      x1="-3.5"
      x2="-3.5"
      :y1="-6 * grain"
      :y2="drawn"
    />
    <line v-if="goesOn" class="torn" :x1="torn" :x2="torn" :y1="-ruler" :y2="drawn" />
  </KitDrawing>
</template>

<style scoped>
.arm {
  fill: #dbe5df;
  stroke: #b9cbc2;
}

.groove {
  stroke: #d5dfd9;
  stroke-width: calc(0.9px * var(--grain));
}

.groove.figure {
  stroke: #a9bdb4;
  stroke-width: calc(1.5px * var(--grain));
}

.fence {
  fill: #b9cbc2;
}

.blade {
  stroke: var(--line);
  stroke-width: calc(2.4px * var(--grain));
}

.torn {
  stroke: #ffffff;
  stroke-width: calc(5px * var(--grain));
  stroke-dasharray: calc(6px * var(--grain)) calc(4px * var(--grain));
}
</style>
