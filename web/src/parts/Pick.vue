<script setup lang="ts" generic="Value extends string">
import Select from 'primevue/select';
import Worded from './Worded.vue';

/** One of several, in a list that opens; an option may show a colour. */
interface Option {
  readonly value: Value;
  readonly label: string;
  readonly colour?: string;
}

const props = defineProps<{
  label: string;
  /** Undefined where none is chosen. */
  value: Value | undefined;
  options: readonly Option[];
  /** What stands where none is chosen. */
  placeholder?: string;
}>();
const emit = defineEmits<{ change: [value: Value] }>();

function optionOf(value: unknown): Option | undefined {
  return props.options.find((option) => option.value === value);
}

function choose(value: unknown): void {
  const chosen = optionOf(value);
  if (chosen && chosen.value !== props.value) emit('change', chosen.value);
}
</script>

<template>
  <Select
    :model-value="value"
    :options="[...options]"
    option-label="label"
    option-value="value"
    size="small"
    fluid
    :aria-label="label"
    @update:model-value="choose"
  >
    <template #value="slot">
      <span class="option"
        ><i
          v-if="optionOf(slot.value)?.colour"
          :style="{ background: optionOf(slot.value)?.colour }" /><Worded
          :text="optionOf(slot.value)?.label ?? placeholder ?? ''"
      /></span>
    </template>
    <template #option="slot">
      <span class="option"
        ><i v-if="slot.option.colour" :style="{ background: slot.option.colour }" /><Worded
          :text="slot.option.label"
      /></span>
    </template>
  </Select>
</template>

<style scoped>
.option {
  display: flex;
  align-items: center;
  gap: var(--option-gap, 7px);
  min-width: 0;
}

/* A name that is longer than its field ends in dots. */
.option > :last-child {
  overflow: hidden;
  text-overflow: ellipsis;
}

i {
  flex: none;
  width: 13px;
  height: 13px;
  border: 1px solid rgb(20 48 45 / 25%);
  border-radius: 3px;
}
</style>
