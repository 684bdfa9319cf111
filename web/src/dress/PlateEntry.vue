<script setup lang="ts">
import type { AdditionChoice } from '@rangoli/core';
import { computed } from 'vue';
import Pick from '../parts/Pick.vue';
import { useDressing } from './dressing.ts';
import PaperPick from './PaperPick.vue';
import WornEntry from './WornEntry.vue';

type Plate = Extract<AdditionChoice, { addition: 'stiffener' | 'liner' | 'dividers' }>;

/** Plates and strips inside the box: where they are, and their paper. */
const props = defineProps<{ plate: Plate }>();

const dressing = useDressing();

const lined = [
  { value: 'box', label: 'the box' },
  { value: 'lid', label: 'the lid' },
  { value: 'box and lid', label: 'the box and the lid' },
] as const;
const stiffened = [
  { value: 'floor', label: 'on the floor' },
  { value: 'lid', label: 'in the lid' },
] as const;

const name = computed(
  () => ({ liner: 'Liner', stiffener: 'Stiffener', dividers: 'Dividers' })[props.plate.addition],
);
const heading = computed(() => (props.plate.addition === 'liner' ? 'Liner of' : name.value));

/** Why not all of it is in the box, where that is so. */
const missing = computed(() => {
  if (dressing.whyMissing(props.plate) === undefined) return undefined;
  if (props.plate.addition === 'dividers')
    return 'Dividers stand between things in rows, on a square floor: they are left out.';
  if (props.plate.addition === 'stiffener')
    return `This kind of box has no flat ${props.plate.in}: the stiffener is left out.`;
  return props.plate.lines === 'box'
    ? 'This kind of box has nothing flat inside: the liner is left out.'
    : 'This kind of box has no flat lid: the liner of the lid is left out.';
});

function setLined(lines: (typeof lined)[number]['value']): void {
  if (props.plate.addition === 'liner') dressing.replace('lines', { ...props.plate, lines });
}

function setStiffened(where: (typeof stiffened)[number]['value']): void {
  if (props.plate.addition === 'stiffener') dressing.replace('in', { ...props.plate, in: where });
}
</script>

<template>
  <WornEntry
    :worn="plate"
    :name="heading"
    :removal="`Take the ${plate.addition} out`"
    :missing="missing"
  >
    <template #beside>
      <Pick
        v-if="plate.addition === 'liner'"
        label="Liner of"
        :value="plate.lines"
        :options="lined"
        @change="setLined"
      />
      <Pick
        v-else-if="plate.addition === 'stiffener'"
        label="Where the stiffener is"
        :value="plate.in"
        :options="stiffened"
        @change="setStiffened"
      />
    </template>
    <PaperPick :worn="plate" :label="name" />
  </WornEntry>
</template>
