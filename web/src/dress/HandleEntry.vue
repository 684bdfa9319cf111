<script setup lang="ts">
import { handleLimits, type HandleChoice, type Unit } from '@rangoli/core';
import CrossButton from '../parts/CrossButton.vue';
import MeasureField from '../parts/MeasureField.vue';
import Pick from '../parts/Pick.vue';
import { useDressing } from './dressing.ts';
import PaperPick from './PaperPick.vue';

/** A handle over the box: which way, how wide its strip is, and how far it stands over the top. */
const props = defineProps<{ strip: HandleChoice; unit: Unit; project: string }>();

const dressing = useDressing();

const ways = [
  { value: 'across', label: 'left to right' },
  { value: 'deep', label: 'front to back' },
] as const;
</script>

<template>
  <li class="handle-entry">
    <strong>Handle</strong>
    <Pick
      label="Which way the handle goes"
      :value="props.strip.over"
      :options="ways"
      @change="(over) => dressing.replace('over', { ...strip, over })"
    />
    <CrossButton label="Take the handle off" @click="dressing.takeOff(strip)" />
    <PaperPick class="whole" :worn="strip" label="Handle" />
    <div class="sizes">
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
        label="Over the top"
        fault-from="right"
        :length="strip.rise"
        :unit="unit"
        :least="handleLimits.leastRise"
        :most="handleLimits.mostRise"
        @change="(rise) => dressing.replace('rise', { ...strip, rise })"
      />
    </div>
  </li>
</template>

<style scoped>
.handle-entry {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) 26px;
  gap: 3px 6px;
  align-items: center;
  padding: 5px 0 3px 8px;
  border-left: 3px solid var(--line);
  font-size: 13px;
}

.whole,
.sizes {
  grid-column: 1 / -1;
}

.sizes {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px;
}
</style>
