<script setup lang="ts">
import { sizeSumInWords, whyCutToThat, type Piece, type PlanRequest } from '@rangoli/core';
import { computed } from 'vue';
import Worded from '../parts/Worded.vue';
import { planner } from '../planner/planner.ts';
import { useWorkedOut } from '../planner/use-worked-out.ts';

/** Why a piece is as large as it is: the sum that its cut size is, and what each part of it is for. */
const props = defineProps<{ piece: Piece; request: PlanRequest }>();

const { workedOut } = useWorkedOut(
  () => props.request,
  (request) => planner((tasks) => tasks.sizeSums(request)),
);
const sentences = computed((): readonly string[] => {
  if (!workedOut.value) return [];
  const { request, result } = workedOut.value;
  const sum = result?.find(({ piece }) => piece === props.piece.id);
  return sum ? sizeSumInWords(sum, request) : [whyCutToThat(props.piece)];
});
</script>

<template>
  <ul class="why-size" aria-live="polite">
    <li v-for="sentence in sentences" :key="sentence"><Worded :text="sentence" /></li>
  </ul>
</template>

<style scoped>
.why-size {
  display: grid;
  gap: 3px;
  margin: 0 0 8px;
  padding: 7px 10px;
  min-height: 34px;
  font-size: 13.5px;
  line-height: 1.35;
  background: var(--ground);
  border-left: 3px solid var(--rule);
}
</style>
