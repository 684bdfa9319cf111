<script setup lang="ts">
import type { AdditionChoice } from '@rangoli/core';
import CrossButton from '../parts/CrossButton.vue';
import { useDressing } from './dressing.ts';

/** One thing that the box wears: its name, what decides most of it beside that, and all else below. */
defineProps<{
  worn: AdditionChoice;
  name: string;
  /** What its cross does: `Take the band off`. */
  removal: string;
  /** Why it is not on the box, where that is so. */
  missing?: string | undefined;
}>();
defineSlots<{ beside?: () => unknown; default?: () => unknown }>();

const dressing = useDressing();
</script>

<template>
  <li class="worn-entry">
    <div class="head">
      <strong>{{ name }}</strong>
      <slot name="beside" />
      <CrossButton :label="removal" @click="dressing.takeOff(worn)" />
    </div>
    <p v-if="missing" class="missing">{{ missing }}</p>
    <slot />
  </li>
</template>

<style scoped>
.worn-entry {
  display: grid;
  gap: 3px;
  padding: 5px 0 3px 8px;
  border-left: 3px solid var(--line);
  font-size: 13px;
}

.head {
  display: flex;
  align-items: center;
  gap: 6px;
}

.head > :deep(.p-select) {
  flex: 1;
  min-width: 0;
}

.head > :last-child {
  flex: none;
  margin-left: auto;
}

.missing {
  margin: 0;
  color: var(--vermilion);
}

.worn-entry > :slotted(.pair) {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 6px;
}
</style>
