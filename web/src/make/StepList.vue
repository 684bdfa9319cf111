<script setup lang="ts">
import { isDone, type Progress, type Step } from '@rangoli/core';
import { Check } from '@lucide/vue';
import { nextTick, useTemplateRef, watch } from 'vue';
import Worded from '../parts/Worded.vue';
import type { PlannedJob } from '../planner/tell-job.ts';
import { stageName } from './stage-name.ts';
import { minutesInWords } from './minutes.ts';

/** Every step of the job by the tool that it needs, what is done ticked; any of them can be gone to. */
const props = defineProps<{
  planned: PlannedJob;
  progress: Progress;
  here: Step | undefined;
  left: (step: Step) => number;
}>();
const emit = defineEmits<{ go: [step: Step] }>();

const list = useTemplateRef<HTMLElement>('list');
// The step at hand stays in sight as the list goes on.
watch(
  () => props.here,
  async () => {
    await nextTick();
    list.value?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest' });
  },
);
</script>

<template>
  <nav ref="list" aria-label="Steps">
    <section v-for="stage in planned.job.stages" :key="stage.bench">
      <h2>
        {{ stageName(stage) }}
        <span v-if="stage.steps.some((step) => !isDone(progress, step))">{{
          minutesInWords(stage.steps.reduce((sum, step) => sum + left(step), 0))
        }}</span>
      </h2>
      <p v-if="planned.notes.has(stage.bench)" class="note">
        <Worded :text="planned.notes.get(stage.bench) ?? ''" />
      </p>
      <ol>
        <li v-for="step in stage.steps" :key="step.id">
          <button
            type="button"
            :aria-current="step.id === here?.id ? 'step' : undefined"
            :class="{ done: isDone(progress, step) }"
            @click="emit('go', step)"
          >
            <i aria-hidden="true"
              ><Check v-if="isDone(progress, step)" :size="17" :stroke-width="3"
            /></i>
            <span v-if="isDone(progress, step)" class="visually-hidden">done: </span>
            <Worded :text="planned.told.get(step.id)?.line ?? ''" />
          </button>
        </li>
      </ol>
    </section>
  </nav>
</template>

<style scoped>
nav {
  overflow-y: auto;
  padding: 10px 0 16px;
  background: var(--ground);
}

h2 {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  margin: 0;
  padding: 10px 18px 4px;
  font: 700 16px var(--figures);
}

.note {
  margin: 0;
  padding: 0 18px 4px;
  font-size: 13px;
  line-height: 1.25;
  color: var(--ink-soft);
}

h2 span {
  font: 600 13px var(--text);
  color: var(--ink-soft);
}

ol {
  margin: 0;
  padding: 0;
  list-style: none;
}

button {
  display: flex;
  align-items: center;
  gap: 10px;
  width: 100%;
  padding: 6px 18px;
  border: 0;
  font: 14px/1.3 var(--text);
  text-align: left;
  color: var(--ink-soft);
  background: none;
  cursor: pointer;
}

button:hover {
  background: var(--leaf-pale);
}

button:focus-visible {
  outline: 3px solid var(--turmeric);
  outline-offset: -3px;
}

i {
  display: grid;
  flex: none;
  place-items: center;
  width: 16px;
  height: 16px;
  color: var(--leaf);
}

button:not(.done) i::after {
  content: '';
  width: 9px;
  height: 9px;
  border: 1.5px solid #9fb3ab;
  border-radius: 50%;
}

button[aria-current] {
  font-weight: 700;
  color: var(--ink);
  background: var(--turmeric-pale);
}

button[aria-current]:not(.done) i::after {
  width: 11px;
  height: 11px;
  border-color: var(--turmeric);
  background: var(--turmeric);
}
</style>
