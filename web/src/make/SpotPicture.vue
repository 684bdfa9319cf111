<script setup lang="ts">
import {
  cutSizeOf,
  cutUnit,
  minus,
  toMillimetres,
  type Kit,
  type Piece,
  type SpotOperation,
} from '@rangoli/core';
import { computed, useTemplateRef } from 'vue';
import MeasureSpan from '../parts/MeasureSpan.vue';
import PieceDrawing from '../parts/PieceDrawing.vue';
import SpotMark from '../parts/SpotMark.vue';
import { useFrameSize } from '../parts/use-frame-size.ts';
import type { CardSide } from '../prints/card-look.ts';

/** A flat piece turned over, its outside up, with the place that is stamped and how far that is from two edges. */
const props = defineProps<{
  piece: Piece;
  outside: CardSide;
  spot: SpotOperation['spot'];
  kit: Kit;
}>();

const frame = useTemplateRef('frame');
const { width, height } = useFrameSize(frame);
const size = computed(() => {
  const { width: across, height: down } = cutSizeOf(props.piece.grid);
  return { across: toMillimetres(across), down: toMillimetres(down) };
});
/** Room for the figures at the left and above, in pixels. */
const margin = { left: 70, top: 34, other: 12 };
const scale = computed(() =>
  Math.max(
    0.1,
    Math.min(
      (width.value - margin.left - margin.other) / size.value.across,
      (height.value - margin.top - margin.other) / size.value.down,
      5,
    ),
  ),
);
const at = computed(() => ({
  x: toMillimetres(props.spot.fromLeft) * scale.value,
  y: toMillimetres(props.spot.fromTop) * scale.value,
}));
</script>

<template>
  <div ref="frame" class="measured-frame">
    <svg
      :width="size.across * scale + margin.left + margin.other"
      :height="size.down * scale + margin.top + margin.other"
      role="img"
      :aria-label="`${piece.name}, outside up, with the place that is stamped`"
    >
      <g :transform="`translate(${margin.left} ${margin.top})`">
        <g :transform="`translate(${size.across * scale} 0) scale(${-scale} ${scale})`">
          <PieceDrawing
            :piece="piece"
            :colour="outside.colour"
            :laid="outside.laid"
            :grain="1 / scale"
            on-bench
          />
          <g class="mark">
            <SpotMark
              :x="toMillimetres(minus(cutSizeOf(piece.grid).width, spot.fromLeft))"
              :y="spot.fromTop"
              :top="spot.top"
              :grain="2 / scale"
            />
          </g>
        </g>
        <g class="measure">
          <path
            :d="`M0 -6V-14M0 -10H${at.x}M${at.x} -6V-14M-6 0H-14M-10 0V${at.y}M-6 ${at.y}H-14`"
          />
          <path class="guide" :d="`M${at.x} 0V${at.y - 20}M0 ${at.y}H${at.x - 20}`" />
          <text :x="at.x / 2" y="-17" text-anchor="middle">
            <MeasureSpan :length="spot.fromLeft" :unit="cutUnit(kit)" />
          </text>
          <text x="-18" :y="at.y / 2 + 6" text-anchor="end">
            <MeasureSpan :length="spot.fromTop" :unit="cutUnit(kit)" />
          </text>
        </g>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.mark :deep(path) {
  stroke: var(--turmeric);
}

.measure path {
  fill: none;
  stroke: #d3e2dd;
  stroke-width: 1.5;
}

.measure .guide {
  stroke: var(--turmeric);
  stroke-dasharray: 4 4;
}

.measure text {
  font: 600 17px var(--figures);
  fill: #ffffff;
}
</style>
