<script setup lang="ts">
import { minus, toMillimetres, type Trimmer, type CutOperation } from '@rangoli/core';
import { computed } from 'vue';
import ToolFrame from './ToolFrame.vue';
import ToolKnob from './ToolKnob.vue';
import ToolMarks from './ToolMarks.vue';

/**
 * The trimmer as it lies in front of the maker, the card on it in true scale: what is measured lies on the
 * ruler to the right of the blade, what falls off to the left.
 */
const props = defineProps<{ trimmer: Trimmer; trim: CutOperation; colour: string }>();

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

const across = computed(() => left.value + Math.max(reach.value, setting.value) + 3 * border);
const down = computed(() => card.value.long + 2 * border);
/** The part of the card that is wanted, to the right of the blade or to the left, and the other one. */
const onRuler = computed(() => ({ x: 0, width: setting.value }));
const beyond = computed(() => ({ x: -card.value.rest, width: card.value.rest }));
const isOnRuler = computed(() => props.trim.wanted === 'on the ruler');
const wanted = computed(() => (isOnRuler.value ? onRuler.value : beyond.value));
const unwanted = computed(() => (isOnRuler.value ? beyond.value : onRuler.value));
</script>

<template>
  <ToolFrame
    v-slot="{ scale, grain, ruler, tall }"
    label="The trimmer with the card under its blade"
    :left="-left - border"
    :across="across"
    :down="down"
  >
    <rect
      class="bed"
      :x="-left - border"
      :y="-ruler"
      :width="left + 3 * border + table"
      :height="tall"
      :rx="12 * grain"
    />
    <rect
      class="ruler"
      :x="-left - border"
      :y="-ruler"
      :width="left + 3 * border + table"
      :height="ruler"
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
    <rect class="unwanted" :x="unwanted.x" y="0" :width="unwanted.width" :height="card.long" />
    <rect class="wanted" :x="wanted.x" y="0" :width="wanted.width" :height="card.long" />
    <ToolMarks
      :unit="trimmer.unit"
      :pitch="trimmer.step"
      :to="reach"
      :away="1"
      :scale="scale"
      :ruler="ruler"
    >
      <rect class="rail" :x="-3.5" :y="-ruler" width="7" :height="tall" :rx="2 * grain" />
      <line class="blade" x1="0" x2="0" y1="0" :y2="card.long" />
      <ToolKnob :at="setting" :ruler="ruler" :to="card.long" :grain="grain" />
    </ToolMarks>
  </ToolFrame>
</template>

<style scoped>
.arm {
  fill: #dbe5df;
  stroke: #a9bdb4;
  stroke-width: calc(1px * var(--grain));
}

/* What is wanted keeps its colour, and the rest pales. */
.unwanted {
  fill: rgb(237 242 238 / 62%);
}

.wanted {
  fill: none;
  stroke: var(--turmeric);
  stroke-width: calc(2px * var(--grain));
}

.rail {
  fill: rgb(20 48 45 / 16%);
}

.blade {
  stroke: var(--line);
  stroke-width: calc(3px * var(--grain));
}
</style>
