<script setup lang="ts">
import type { WayOut } from '@rangoli/core';
import Button from 'primevue/button';
import { computed, useId } from 'vue';
import { RouterLink } from 'vue-router';
import Worded from '../parts/Worded.vue';
import { useWaysOut } from '../planner/use-ways-out.ts';
import type { Refused } from '../planner/tasks.ts';

/**
 * Why a box can't be made, and what would make it possible. Ways come one by one below what is there already, so that
 * none of them moves away from under a finger.
 */
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
const heading = useId();
const isMade = computed(() => props.refused.problems.some(({ field }) => field === 'made'));
const found = computed(() => {
  if (ways.value.length > 0)
    return ways.value.length === 1 ? 'This would do:' : 'Any of these would do:';
  return isLooking.value ? 'Looking for what would do…' : '';
});
</script>

<template>
  <section class="refusal" :aria-labelledby="heading">
    <!-- Said at once; what would do is there for who looks for it, and is not said as it comes. -->
    <div role="alert">
      <h2 :id="heading">This box can’t be made yet</h2>
      <p v-for="problem in refused.problems" :key="problem.field">
        <Worded :text="problem.message" />
      </p>
    </div>
    <p class="would">
      <span>{{ found }}</span>
      <RouterLink :to="{ name: 'compare', params: { id: project } }"
        >See which kinds of box fit it</RouterLink
      >
    </p>
    <ul v-if="ways.length > 0 || isMade" class="ways" aria-label="What would do">
      <li v-if="isMade"><Button size="small" label="Plan it anew" @click="emit('anew')" /></li>
      <li v-for="way in ways" :key="way.said">
        <Button size="small" :outlined="way !== ways[0] || isMade" @click="emit('take', way)"
          ><Worded :text="way.said"
        /></Button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.refusal {
  position: absolute;
  inset: 18% auto auto 50%;
  width: min(440px, calc(100% - 40px));
  padding: 18px 20px;
  transform: translateX(-50%);
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
  margin: 8px 0 0;
  padding: 0;
  list-style: none;
}

.refusal .would {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  justify-content: space-between;
  align-items: baseline;
  margin-top: 12px;
  font-size: 13px;
  color: var(--ink-soft);
}

/* As wide as the longest that stands here: what it says changes no line. */
.would span {
  min-width: 178px;
}

.refusal a {
  padding: 3px 0;
  font-weight: 600;
  color: var(--ink);
}

.refusal p + p {
  margin-top: 12px;
}
</style>
