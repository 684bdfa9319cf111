<script setup lang="ts">
import type { WireChoice } from '@rangoli/core';
import CrossButton from '../parts/CrossButton.vue';
import Pick from '../parts/Pick.vue';
import { useDressing } from './dressing.ts';

/** A wire that the box is carried by: which way it goes over. */
const props = defineProps<{ wire: WireChoice }>();

const dressing = useDressing();

const ways = [
  { value: 'across', label: 'left to right' },
  { value: 'deep', label: 'front to back' },
] as const;
</script>

<template>
  <li class="wire-entry">
    <strong>Wire handle</strong>
    <Pick
      label="Which way the wire goes"
      :value="props.wire.over"
      :options="ways"
      @change="(over) => dressing.replace('over', { ...wire, over })"
    />
    <CrossButton label="Take the wire handle off" @click="dressing.takeOff(wire)" />
  </li>
</template>

<style scoped>
.wire-entry {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) 26px;
  gap: 3px 6px;
  align-items: center;
  padding: 5px 0 3px 8px;
  border-left: 3px solid var(--line);
  font-size: 13px;
}
</style>
