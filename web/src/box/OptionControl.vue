<script setup lang="ts">
import {
  formatWithUnit,
  hair,
  nanometres,
  type PlannedDepth,
  type StyleOption,
  type Unit,
} from '@rangoli/core';
import ToggleSwitch from 'primevue/toggleswitch';
import { computed } from 'vue';
import MeasureField from '../parts/MeasureField.vue';
import Pick from '../parts/Pick.vue';
import Worded from '../parts/Worded.vue';

/** One option of a kind of box: a switch, a count, one of a few words, or a figure in place of a word. */
const props = defineProps<{
  option: StyleOption;
  value: string | number | boolean;
  /** The field's own name among all fields. */
  field: string;
  unit: Unit;
  /** What a figure may be on this box, and what it comes to now; undefined where none can be asked for. */
  depth: PlannedDepth | undefined;
}>();
const emit = defineEmits<{ change: [value: string | number | boolean] }>();

const aFigure = 'a figure';

const values = computed(() => {
  const { option } = props;
  if (option.kind === 'choice') return option.values;
  if (option.kind === 'switch') return [];
  if (option.kind === 'depth') {
    const offersFigure = props.depth !== undefined || figure.value !== undefined;
    return offersFigure ? [...option.values, { value: aFigure, label: 'A figure' }] : option.values;
  }
  return Array.from({ length: option.most - option.least + 1 }, (_, i) => {
    const value = String(option.least + i);
    return { value, label: value };
  });
});

/** The figure that is asked for, where it is no word. */
const figure = computed(() =>
  props.option.kind === 'depth' && typeof props.value === 'number'
    ? nanometres(props.value)
    : undefined,
);
const chosen = computed(() => (figure.value === undefined ? String(props.value) : aFigure));
/** What may be typed: what this box allows, or anything where that is not known now. */
const limits = computed(() => {
  if (props.depth) return props.depth;
  return props.option.kind === 'depth' ? props.option : undefined;
});

/** What a figure comes to where no mark is on it. */
const came = computed(() => {
  if (figure.value === undefined || !props.depth) return undefined;
  const off = Math.abs(props.depth.came - figure.value);
  return off > hair ? formatWithUnit(props.depth.came, props.unit) : undefined;
});

/** A figure begins at what the word has come to. */
function take(value: string): void {
  if (value === aFigure) {
    if (props.depth && figure.value === undefined) emit('change', props.depth.came);
  } else emit('change', props.option.kind === 'count' ? Number(value) : value);
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
  <div v-else class="option" :class="{ figured: figure !== undefined }">
    <span>{{ option.label }}</span>
    <Pick :label="option.label" :value="chosen" :options="values" @change="take" />
    <MeasureField
      v-if="figure !== undefined && limits"
      :field="field"
      :label="`${option.label} as a figure`"
      hide-label
      :length="figure"
      :unit="unit"
      :least="limits.least"
      :most="limits.most"
      @change="(length) => emit('change', length)"
    />
    <em v-if="figure !== undefined && option.kind === 'depth'"
      ><Worded
        :text="came ? `${option.measures}; comes to ${came} on your marks` : option.measures"
    /></em>
  </div>
</template>

<style scoped>
.option {
  display: grid;
  align-content: start;
  gap: 2px;
  font-size: 12px;
  color: var(--ink-soft);
}

.option em {
  font-style: normal;
}

.figured {
  grid-template-columns: 1fr 1fr;
  grid-column: 1 / -1;
  column-gap: 8px;
}

.figured > :is(span, em) {
  grid-column: 1 / -1;
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
