<script setup lang="ts">
import type { AdditionChoice } from '@rangoli/core';
import { computed } from 'vue';
import CrossButton from '../parts/CrossButton.vue';
import Pick from '../parts/Pick.vue';
import { useDressing } from './dressing.ts';
import PaperPick from './PaperPick.vue';

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
  <li class="plate-entry">
    <strong :class="{ wide: plate.addition === 'dividers' }">{{ heading }}</strong>
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
    <CrossButton :label="`Take the ${plate.addition} out`" @click="dressing.takeOff(plate)" />
    <p v-if="missing" class="none">{{ missing }}</p>
    <PaperPick class="paper" :worn="plate" :label="name" />
  </li>
</template>

<style scoped>
.plate-entry {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) 26px;
  gap: 3px 6px;
  align-items: center;
  padding: 5px 0 3px 8px;
  border-left: 3px solid var(--line);
  font-size: 13px;
}

.wide {
  grid-column: 1 / 3;
}

.none,
.paper {
  grid-column: 1 / -1;
}

.none {
  margin: 0;
  color: var(--ink-soft);
}
</style>
