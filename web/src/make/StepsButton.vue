<script setup lang="ts">
import { ListChecks } from '@lucide/vue';

/** Which step it is; where there is no room for the list beside it, the way to the list. */
defineProps<{ number: number; of: number }>();
</script>

<template>
  <button type="button">
    <ListChecks :size="18" aria-hidden="true" />Step {{ number }} of {{ of }}
  </button>
</template>

<style scoped>
button {
  display: flex;
  align-items: center;
  gap: 7px;
  margin: 0 0 4px;
  padding: 0;
  border: 0;
  font: 14px var(--text);
  color: #d3e2dd;
  background: none;
  pointer-events: none;
}

button svg {
  display: none;
}

button:focus-visible {
  outline: 3px solid #ffffff;
  outline-offset: 2px;
}

@media (max-width: 920px) {
  button {
    min-height: 40px;
    padding: 0 14px 0 10px;
    border: 1.5px solid #7fa79e;
    border-radius: 20px;
    pointer-events: auto;
    cursor: pointer;
  }

  button svg {
    display: block;
  }
}
</style>
