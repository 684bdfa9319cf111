<script setup lang="ts">
import { bandLimits, type BandChoice, type Unit } from '@rangoli/core';
import CrossButton from '../parts/CrossButton.vue';
import MeasureField from '../parts/MeasureField.vue';
import Pick from '../parts/Pick.vue';
import { useDressing } from './dressing.ts';
import PaperPick from './PaperPick.vue';

/** A band that goes round the closed box: which way, how wide, and its paper. */
const props = defineProps<{ band: BandChoice; unit: Unit; project: string }>();

const dressing = useDressing();

const rounds = [
  { value: 'across', label: 'left to right' },
  { value: 'deep', label: 'front to back' },
  { value: 'walls', label: 'round the walls' },
] as const;
</script>

<template>
  <li class="band-entry">
    <strong>Band</strong>
    <Pick
      label="Which way the band goes"
      :value="props.band.round"
      :options="rounds"
      @change="(round) => dressing.replace('round', { ...band, round })"
    />
    <CrossButton label="Take the band off" @click="dressing.takeOff(band)" />
    <PaperPick class="paper" :worn="band" label="Band" />
    <MeasureField
      :field="`${project} ${band.id} width`"
      label="Band: width"
      hide-label
      fault-from="right"
      :length="band.width"
      :unit="unit"
      :least="bandLimits.least"
      :most="bandLimits.most"
      @change="(width) => dressing.replace('width', { ...band, width })"
    />
  </li>
</template>

<style scoped>
.band-entry {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) 62px 26px;
  gap: 3px 6px;
  align-items: center;
  padding: 5px 0 3px 8px;
  border-left: 3px solid var(--line);
  font-size: 13px;
}

.band-entry > :nth-child(2) {
  grid-column: 2 / 4;
}

.paper {
  grid-column: 1 / 3;
}
</style>
