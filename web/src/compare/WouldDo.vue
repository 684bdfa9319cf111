<script setup lang="ts">
import type { PlanRequest, Problem } from '@rangoli/core';
import { computed } from 'vue';
import { useWaysOut } from '../parts/use-ways-out.ts';
import Worded from '../parts/Worded.vue';

/** What would make a kind of box possible that this gift has none of. */
const props = defineProps<{ request: PlanRequest; problems: readonly Problem[] }>();

const { ways } = useWaysOut(
  computed(() => ({ request: props.request, problems: props.problems })),
  { enough: 1 },
);
/** That another kind would do is seen beside it. */
const own = computed(() => ways.value.find(({ kind }) => kind !== 'other kind'));
</script>

<template>
  <strong v-if="own"><Worded :text="`This would do: ${own.said}.`" /></strong>
</template>

<style scoped>
strong {
  font-weight: 600;
  color: var(--ink);
}
</style>
