<script setup lang="ts">
import { ribbonLimits, zero, type RibbonChoice, type Unit } from '@rangoli/core';
import MeasureField from '../parts/MeasureField.vue';
import Pick from '../parts/Pick.vue';
import { useDressing } from './dressing.ts';
import WornEntry from './WornEntry.vue';

/** A ribbon round the box: which way, how wide it is, and how wide its bow is to be. */
const props = defineProps<{ ribbon: RibbonChoice; unit: Unit; project: string }>();

const dressing = useDressing();

const ways = [
  { value: 'across', label: 'left to right' },
  { value: 'deep', label: 'front to back' },
  { value: 'crossed', label: 'crossed' },
  { value: 'walls', label: 'round the walls' },
  { value: 'lid across', label: 'over the lid, left to right' },
  { value: 'lid deep', label: 'over the lid, front to back' },
  { value: 'holes', label: 'through its holes' },
  { value: 'band', label: 'through the band' },
  { value: 'notches', label: 'round gift and insert' },
] as const;
</script>

<template>
  <WornEntry :worn="ribbon" name="Ribbon" removal="Take the ribbon off">
    <template #beside>
      <Pick
        label="Which way the ribbon goes"
        :value="props.ribbon.way"
        :options="ways"
        @change="(way) => dressing.replace('way', { ...ribbon, way })"
      />
    </template>
    <div class="pair">
      <MeasureField
        :field="`${project} ${ribbon.id} width`"
        label="Ribbon width"
        :length="ribbon.width"
        :unit="unit"
        :least="ribbonLimits.least"
        :most="ribbonLimits.most"
        @change="(width) => dressing.replace('width', { ...ribbon, width })"
      />
      <MeasureField
        :field="`${project} ${ribbon.id} bow`"
        label="Bow (0: none)"
        fault-from="right"
        :length="ribbon.bow"
        :unit="unit"
        :least="zero"
        :most="ribbonLimits.mostBow"
        @change="(bow) => dressing.replace('bow', { ...ribbon, bow })"
      />
    </div>
  </WornEntry>
</template>
