<script setup lang="ts">
import { handleLimits, type HandleChoice, type Unit } from '@rangoli/core';
import MeasureField from '../parts/MeasureField.vue';
import Pick from '../parts/Pick.vue';
import { useDressing } from './dressing.ts';
import PaperPick from './PaperPick.vue';
import WornEntry from './WornEntry.vue';

/** A handle over the box: which way, how wide its strip is, and how far it stands over the top. */
const props = defineProps<{ strip: HandleChoice; unit: Unit; project: string }>();

const dressing = useDressing();

const ways = [
  { value: 'across', label: 'left to right' },
  { value: 'deep', label: 'front to back' },
] as const;
</script>

<template>
  <WornEntry :worn="strip" name="Handle" removal="Take the handle off">
    <template #beside>
      <Pick
        label="Which way the handle goes"
        :value="props.strip.over"
        :options="ways"
        @change="(over) => dressing.replace('over', { ...strip, over })"
      />
    </template>
    <PaperPick :worn="strip" label="Handle" />
    <div class="pair">
      <MeasureField
        :field="`${project} ${strip.id} width`"
        label="Strip width"
        :length="strip.width"
        :unit="unit"
        :least="handleLimits.leastWidth"
        :most="handleLimits.mostWidth"
        @change="(width) => dressing.replace('width', { ...strip, width })"
      />
      <MeasureField
        :field="`${project} ${strip.id} rise`"
        label="Height over the box"
        fault-from="right"
        :length="strip.rise"
        :unit="unit"
        :least="handleLimits.leastRise"
        :most="handleLimits.mostRise"
        @change="(rise) => dressing.replace('rise', { ...strip, rise })"
      />
    </div>
  </WornEntry>
</template>
