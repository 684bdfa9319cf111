<script setup lang="ts">
import {
  formatWithUnit,
  millimetres,
  nanometres,
  roundDown,
  roundToGrid,
  inchFraction,
  toMillimetres,
  type FrontierPoint,
  type Length,
  type Unit,
} from '@rangoli/core';
import { area, line, pointer, scaleLinear } from 'd3';
import { computed, ref, useTemplateRef } from 'vue';
import MeasureSpan from '../parts/MeasureSpan.vue';
import { useObservedSize } from '../parts/use-observed-size.ts';
import type { Limits } from '../planner/tasks.ts';
import { lengthTicks } from './length-ticks.ts';

/** How high gifts may be for each footprint, with the gift as a point that can be dragged. */
const props = defineProps<{
  limits: Limits;
  at: { readonly across: Length; readonly high: Length };
  unit: Unit;
}>();
const emit = defineEmits<{
  move: [to: { across: Length; high: Length }];
  rest: [];
}>();

const frame = useTemplateRef('frame');
const { width, height } = useObservedSize(frame, { width: 720, height: 520 });
const margin = { left: 58, right: 22, top: 18, bottom: 48 };

const all = computed(() => [...props.limits.alike, ...props.limits.square]);
/** The scales stay while the point is dragged, so that it doesn't run away from the hand. */
const most = computed(() => ({
  across: Math.max(
    40,
    toMillimetres(props.at.across),
    ...all.value.map((p) => toMillimetres(p.across)),
  ),
  high: Math.max(40, toMillimetres(props.at.high), ...all.value.map((p) => toMillimetres(p.high))),
}));
const x = computed(() =>
  scaleLinear()
    .domain([0, most.value.across * 1.06])
    .range([margin.left, width.value - margin.right]),
);
const y = computed(() =>
  scaleLinear()
    .domain([0, most.value.high * 1.08])
    .range([height.value - margin.bottom, margin.top]),
);
const across = (point: { across: Length }) => x.value(toMillimetres(point.across));
const up = (high: Length) => y.value(toMillimetres(high));

const alikeArea = computed(() =>
  area<FrontierPoint>()
    .x(across)
    .y0((point) => up(point.low))
    .y1((point) => up(point.high))([...props.limits.alike]),
);
function top(points: readonly FrontierPoint[]) {
  return line<FrontierPoint>()
    .x(across)
    .y((point) => up(point.high))([...points]);
}
const alikeLine = computed(() => top(props.limits.alike));
const squareLine = computed(() => top(props.limits.square));

const ticksOf = ([, end = 0]: readonly number[], most: number) =>
  lengthTicks(millimetres(end), { most, unit: props.unit });
const ticksAcross = computed(() => ticksOf(x.value.domain(), width.value / 90));
const ticksUp = computed(() => ticksOf(y.value.domain(), height.value / 70));
const unitName = computed(() => (props.unit === 'inch' ? 'in' : 'mm'));
const spot = computed(() => ({ x: across(props.at), y: up(props.at.high) }));
const name = computed(
  () =>
    `Gift, ${formatWithUnit(props.at.across, props.unit)} across and ${formatWithUnit(props.at.high, props.unit)} high. Arrow keys try another size.`,
);

/** The ends of both ways, on the ruler's marks, where there is any way to go. */
const ends = computed(() => {
  const { furthest } = props.limits;
  const end = (most: Length, now: Length) =>
    most > now + grid.value ? roundDown(most, grid.value) : undefined;
  return {
    across: end(furthest.across, props.at.across),
    high: end(furthest.high, props.at.high),
  };
});

const grid = computed(() => (props.unit === 'inch' ? inchFraction(1, 16) : millimetres(1)));
const isDragged = ref(false);

function lengthOf(along: number): Length {
  const rounded = roundToGrid(millimetres(Math.max(0, along)), grid.value);
  return nanometres(Math.max(grid.value * (props.unit === 'inch' ? 2 : 3), rounded));
}

function drag(event: PointerEvent): void {
  if (!isDragged.value) return;
  const [px, py] = pointer(event, frame.value);
  emit('move', { across: lengthOf(x.value.invert(px)), high: lengthOf(y.value.invert(py)) });
}

function take(event: PointerEvent): void {
  isDragged.value = true;
  if (event.currentTarget instanceof Element)
    event.currentTarget.setPointerCapture(event.pointerId);
}

function drop(): void {
  if (!isDragged.value) return;
  isDragged.value = false;
  emit('rest');
}

const steps: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};
function onKey(event: KeyboardEvent): void {
  const step = steps[event.key];
  if (!step) return;
  event.preventDefault();
  const times = event.shiftKey ? 8 : 1;
  const moved = (length: Length, by: number) =>
    nanometres(Math.max(grid.value * 2, length + by * times * grid.value));
  emit('move', { across: moved(props.at.across, step[0]), high: moved(props.at.high, step[1]) });
  emit('rest');
}
</script>

<template>
  <div ref="frame" class="frame">
    <svg :width="width" :height="height">
      <g class="grid">
        <g v-for="tick in ticksAcross" :key="`across ${tick}`">
          <line
            :x1="across({ across: tick })"
            :x2="across({ across: tick })"
            :y1="margin.top"
            :y2="height - margin.bottom"
          />
          <text :x="across({ across: tick })" :y="height - margin.bottom + 20" text-anchor="middle">
            <MeasureSpan :length="tick" :unit="unit" />
          </text>
        </g>
        <g v-for="tick in ticksUp" :key="`up ${tick}`">
          <line :x1="margin.left" :x2="width - margin.right" :y1="up(tick)" :y2="up(tick)" />
          <text :x="margin.left - 9" :y="up(tick) + 4.5" text-anchor="end">
            <MeasureSpan :length="tick" :unit="unit" />
          </text>
        </g>
        <text class="axis" :x="width - margin.right" :y="height - 8" text-anchor="end">
          across, {{ unitName }}
        </text>
        <text class="axis" :transform="`translate(15 ${margin.top}) rotate(-90)`" text-anchor="end">
          high, {{ unitName }}
        </text>
      </g>
      <path v-if="alikeArea" class="fits" :d="alikeArea" />
      <path v-if="squareLine" class="square" :d="squareLine" />
      <path v-if="alikeLine" class="alike" :d="alikeLine" />
      <g class="reach" aria-hidden="true">
        <line :x1="spot.x" :x2="spot.x" :y1="spot.y" :y2="up(limits.furthest.high)" />
        <line :x1="spot.x" :x2="across(limits.furthest)" :y1="spot.y" :y2="spot.y" />
        <text v-if="ends.high" :x="spot.x + 8" :y="up(limits.furthest.high) - 6">
          <MeasureSpan :length="ends.high" :unit="unit" />
          high
        </text>
        <text v-if="ends.across" :x="across(limits.furthest)" :y="spot.y - 8" text-anchor="end">
          <MeasureSpan :length="ends.across" :unit="unit" />
          across
        </text>
      </g>
      <g
        class="point"
        :class="{ dragged: isDragged }"
        :transform="`translate(${spot.x} ${spot.y})`"
        tabindex="0"
        role="application"
        :aria-label="name"
        @pointerdown="take"
        @pointermove="drag"
        @pointerup="drop"
        @pointercancel="drop"
        @keydown="onKey"
      >
        <circle class="grip" r="22" />
        <circle r="9" />
      </g>
    </svg>
  </div>
</template>

<style scoped>
.frame {
  position: relative;
  min-width: 0;
  min-height: 0;
}

svg {
  position: absolute;
  inset: 0;
}

.grid line {
  stroke: var(--rule);
}

.grid text {
  font: 13px var(--text);
  fill: var(--ink-soft);
}

.grid .axis {
  font-weight: 600;
  fill: var(--ink);
}

.fits {
  fill: var(--leaf-pale);
}

.alike {
  fill: none;
  stroke: var(--leaf);
  stroke-width: 3;
}

.square {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 2;
  stroke-dasharray: 7 5;
}

.reach line {
  stroke: var(--ink);
  stroke-dasharray: 2 4;
}

.reach text {
  font: 600 14px var(--figures);
  fill: var(--ink);
}

.point {
  cursor: grab;
  outline: none;
  touch-action: none;
}

.point.dragged {
  cursor: grabbing;
}

.point circle {
  fill: var(--turmeric);
  stroke: var(--ink);
  stroke-width: 2;
}

.point .grip {
  fill: transparent;
  stroke: none;
}

.point:focus-visible .grip {
  stroke: var(--ink);
  stroke-dasharray: 3 3;
}
</style>
