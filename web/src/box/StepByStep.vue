<script setup lang="ts">
import { planJob, sayStep, type Plan, type PlanRequest } from '@rangoli/core';
import { computed } from 'vue';
import Worded from '../parts/Worded.vue';

/** The job of one box in sentences. */
const props = defineProps<{ plan: Plan; request: PlanRequest }>();

const sentences = computed(() => {
  const { plan, request } = props;
  const job = planJob(plan, request, { boxes: 1 });
  return job.steps.map((step) => sayStep(step, { job, box: plan, kit: request.kit }).text);
});
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
