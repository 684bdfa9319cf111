<script setup lang="ts">
import { RouterLink, type RouteLocationRaw } from 'vue-router';

/** Links to views in a row, the one that is open marked; more may follow in it. */
defineProps<{
  label: string;
  links: readonly {
    readonly place: string;
    readonly to: RouteLocationRaw;
    readonly said: string;
  }[];
  /** The view that is open. */
  place: string;
}>();
</script>

<template>
  <nav :aria-label="label">
    <RouterLink
      v-for="each in links"
      :key="each.place"
      :to="each.to"
      :class="{ here: place === each.place }"
      >{{ each.said }}</RouterLink
    >
    <slot />
  </nav>
</template>

<style scoped>
nav {
  display: flex;
  flex: none;
  align-items: center;
  gap: 4px;
  font-weight: 600;
}

nav :deep(a) {
  padding: 5px 9px;
  border-radius: var(--radius);
  color: var(--ink-soft);
  text-decoration: none;
  white-space: nowrap;
}

nav :deep(.here) {
  color: var(--ink);
  background: var(--leaf-pale);
}

@media (max-width: 679px) {
  nav :deep(a) {
    padding: 5px 8px;
  }
}
</style>
