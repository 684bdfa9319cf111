<script setup lang="ts">
import { minus, toMillimetres, type Trimmer, type TrimStep } from '@rangoli/core';
import { useElementSize } from '@vueuse/core';
import { computed, useTemplateRef } from 'vue';
import { rulerMarks } from '../parts/ruler-marks.ts';

/**
 * The trimmer as it lies in front of the maker, the card on it in true scale: what is measured lies on the
 * ruler to the right of the blade, what falls off to the left.
 */
const props = defineProps<{ trimmer: Trimmer; trim: TrimStep; colour: string }>();

const frame = useTemplateRef('frame');
const { width, height } = useElementSize(frame, { width: 620, height: 440 });

const ruler = 17;
const border = 8;

const card = computed(() => {
  const { from, measures, setting } = props.trim;
  const [whole, long] =
    measures === 'width' ? [from.width, from.height] : [from.height, from.width];
  return {
    whole: toMillimetres(whole),
    long: toMillimetres(long),
    rest: toMillimetres(minus(whole, setting)),
  };
});
const setting = computed(() => toMillimetres(props.trim.setting));
const table = computed(() => toMillimetres(props.trimmer.tableWidth));
const isOut = computed(() => props.trim.arm === 'out');
/** How far the ruler goes as the trimmer stands. */
const reach = computed(() =>
  isOut.value ? toMillimetres(props.trimmer.widthWithArm) : table.value,
);
const left = computed(() => Math.min(card.value.rest, 320) + border);

const drawn = computed(() => {
  const across = left.value + Math.max(reach.value, setting.value) + 2 * border;
  const down = ruler + card.value.long + 2 * border;
  const scale = Math.min(width.value / across, height.value / down);
  return { across, down: Math.max(down, height.value / scale), scale };
});
const grain = computed(() => 1 / drawn.value.scale);
const heights = { figure: 8, half: 5.5, small: 3.5 } as const;
const marks = computed(() =>
  rulerMarks({
    unit: props.trimmer.unit,
    pitch: props.trimmer.step,
    to: reach.value,
    pixelsPerMillimetre: drawn.value.scale,
    apart: 3.2,
    figureEvery: props.trimmer.unit === 'inch' ? 1 : 2,
  }),
);
/** The part of the card that is wanted, to the right of the blade or to the left. */
const wanted = computed(() =>
  props.trim.wanted === 'on the ruler'
    ? { x: 0, width: setting.value }
    : { x: -card.value.rest, width: card.value.rest },
);
</script>

<template>
  <div ref="frame" class="frame">
    <svg
      :width="drawn.across * drawn.scale"
      :height="drawn.down * drawn.scale"
      :viewBox="`${-left - border} ${-ruler} ${drawn.across} ${drawn.down}`"
      :style="{ '--grain': grain }"
      role="img"
      aria-label="The trimmer with the card under its blade"
    >
      <rect
        class="bed"
        :x="-left - border"
        :y="-ruler"
        :width="left + 3 * border + table"
        :height="drawn.down"
        :rx="12 * grain"
      />
      <rect
        v-if="isOut"
        class="arm"
        :x="table - border"
        :y="-ruler"
        :width="reach - table + 2 * border"
        :height="ruler + 22"
        :rx="6 * grain"
      />
      <rect
        class="card"
        :x="-card.rest"
        y="0"
        :width="card.whole"
        :height="card.long"
        :fill="colour"
      />
      <rect class="wanted" :x="wanted.x" y="0" :width="wanted.width" :height="card.long" />
      <g v-for="mark in marks" :key="mark.at">
        <line class="tick" :x1="mark.at" :x2="mark.at" :y1="-heights[mark.kind]" y2="0" />
        <text v-if="mark.figure" :x="mark.at" y="-10.5" :font-size="15 * grain">
          {{ mark.figure }}
        </text>
      </g>
      <rect class="rail" :x="-3.5" :y="-ruler" width="7" :height="drawn.down" :rx="2 * grain" />
      <line class="blade" x1="0" x2="0" y1="0" :y2="card.long" />
      <g class="at" :transform="`translate(${setting} 0)`">
        <line class="casing" :y1="-ruler - 2 * grain" :y2="card.long" />
        <line :y1="-ruler - 2 * grain" :y2="card.long" />
        <circle cx="0" :cy="-ruler - 1" :r="8 * grain" />
      </g>
    </svg>
  </div>
</template>

<style scoped>
.frame {
  display: flex;
  align-items: flex-start;
  min-width: 0;
  min-height: 0;
  height: 100%;
  overflow: hidden;
  margin: -12px;
  padding: 12px;
}

svg {
  flex: none;
  overflow: visible;
}

.bed {
  fill: #edf2ee;
}

.arm {
  fill: #dbe5df;
  stroke: #a9bdb4;
  stroke-width: calc(1px * var(--grain));
}

.card {
  stroke: rgb(20 48 45 / 55%);
  stroke-width: calc(1.2px * var(--grain));
  fill-opacity: 0.92;
}

.wanted {
  fill: rgb(242 179 28 / 22%);
  stroke: var(--turmeric);
  stroke-width: calc(2px * var(--grain));
}

.rail {
  fill: rgb(20 48 45 / 16%);
}

.blade {
  stroke: var(--ink);
  stroke-width: calc(3px * var(--grain));
}

.tick {
  stroke: var(--ink);
  stroke-width: calc(1.4px * var(--grain));
}

text {
  font-family: var(--figures);
  font-weight: 700;
  text-anchor: middle;
  fill: var(--ink);
}

.at line {
  stroke: var(--turmeric);
  stroke-width: calc(4.5px * var(--grain));
}

.at .casing {
  stroke: var(--ink);
  stroke-width: calc(7.5px * var(--grain));
}

.at circle {
  fill: var(--turmeric);
  stroke: var(--ink);
  stroke-width: calc(1.6px * var(--grain));
}
</style>
