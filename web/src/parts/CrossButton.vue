<script setup lang="ts">
import { X } from '@lucide/vue';

/** A small cross that takes away what it stands beside, or closes it. */
defineProps<{ label: string }>();
</script>

<template>
  <button type="button" class="cross" :aria-label="label" :title="label"><X :size="16" /></button>
</template>

<style scoped>
.cross {
  display: grid;
  flex: none;
  place-items: center;
  width: 26px;
  height: 26px;
  padding: 0;
  border: 0;
  border-radius: var(--radius);
  color: var(--ink-soft);
  background: none;
  cursor: pointer;
}

.cross:hover {
  color: var(--vermilion);
}
</style>
