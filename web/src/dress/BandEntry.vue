<script setup lang="ts">
import { bandLimits, type BandChoice, type Unit } from '@rangoli/core';
import MeasureField from '../parts/MeasureField.vue';
import Pick from '../parts/Pick.vue';
import { useDressing } from './dressing.ts';
import PaperPick from './PaperPick.vue';
import WornEntry from './WornEntry.vue';

/** A band that goes round the closed box: which way, how wide, and its paper. */
const props = defineProps<{ band: BandChoice; unit: Unit; project: string }>();

const dressing = useDressing();

const rounds = [
  { value: 'across', label: 'left to right' },
  { value: 'deep', label: 'front to back' },
  { value: 'walls', label: 'round the walls' },
  { value: 'under lid', label: 'under the lid' },
] as const;

const closings = [
  { value: 'seam', label: 'ends glued' },
  { value: 'hooks', label: 'ends hooked' },
] as const;
</script>

<template>
  <WornEntry :worn="band" name="Band" removal="Take the band off">
    <template #beside>
      <Pick
        label="Which way the band goes"
        :value="props.band.round"
        :options="rounds"
        @change="(round) => dressing.replace('round', { ...band, round })"
      />
    </template>
    <div class="row">
      <PaperPick :worn="band" label="Band" />
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
    </div>
    <Pick
      class="closing"
      label="How the ends of the band hold"
      :value="props.band.closing"
      :options="closings"
      @change="(closing) => dressing.replace('closing', { ...band, closing })"
    />
  </WornEntry>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 62px 26px;
  gap: 6px;
  align-items: center;
}

.closing {
  width: 148px;
}
</style>
