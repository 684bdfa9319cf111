<script setup lang="ts">
import { ListChecks } from '@lucide/vue';
import { useMediaQuery } from '@vueuse/core';

/** Which step it is; where there is no room for the list beside it, the way to the list. */
defineProps<{ number: number; of: number }>();
const emit = defineEmits<{ list: [] }>();

const isListAway = useMediaQuery('(max-width: 920px)');
</script>

<template>
  <button v-if="isListAway" type="button" @click="emit('list')">
    <ListChecks :size="18" aria-hidden="true" />Step {{ number }} of {{ of }}
  </button>
  <p v-else>Step {{ number }} of {{ of }}</p>
</template>

<style scoped>
p,
button {
  /* Where the system chooses the colours, it lays a ground behind the large figure below, which would cover this. */
  position: relative;
  z-index: 1;
  margin: 0 0 4px;
  font: 14px var(--text);
  color: #d3e2dd;
}

button {
  display: flex;
  align-items: center;
  gap: 7px;
  min-height: 40px;
  padding: 0 14px 0 10px;
  border: 1.5px solid #7fa79e;
  border-radius: 20px;
  background: none;
  cursor: pointer;
}

button:focus-visible {
  outline: 3px solid #ffffff;
  outline-offset: 2px;
}
</style>
