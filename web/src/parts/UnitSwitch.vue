<script setup lang="ts">
import type { Unit } from '@rangoli/core';
import SelectButton from 'primevue/selectbutton';

/** Which ruler is read. */
defineProps<{ unit: Unit }>();
const emit = defineEmits<{ change: [unit: Unit] }>();

const units: readonly { readonly label: string; readonly value: Unit }[] = [
  { label: 'inch', value: 'inch' },
  { label: 'mm', value: 'mm' },
];

function choose(value: unknown): void {
  if (value === 'inch' || value === 'mm') emit('change', value);
}
</script>

<template>
  <SelectButton
    :model-value="unit"
    :options="[...units]"
    option-label="label"
    option-value="value"
    :allow-empty="false"
    size="small"
    aria-label="Ruler"
    @update:model-value="choose"
  />
</template>
