<script setup lang="ts" generic="Value extends string">
import Pick from './Pick.vue';

/** One of several, in a list that opens, with its label over it. */
interface Option {
  readonly value: Value;
  readonly label: string;
  readonly colour?: string;
}

defineProps<{ label: string; value: Value; options: readonly Option[] }>();
const emit = defineEmits<{ change: [value: Value] }>();
</script>

<template>
  <div>
    <span>{{ label }}</span>
    <Pick
      :label="label"
      :value="value"
      :options="options"
      @change="(chosen) => emit('change', chosen)"
    />
  </div>
</template>

<style scoped>
div {
  min-width: 0;
}

span {
  display: block;
  margin-bottom: 2px;
  font-size: 12px;
  color: var(--ink-soft);
}
</style>
