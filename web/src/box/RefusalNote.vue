<script setup lang="ts">
import type { Problem, Sheet } from '@rangoli/core';
import Button from 'primevue/button';
import Worded from '../parts/Worded.vue';

/** Why a box can't be made, and what would make it possible. */
defineProps<{ problems: readonly Problem[] }>();
const emit = defineEmits<{ sheet: [field: string, sheet: Sheet] }>();
</script>

<template>
  <div class="refusal" role="alert">
    <h2>This box can’t be made yet</h2>
    <p v-for="problem in problems" :key="problem.field">
      <Worded :text="problem.message" />
      <Button
        v-if="problem.sheet"
        size="small"
        :label="`Use ${problem.sheet.name}`"
        @click="emit('sheet', problem.field, problem.sheet)"
      />
    </p>
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

.refusal p + p {
  margin-top: 12px;
}
</style>
