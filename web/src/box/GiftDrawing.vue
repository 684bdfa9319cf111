<script setup lang="ts">
import { giftLimits, type Gift, type Length, type Unit } from '@rangoli/core';
import { computed } from 'vue';
import { shade } from '../parts/colour.ts';
import MeasureField from '../parts/MeasureField.vue';
import { drawGift } from './gift-solid.ts';

/** The gift at its proportions, with each measure to be edited where it stands. */
const props = defineProps<{ gift: Gift; unit: Unit; project: string }>();
const emit = defineEmits<{ change: [gift: Gift, what: string] }>();

const brass = '#e8c65f';
const view = { width: 244, height: 106, solid: { width: 152, height: 98 } };
const solid = computed(() => drawGift(props.gift, view.solid.width, view.solid.height));
const origin = computed(() => ({
  x: 84 + (view.solid.width - solid.value.width) / 2,
  y: 2 + (view.solid.height - solid.value.height) / 2,
}));

interface Chip {
  readonly name: string;
  readonly label: string;
  readonly length: Length;
  readonly place: 'left' | 'front' | 'right';
  readonly take: (length: Length) => Gift;
}

/** The measures of each shape, at the edges that they belong to. */
const chips = computed((): readonly Chip[] => {
  const gift = props.gift;
  if (gift.shape === 'block')
    return [
      {
        name: 'high',
        label: 'Height',
        length: gift.high,
        place: 'left',
        take: (high) => ({ ...gift, high }),
      },
      {
        name: 'across',
        label: 'Width',
        length: gift.across,
        place: 'front',
        take: (across) => ({ ...gift, across }),
      },
      {
        name: 'deep',
        label: 'Depth',
        length: gift.deep,
        place: 'right',
        take: (deep) => ({ ...gift, deep }),
      },
    ];
  const standing = gift.lies === 'standing';
  return [
    {
      name: 'length',
      label: standing ? 'Height' : 'Length',
      length: gift.length,
      place: standing ? 'left' : 'front',
      take: (length) => ({ ...gift, length }),
    },
    {
      name: 'diameter',
      label: 'Diameter',
      length: gift.diameter,
      place: standing ? 'front' : 'right',
      take: (diameter) => ({ ...gift, diameter }),
    },
  ];
});
</script>

<template>
  <div class="gift-drawing">
    <svg
      :viewBox="`0 0 ${view.width} ${view.height}`"
      role="img"
      aria-label="The gift, to proportion"
    >
      <g :transform="`translate(${origin.x} ${origin.y})`">
        <path
          v-for="(face, i) in solid.faces"
          :key="i"
          :d="face.path"
          :fill="shade(brass, face.light)"
        />
      </g>
    </svg>
    <MeasureField
      v-for="chip in chips"
      :key="`${gift.shape} ${chip.name}`"
      :class="['chip', chip.place]"
      :field="`${project} gift.${chip.name}`"
      :label="chip.label"
      :length="chip.length"
      :unit="unit"
      :least="giftLimits.least"
      :most="giftLimits.most"
      :fault-from="chip.place === 'right' ? 'right' : 'left'"
      @change="(length) => emit('change', chip.take(length), `gift ${chip.name}`)"
    />
  </div>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
}

path {
  stroke: var(--ink);
  stroke-width: 1.3;
  stroke-linejoin: round;
}

.gift-drawing {
  position: relative;
  width: 100%;
  max-width: 276px;
  margin-inline: auto;
  height: 146px;
}

.chip {
  position: absolute;
  width: 78px;
}

.left {
  left: 0;
  top: 44px;
}

.front {
  left: 68px;
  top: 102px;
}

.right {
  right: 0;
  top: 102px;
}
</style>
