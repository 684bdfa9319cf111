<script setup lang="ts">
import type { WireChoice } from '@rangoli/core';
import Pick from '../parts/Pick.vue';
import { useDressing } from './dressing.ts';
import WornEntry from './WornEntry.vue';

/** A wire that the box is carried by: which way it goes over. */
const props = defineProps<{ wire: WireChoice }>();

const dressing = useDressing();

const ways = [
  { value: 'across', label: 'left to right' },
  { value: 'deep', label: 'front to back' },
] as const;
</script>

<template>
  <WornEntry :worn="wire" name="Wire handle" removal="Take the wire handle off">
    <template #beside>
      <Pick
        label="Which way the wire goes"
        :value="props.wire.over"
        :options="ways"
        @change="(over) => dressing.replace('over', { ...wire, over })"
      />
    </template>
  </WornEntry>
</template>
