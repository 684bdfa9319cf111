<script setup lang="ts">
import { computed } from 'vue';
import { useKeeping } from '../stores/keeping.ts';
import KeptMark from './KeptMark.vue';
import TopBarFrame from './TopBarFrame.vue';
import { useTitle, type Place } from './use-title.ts';

/** The bar over every view, with what is kept where, and the title of the page that goes with it. */
const props = defineProps<{
  place: Place;
  /** The open project, whose views the bar leads to. */
  project?: string;
}>();

useTitle(
  () => props.place,
  () => props.project,
);

const keeping = useKeeping();
const waits = computed(() => keeping.waiting.length > 0 || keeping.isAway);
</script>

<template>
  <TopBarFrame :place="place" v-bind="project === undefined ? {} : { project }">
    <slot />
    <template #kept><KeptMark :is-here="place === 'kept'" /></template>
    <template v-if="waits && project !== undefined" #waits><KeptMark :is-here="false" /></template>
    <template #more><slot name="more" /></template>
    <template #tools><slot name="tools" /></template>
  </TopBarFrame>
</template>
