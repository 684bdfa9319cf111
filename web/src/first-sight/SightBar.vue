<script setup lang="ts">
import { CircleCheck } from '@lucide/vue';
import TopBarFrame from '../parts/TopBarFrame.vue';
import type { Place } from '../parts/use-title.ts';

/** The bar as it is seen before its view has come. */
defineProps<{ place: Place; project?: string }>();

/** As wide as what is kept where will be, so that nothing moves when that is known. */
const kept = { display: 'flex', paddingRight: '15px' };
</script>

<template>
  <TopBarFrame :place="place" v-bind="project === undefined ? {} : { project }">
    <slot />
    <template #kept
      ><a :style="kept"><CircleCheck :size="17" aria-hidden="true" /></a
    ></template>
    <template #tools><slot name="tools" /></template>
  </TopBarFrame>
</template>
