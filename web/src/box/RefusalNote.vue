<script setup lang="ts">
import type { WayOut } from '@rangoli/core';
import Button from 'primevue/button';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import Worded from '../parts/Worded.vue';
import { useWaysOut } from '../planner/use-ways-out.ts';
import type { Refused } from '../planner/tasks.ts';

/** Why a box can't be made, and what would make it possible. */
const props = defineProps<{
  refused: Refused;
  project: string;
}>();
const emit = defineEmits<{
  take: [way: WayOut];
  /** What is made already is let go. */
  anew: [];
}>();

const { ways, isLooking } = useWaysOut(computed(() => props.refused));
const isMade = computed(() => props.refused.problems.some(({ field }) => field === 'made'));
</script>

<template>
  <div class="refusal" role="alert">
    <h2>This box can’t be made yet</h2>
    <p v-for="problem in refused.problems" :key="problem.field">
      <Worded :text="problem.message" />
    </p>
    <p v-if="ways.length > 0" class="would">
      {{ ways.length === 1 ? 'This would do:' : 'Any of these would do:' }}
    </p>
    <ul v-if="ways.length > 0 || isMade" class="ways" aria-label="What would do" aria-live="off">
      <li v-if="isMade"><Button size="small" label="Plan it anew" @click="emit('anew')" /></li>
      <li v-for="way in ways" :key="way.said">
        <Button size="small" :outlined="way !== ways[0] || isMade" @click="emit('take', way)"
          ><Worded :text="way.said"
        /></Button>
      </li>
    </ul>
    <p v-else class="looking" :class="{ idle: !isLooking }">Looking for what would do…</p>
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

.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}

.refusal .would {
  margin-top: 12px;
  font-size: 13px;
  color: var(--ink-soft);
}

.looking {
  color: var(--ink-soft);
}

.idle {
  visibility: hidden;
}

.refusal a {
  display: inline-block;
  margin-top: 9px;
  padding: 3px 0;
  font-weight: 600;
  color: inherit;
}

.refusal p + p {
  margin-top: 12px;
}
</style>
