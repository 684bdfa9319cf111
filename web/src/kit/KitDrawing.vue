<script setup lang="ts">
/** A tool as it is drawn among the maker's tools: `box` in millimetres, `grain` the length of one pixel. */
defineProps<{
  box: {
    readonly x: number;
    readonly y: number;
    readonly width: number;
    readonly height: number;
  };
  grain: number;
}>();
</script>

<template>
  <svg
    :viewBox="`${box.x} ${box.y} ${box.width} ${box.height}`"
    :width="box.width / grain"
    :height="box.height / grain"
    :style="{ '--grain': grain }"
    aria-hidden="true"
  >
    <rect class="bed" v-bind="box" />
    <slot />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  max-width: 100%;
  height: auto;
  border-radius: var(--radius);
}

.bed {
  fill: #e9f0eb;
}

svg :deep(.tick) {
  stroke: var(--line);
  stroke-width: calc(1px * var(--grain));
}

svg :deep(text) {
  font-family: var(--figures);
  font-weight: 700;
  text-anchor: middle;
  fill: var(--line);
}
</style>
