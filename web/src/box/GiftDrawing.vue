<script setup lang="ts">
import {
  giftLimits,
  type Gift,
  type GiftMeasure,
  type Length,
  type Unit,
  itemOf,
  measuresOf,
  withItem,
} from '@rangoli/core';
import { computed } from 'vue';
import { shade } from '../parts/colour.ts';
import MeasureField from '../parts/MeasureField.vue';
import { drawGift } from './gift-solid.ts';

/** The gift at its proportions, with each measure to be edited where it stands. */
const props = defineProps<{
  gift: Gift;
  /** Which thing of a set is edited. */
  at: number;
  unit: Unit;
  project: string;
  /** What is drawn, and in which colour. */
  name: string;
  colour: string;
}>();
const emit = defineEmits<{ change: [gift: Gift, what: string] }>();

const view = { width: 244, height: 100, solid: { width: 152, height: 92 } };
const solid = computed(() => drawGift(props.gift, view.solid.width, view.solid.height));
const origin = computed(() => ({
  x: 84 + (view.solid.width - solid.value.width) / 2,
  y: 2 + (view.solid.height - solid.value.height) / 2,
}));
const measures = computed(() => {
  const item = itemOf(props.gift, props.at);
  if (!item) return [];
  const place = props.at > 0 ? `${props.at}.` : '';
  return measuresOf(item).map((measure) => ({
    ...measure,
    key: `${props.at} ${item.shape} ${measure.name}`,
    field: {
      field: `${props.project} gift.${place}${measure.name}`,
      label: measure.label,
      length: measure.length,
      unit: props.unit,
      least: measure.least ?? giftLimits.least,
      most: measure.most ?? giftLimits.most,
    },
  }));
});

function take(measure: GiftMeasure, length: Length): void {
  const what = `gift ${props.at} ${measure.name}`;
  emit('change', withItem(props.gift, props.at, measure.take(length)), what);
}
</script>

<template>
  <div class="gift-drawing" data-first-step="gift">
    <svg
      :viewBox="`0 0 ${view.width} ${view.height}`"
      role="img"
      :aria-label="`${name}, to proportion`"
    >
      <g :transform="`translate(${origin.x} ${origin.y})`">
        <path
          v-for="(face, i) in solid.faces"
          :key="i"
          :d="face.path"
          :fill="shade(colour, face.light)"
        />
      </g>
    </svg>
    <MeasureField
      v-for="measure in measures.filter(({ place }) => place !== 'more')"
      :key="measure.key"
      v-bind="measure.field"
      :class="['chip', measure.place]"
      :fault-from="measure.place === 'right' ? 'right' : 'left'"
      @change="(length) => take(measure, length)"
    />
  </div>
  <div v-if="measures.some(({ place }) => place === 'more')" class="more">
    <MeasureField
      v-for="measure in measures.filter(({ place }) => place === 'more')"
      :key="measure.key"
      v-bind="measure.field"
      fault-from="left"
      @change="(length) => take(measure, length)"
    />
  </div>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
}

path {
  stroke: var(--line);
  stroke-width: 1.3;
  stroke-linejoin: round;
}

.gift-drawing {
  position: relative;
  width: 100%;
  max-width: 244px;
  margin-inline: auto;
  height: 140px;
}

.more {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
}

.chip {
  position: absolute;
  width: 78px;
}

.left {
  left: 0;
  top: 40px;
}

.front {
  left: 68px;
  top: 96px;
}

.right {
  right: 0;
  top: 96px;
}
</style>
