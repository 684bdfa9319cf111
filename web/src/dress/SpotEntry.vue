<script setup lang="ts">
import { insetLimits, type SpotChoice, type Unit } from '@rangoli/core';
import { computed } from 'vue';
import CrossButton from '../parts/CrossButton.vue';
import MeasureField from '../parts/MeasureField.vue';
import Pick from '../parts/Pick.vue';
import { useDressing } from './dressing.ts';

/** A place that is stamped or that a sticker goes on: which of the two, where on its face, and how far in. */
const props = defineProps<{ spot: SpotChoice; unit: Unit; project: string }>();

const dressing = useDressing();

const uses = [
  { value: 'stamp', label: 'Stamp' },
  { value: 'sticker', label: 'Sticker' },
  { value: 'punch', label: 'Punched' },
] as const;
const places = [
  { value: 'middle', label: 'in the middle' },
  { value: 'top', label: 'near the top' },
  { value: 'bottom', label: 'near the bottom' },
  { value: 'left', label: 'near the left' },
  { value: 'right', label: 'near the right' },
  { value: 'top left', label: 'top left' },
  { value: 'top right', label: 'top right' },
  { value: 'bottom left', label: 'bottom left' },
  { value: 'bottom right', label: 'bottom right' },
] as const;

const where = computed(() => dressing.faceOf(props.spot.on)?.said ?? 'No such face here');
const isMissing = computed(() => dressing.whyMissing(props.spot) !== undefined);
</script>

<template>
  <li class="spot-entry">
    <strong>{{ where }}</strong>
    <CrossButton :label="`Take the ${spot.use} off`" @click="dressing.takeOff(spot)" />
    <p v-if="isMissing" class="missing">This kind of box has no such face: it is left out.</p>
    <Pick
      label="What goes there"
      :value="props.spot.use"
      :options="uses"
      @change="(use) => dressing.replace('use', { ...spot, use })"
    />
    <Pick
      label="Where on the face"
      :value="props.spot.at"
      :options="places"
      @change="(at) => dressing.replace('at', { ...spot, at })"
    />
    <MeasureField
      v-if="spot.at !== 'middle'"
      :field="`${project} ${spot.id} inset`"
      label="Its middle from the edge"
      fault-from="right"
      :length="spot.inset"
      :unit="unit"
      :least="insetLimits.least"
      :most="insetLimits.most"
      @change="(inset) => dressing.replace('inset', { ...spot, inset })"
    />
  </li>
</template>

<style scoped>
.spot-entry {
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr) 26px;
  gap: 3px 6px;
  align-items: center;
  padding: 5px 0 3px 8px;
  border-left: 3px solid var(--line);
  font-size: 13px;
}

strong {
  grid-column: 1 / 3;
}

.missing {
  grid-column: 1 / -1;
  margin: 0;
  color: var(--vermilion);
}
</style>
