<script setup lang="ts">
import { longestName } from '@rangoli/core';
import { computed } from 'vue';
import { useDrafts } from '../stores/drafts.ts';

/** The box's name, edited where it stands. */
const props = defineProps<{ name: string; project: string }>();
const emit = defineEmits<{ change: [name: string] }>();

const drafts = useDrafts();
const field = `${props.project} name`;
const draft = drafts.of(field);
const shown = computed(() => draft.value?.text ?? props.name);

function read(event: Event): void {
  if (!(event.target instanceof HTMLInputElement)) return;
  const text = event.target.value;
  if (text.trim() === '') drafts.keep(field, { text, message: 'Give the box a name.' });
  else {
    drafts.forget(field);
    emit('change', text.trimStart());
  }
}
</script>

<template>
  <span class="name">
    <input
      :value="shown"
      :maxlength="longestName"
      :size="Math.max(8, Math.min(34, shown.length))"
      aria-label="Name of the box"
      :aria-invalid="draft !== undefined"
      :aria-describedby="draft ? 'name-fault' : undefined"
      @input="read"
    />
    <span v-if="draft" id="name-fault" class="fault" role="alert">{{ draft.message }}</span>
  </span>
</template>

<style scoped>
.name {
  position: relative;
  flex: 0 1 auto;
  min-width: 72px;
}

input {
  max-width: 100%;
  padding: 4px 8px;
  font: 700 16px var(--figures);
  color: var(--ink);
  border: 1px solid transparent;
  border-radius: 6px;
  background: none;
  text-overflow: ellipsis;
}

input:hover {
  border-color: var(--rule);
}

input[aria-invalid='true'] {
  border-color: var(--vermilion);
}

.fault {
  position: absolute;
  z-index: 5;
  left: 0;
  top: calc(100% + 3px);
  padding: 4px 8px;
  font-size: 12px;
  color: var(--vermilion);
  background: var(--vermilion-pale);
  border: 1px solid var(--vermilion);
  border-radius: 6px;
  white-space: nowrap;
}
</style>
