<script setup lang="ts">
import type { Unit } from '@rangoli/core';
import MeasureSpan from '../parts/MeasureSpan.vue';
import type { LaidPiece } from '../parts/lay-pieces.ts';

/** The sections of a piece as measures below it and beside it. */
defineProps<{ placed: LaidPiece; unit: Unit }>();

const away = 13;

function middle(positions: readonly number[], i: number): number {
  return ((positions[i] ?? 0) + (positions[i + 1] ?? 0)) / 2;
}
</script>

<template>
  <g class="measures">
    <g :transform="`translate(0 ${placed.height + away})`">
      <line x1="0" :x2="placed.width" y1="0" y2="0" />
      <line v-for="at in placed.columns" :key="at" :x1="at" :x2="at" y1="-5" y2="5" />
      <text
        v-for="(section, i) in placed.piece.grid.columns"
        :key="i"
        :x="middle(placed.columns, i)"
        y="19"
        text-anchor="middle"
      >
        <MeasureSpan :length="section" :unit="unit" />
      </text>
    </g>
    <g :transform="`translate(${placed.width + away} 0)`">
      <line x1="0" x2="0" y1="0" :y2="placed.height" />
      <line v-for="at in placed.rows" :key="at" x1="-5" x2="5" :y1="at" :y2="at" />
      <text
        v-for="(section, i) in placed.piece.grid.rows"
        :key="i"
        x="8"
        :y="middle(placed.rows, i) + 5"
      >
        <MeasureSpan :length="section" :unit="unit" />
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
</style>
