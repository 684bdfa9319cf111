<script setup lang="ts">
import { Redo2, Undo2 } from '@lucide/vue';
import { useEventListener } from '@vueuse/core';
import Button from 'primevue/button';
import { computed } from 'vue';
import { useProject } from '../stores/project.ts';

/** Takes the last change of the open box back, and makes it again; by the keys too. */
const project = useProject();

const turns = computed(() => [
  { label: 'Undo', keys: 'Ctrl Z', icon: Undo2, can: project.canUndo, turn: project.undo },
  { label: 'Redo', keys: 'Ctrl Shift Z', icon: Redo2, can: project.canRedo, turn: project.redo },
]);

useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  const inText = event.target instanceof HTMLInputElement && event.target.type === 'text';
  if (inText || !(event.ctrlKey || event.metaKey)) return;
  const key = event.key.toLowerCase();
  if (key === 'z' && !event.shiftKey) project.undo();
  else if (key === 'y' || key === 'z') project.redo();
  else return;
  event.preventDefault();
});
</script>

<template>
  <Button
    v-for="{ label, keys, icon, can, turn } in turns"
    :key="label"
    text
    size="small"
    severity="secondary"
    :aria-label="label"
    :title="`${label} (${keys})`"
    :disabled="!can"
    @click="turn()"
    ><component :is="icon" :size="18"
  /></Button>
</template>
