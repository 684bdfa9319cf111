<script setup lang="ts">
import { Minus, Plus } from '@lucide/vue';
import InputNumber from 'primevue/inputnumber';

/** A small count, typed or stepped by one: its buttons lie beside it, each as large as a finger needs. */
const props = defineProps<{
  label: string;
  count: number;
  least: number;
  most: number;
  size?: 'small';
}>();
const emit = defineEmits<{ change: [count: number] }>();

function change(count: number | null): void {
  if (count !== null && count !== props.count) emit('change', count);
}
</script>

<template>
  <InputNumber
    :model-value="count"
    :min="least"
    :max="most"
    show-buttons
    button-layout="horizontal"
    :input-style="{ width: '3.2rem', textAlign: 'center' }"
    :aria-label="label"
    v-bind="size ? { size } : {}"
    @update:model-value="change"
  >
    <template #decrementicon><Minus :size="15" aria-hidden="true" /></template>
    <template #incrementicon><Plus :size="15" aria-hidden="true" /></template>
  </InputNumber>
</template>
