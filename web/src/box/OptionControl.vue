<script setup lang="ts">
import type { StyleOption } from '@rangoli/core';
import ToggleSwitch from 'primevue/toggleswitch';
import { computed } from 'vue';
import Pick from '../parts/Pick.vue';

/** One option of a kind of box: a switch, a count, or one of a few words. */
const props = defineProps<{ option: StyleOption; value: string | number | boolean }>();
const emit = defineEmits<{ change: [value: string | number | boolean] }>();

const values = computed(() => {
  const { option } = props;
  if (option.kind === 'choice') return option.values;
  if (option.kind === 'switch') return [];
  return Array.from({ length: option.most - option.least + 1 }, (_, i) => {
    const value = String(option.least + i);
    return { value, label: value };
  });
});

function take(value: string): void {
  emit('change', props.option.kind === 'count' ? Number(value) : value);
}
</script>

<template>
  <label v-if="option.kind === 'switch'" class="switch">
    <ToggleSwitch
      :model-value="value === true"
      :aria-label="option.label"
      @update:model-value="(on: boolean) => emit('change', on)"
    />
    <span>{{ option.label }}</span>
  </label>
  <div v-else class="option">
    <span>{{ option.label }}</span>
    <Pick :label="option.label" :value="String(value)" :options="values" @change="take" />
  </div>
</template>

<style scoped>
.option {
  display: grid;
  gap: 2px;
  font-size: 12px;
  color: var(--ink-soft);
}

.switch {
  display: flex;
  gap: 8px;
  align-items: center;
  font-size: 12.5px;
  color: var(--ink-soft);
  cursor: pointer;
}
</style>
