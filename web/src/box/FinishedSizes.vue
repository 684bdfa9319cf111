<script setup lang="ts">
import { papersOf, outsideOf, sizeInWords, type Plan, type PlanRequest } from '@rangoli/core';
import { refDebounced } from '@vueuse/core';
import { computed } from 'vue';
import Worded from '../parts/Worded.vue';

/** What the finished box measures outside and inside; worked out once the maker’s hand rests. */
const props = defineProps<{ plan: Plan; request: PlanRequest }>();

const settled = refDebounced(
  computed(() => ({ plan: props.plan, request: props.request })),
  200,
);

const words = computed(() => {
  const { plan, request } = settled.value;
  const outside = sizeInWords(outsideOf(plan, papersOf(request)), request.unit);
  return `Outside ${outside} · inside ${sizeInWords(plan.clearInside, request.unit)}`;
});
</script>

<template>
  <p class="sizes"><Worded :text="words" /></p>
</template>

<style scoped>
.sizes {
  position: absolute;
  left: 50%;
  top: 0;
  width: max-content;
  max-width: 100%;
  margin: 0;
  padding: 2px 12px;
  transform: translateX(-50%);
  background: var(--mat);
  border-radius: var(--radius);
  text-align: center;
  font-size: 13px;
  color: #d3e2dd;
  pointer-events: none;
}
</style>
