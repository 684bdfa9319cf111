<script setup lang="ts">
import { insetLimits, type SpotChoice, type Unit } from '@rangoli/core';
import { computed } from 'vue';
import MeasureField from '../parts/MeasureField.vue';
import Pick from '../parts/Pick.vue';
import { useDressing } from './dressing.ts';
import WornEntry from './WornEntry.vue';

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
const missing = computed(() => dressing.whyNoFace(props.spot));
</script>

<template>
  <WornEntry :worn="spot" :name="where" :removal="`Take the ${spot.use} off`" :missing="missing">
    <div class="uses">
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
    </div>
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
  </WornEntry>
</template>

<style scoped>
.uses {
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr);
  gap: 6px;
}
</style>
