<script setup lang="ts">
import { onMounted, useTemplateRef } from 'vue';
import { useEscape } from './use-escape.ts';
import { useFocusKept } from './use-focus-kept.ts';

/**
 * What was done just now, and the way back. What had the focus went with what was removed: it is on the way back, and
 * after that where the view begins.
 */
const emit = defineEmits<{ undo: []; close: [] }>();

const note = useTemplateRef<HTMLElement>('note');
const undo = useTemplateRef<HTMLElement>('undo');
onMounted(() => undo.value?.focus({ preventScroll: true }));
useFocusKept(note);
useEscape(
  () => true,
  () => emit('close'),
);
</script>

<template>
  <div ref="note" class="undo" role="status">
    <span><slot /></span>
    <button ref="undo" type="button" @click="emit('undo')">Undo</button>
    <button type="button" aria-label="Close" class="close" @click="emit('close')">×</button>
  </div>
</template>

<style scoped>
.undo {
  position: fixed;
  left: 50%;
  bottom: 22px;
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 10px 16px;
  transform: translateX(-50%);
  color: #ffffff;
  background: var(--mat-deep);
  border-radius: var(--radius);
}

.undo button {
  padding: 4px 8px;
  border: 0;
  color: var(--turmeric);
  font-weight: 700;
  background: none;
  cursor: pointer;
}

.undo .close {
  color: #d3e2dd;
}
</style>
