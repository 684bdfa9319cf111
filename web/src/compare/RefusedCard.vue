<script setup lang="ts">
import type { Compared, PlanRequest, WayOut } from '@rangoli/core';
import { computed } from 'vue';
import type { Refused } from '../planner/tasks.ts';
import { usePlanned } from '../planner/use-planned.ts';
import { useWaysOut } from '../planner/use-ways-out.ts';
import Worded from '../parts/Worded.vue';

/** A kind of box that this gift has none of as it is asked for: why, and what would make it possible. */
const props = defineProps<{
  compared: Extract<Compared, { readonly ok: false }>;
  request: PlanRequest;
  chosen: boolean;
}>();
const emit = defineEmits<{ take: [way: Pick<WayOut, 'part' | 'boxes'>] }>();

/**
 * The box as it would be taken. Kinds are compared on one paper; what is a way out for all papers of the box is tried
 * on all of them, and none of them is lost with it.
 */
const whole = computed((): PlanRequest => ({
  ...props.request,
  style: props.compared.choice,
  made: [],
}));
const planned = usePlanned(() => (props.request.papers.length > 1 ? whole.value : undefined));
const fitsAsItIs = computed(() => planned.value?.result.ok === true);
const asked = computed((): Refused | undefined => {
  const { request, compared } = props;
  if (request.papers.length === 1) return { request: whole.value, problems: compared.problems };
  const now = planned.value;
  return now?.result.ok === false
    ? { request: now.request, problems: now.result.problems }
    : undefined;
});

const { ways, isLooking } = useWaysOut(asked, { enough: 1 });
/** That another kind would do is seen beside it. */
const own = computed(() => ways.value.find(({ kind }) => kind !== 'other kind'));
</script>

<template>
  <li :class="{ chosen }">
    <strong>{{ compared.style.name }}</strong>
    <Worded
      v-for="problem in (asked ?? compared).problems.slice(0, 1)"
      :key="problem.message"
      :text="problem.message"
    />
    <button v-if="fitsAsItIs" type="button" @click="emit('take', { part: {} })">
      Fits on the papers of this box
    </button>
    <button v-else-if="own" type="button" @click="emit('take', own)">
      <Worded :text="own.said" />
    </button>
    <span v-else class="looking">{{ isLooking ? 'Looking for what would do…' : '' }}</span>
  </li>
</template>

<style scoped>
li {
  display: flex;
  flex-direction: column;
  gap: 5px;
  align-items: start;
  padding: 10px 16px 12px;
  font-size: 13px;
  line-height: 1.4;
  color: var(--ink-soft);
  background: var(--paper);
}

.chosen {
  background: var(--turmeric-pale);
}

strong {
  font: 700 14px/1.2 var(--figures);
}

button {
  min-height: 30px;
  margin-top: auto;
  padding: 3px 10px;
  border: 1px solid var(--ink-soft);
  border-radius: var(--radius);
  font: 600 13px var(--text);
  color: var(--ink);
  text-align: left;
  background: var(--paper);
  cursor: pointer;
}

button:hover {
  border-color: var(--ink);
  background: var(--ground);
}

/* As high as the button that may come: no card moves from under a finger. */
.looking {
  min-height: 30px;
  margin-top: auto;
}
</style>
