<script setup lang="ts">
import {
  cutUnit,
  formatWithUnit,
  roundDown,
  type Kit,
  type Length,
  type Problem,
  type Sheet,
  type Unit,
} from '@rangoli/core';
import Button from 'primevue/button';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import Worded from '../parts/Worded.vue';

/** Why a box can't be made, and what would make it possible. */
const props = defineProps<{
  problems: readonly Problem[];
  kit: Kit;
  unit: Unit;
  project: string;
}>();
const emit = defineEmits<{
  sheet: [field: string, sheet: Sheet];
  high: [high: Length];
  /** An option becomes this figure. */
  option: [key: string, figure: Length];
  /** What is made already is let go. */
  anew: [];
}>();

/** The nearest height that would do, on the trimmer's marks. */
const told = computed(() =>
  props.problems.map((problem) => {
    const { field, nearest } = problem;
    const isHigh = field === 'gift.high' && nearest !== undefined;
    const high = isHigh ? roundDown(nearest, props.kit.trimmer.step) : undefined;
    const [, option] = /^style\.options\.(.+)$/.exec(field) ?? [];
    const figure = option !== undefined && nearest !== undefined ? { option, nearest } : undefined;
    return { ...problem, figure, high: high !== undefined && high > 0 ? high : undefined };
  }),
);
</script>

<template>
  <div class="refusal" role="alert">
    <h2>This box can’t be made yet</h2>
    <p v-for="problem in told" :key="problem.field">
      <Worded :text="problem.message" />
      <Button
        v-if="problem.sheet"
        size="small"
        :label="`Use ${problem.sheet.name}`"
        @click="emit('sheet', problem.field, problem.sheet)"
      />
      <Button
        v-if="problem.high"
        size="small"
        :label="`Make it ${formatWithUnit(problem.high, cutUnit(kit))} high`"
        @click="emit('high', problem.high)"
      />
      <Button
        v-if="problem.figure"
        size="small"
        :label="`Make it ${formatWithUnit(problem.figure.nearest, unit)}`"
        @click="emit('option', problem.figure.option, problem.figure.nearest)"
      />
      <Button
        v-if="problem.field === 'made'"
        size="small"
        label="Plan it anew"
        @click="emit('anew')"
      />
    </p>
    <RouterLink :to="{ name: 'compare', params: { id: project } }"
      >See which kinds of box fit it</RouterLink
    >
  </div>
</template>

<style scoped>
.refusal {
  position: absolute;
  inset: 50% auto auto 50%;
  width: min(420px, calc(100% - 40px));
  padding: 18px 20px;
  transform: translate(-50%, -50%);
  background: var(--paper);
  border-left: 6px solid var(--vermilion);
  border-radius: var(--radius);
}

.refusal h2 {
  margin-bottom: 6px;
  font-size: 18px;
}

.refusal p {
  display: grid;
  gap: 10px;
  justify-items: start;
}

.refusal a {
  display: inline-block;
  margin-top: 12px;
  font-weight: 600;
  color: inherit;
}

.refusal p + p {
  margin-top: 12px;
}
</style>
