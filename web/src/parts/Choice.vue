<script setup lang="ts" generic="Value extends string">
import SelectButton from 'primevue/selectbutton';

/** One of a few, all of them in sight. */
const props = defineProps<{
  label: string;
  value: Value;
  options: readonly { readonly value: Value; readonly label: string }[];
}>();
const emit = defineEmits<{ change: [value: Value] }>();

function choose(value: unknown): void {
  const chosen = props.options.find((option) => option.value === value);
  if (chosen && chosen.value !== props.value) emit('change', chosen.value);
}
</script>

<template>
  <SelectButton
    :model-value="value"
    :options="[...options]"
    option-label="label"
    option-value="value"
    :allow-empty="false"
    size="small"
    fluid
    :aria-label="label"
    @update:model-value="choose"
  />
</template>
