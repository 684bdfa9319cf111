<script setup lang="ts">
import { toMillimetres, type Length, type Unit } from '@rangoli/core';
import { computed } from 'vue';
import MeasureSpan from './MeasureSpan.vue';

/** A piece's edge as the board's ruler lies along it, with the marks to score at. */
const props = defineProps<{
  /** The edge from the fence on. */
  length: Length;
  /** Distance between the ruler's marks. */
  pitch: Length;
  unit: Unit;
  marks: readonly { readonly reading: Length; readonly isLit: boolean }[];
}>();
const emit = defineEmits<{ mark: [index: number] }>();

const width = 300;
const left = 6;
const scale = computed(() => width / toMillimetres(props.length));
const perFigure = computed(() => (props.unit === 'inch' ? 25.4 : 10));

interface Tick {
  readonly x: number;
  readonly size: number;
  readonly figure?: string;
}

/** Ticks at every groove, those between thinned out where they would run together. */
const ticks = computed((): readonly Tick[] => {
  const total = toMillimetres(props.length);
  const pitch = toMillimetres(props.pitch);
  const perGroove = Math.max(1, Math.round(perFigure.value / pitch));
  const figureEvery = [1, 2, 5, 10, 20].find((n) => n * perFigure.value * scale.value >= 26) ?? 20;
  const drawEvery = [1, 2, 4, perGroove].find((n) => n * pitch * scale.value >= 2.6) ?? perGroove;
  const found: Tick[] = [];
  for (let i = 1; i * pitch < total - 0.01; i++) {
    const isFigure = i % perGroove === 0;
    if (!isFigure && i % drawEvery !== 0) continue;
    const figures = i / perGroove;
    const x = left + i * pitch * scale.value;
    const isHalf = perGroove % 2 === 0 && i % (perGroove / 2) === 0;
    const named = isFigure && figures % figureEvery === 0 && x < left + width - 12;
    found.push({
      x,
      size: isFigure ? 12 : isHalf ? 8 : 5,
      ...(named && { figure: `${props.unit === 'inch' ? figures : figures * 10}` }),
    });
  }
  return found;
});

/** Figures too close to one another stand in two lines. */
const places = computed(() => {
  let lowEnd = -Infinity;
  return props.marks.map(({ reading, isLit }) => {
    const x = left + toMillimetres(reading) * scale.value;
    const isHigh = x < lowEnd;
    if (!isHigh) lowEnd = x + 34;
    return { reading, isLit, x, isHigh };
  });
});
const top = computed(() => (places.value.some(({ isHigh }) => isHigh) ? -13 : 0));
</script>

<template>
  <svg class="strip" :viewBox="`0 ${top} ${width + 2 * left} ${50 - top}`" role="presentation">
    <rect class="band" :x="left" y="22" :width="width" height="22" rx="3" />
    <g v-for="(tick, i) in ticks" :key="i">
      <line class="tick" :x1="tick.x" :x2="tick.x" y1="44" :y2="44 - tick.size" />
      <text v-if="tick.figure" class="figure" :x="tick.x + 2.5" y="33">{{ tick.figure }}</text>
    </g>
    <g
      v-for="(place, i) in places"
      :key="i"
      class="mark"
      :class="{ lit: place.isLit }"
      @pointerenter="emit('mark', i)"
    >
      <line :x1="place.x" :x2="place.x" :y1="place.isHigh ? 3 : 17" y2="48" />
      <circle v-if="place.isLit" :cx="place.x" cy="17" r="3.5" />
      <text :x="place.x" :y="place.isHigh ? -2 : 12">
        <MeasureSpan :length="place.reading" :unit="unit" />
      </text>
    </g>
  </svg>
</template>

<style scoped>
.strip {
  display: block;
  width: 100%;
  overflow: visible;
}

.band {
  fill: var(--ruler);
  stroke: var(--ruler-edge);
}

.tick {
  stroke: var(--ink);
  stroke-width: 0.8;
}

.figure {
  font: 10px var(--text);
  fill: var(--ink-soft);
}

.mark line {
  stroke: var(--ink);
  stroke-width: 2;
}

.mark text {
  font-family: var(--figures);
  font-size: 14px;
  font-weight: 700;
  fill: var(--ink);
  text-anchor: middle;
}

.mark.lit line {
  stroke: var(--turmeric);
  stroke-width: 3;
}

.mark.lit circle {
  fill: var(--turmeric);
  stroke: var(--ink);
}
</style>
