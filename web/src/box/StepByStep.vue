<script setup lang="ts">
import type { Plan, PlanRequest } from '@rangoli/core';
import { computed } from 'vue';
import Worded from '../parts/Worded.vue';
import { planner } from '../planner/planner.ts';
import { useWorkedOut } from '../planner/use-worked-out.ts';

/** The job of one box in sentences. */
const props = defineProps<{ plan: Plan; request: PlanRequest }>();

const batch = computed(() => ({ ...props, boxes: 1, corners: 'round the base' as const }));
const { workedOut } = useWorkedOut(batch, (asked) =>
  planner((tasks) => tasks.planAndTellJob(asked)),
);
const sentences = computed(() =>
  [...(workedOut.value?.result.told.values() ?? [])].map(({ text }) => text),
);
</script>

<template>
  <ol>
    <li v-for="(sentence, i) in sentences" :key="i"><Worded :text="sentence" /></li>
  </ol>
</template>

<style scoped>
ol {
  display: grid;
  gap: 8px;
  margin-top: 8px;
  padding-left: 20px;
  list-style: decimal;
}
</style>
