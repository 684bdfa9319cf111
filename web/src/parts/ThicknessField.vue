<script setup lang="ts">
import {
  millimetres,
  parseThickness,
  thicknessLimits,
  type Finish,
  type Length,
  type Weight,
} from '@rangoli/core';
import MeasureField from './MeasureField.vue';
import type { TypedLength } from './typed-length.ts';

/** How thick a paper is, in millimetres; a weight is understood too, as “300 gsm”. */
const props = defineProps<{
  field: string;
  label: string;
  thickness: Length;
  finish: Finish;
  hideLabel?: boolean;
}>();
const emit = defineEmits<{ change: [thickness: Length, weight: Weight | undefined] }>();

function read(text: string) {
  return parseThickness(text, { unit: 'mm', finish: props.finish });
}

function parse(text: string): TypedLength {
  const told = read(text);
  return told.ok ? { ok: true, length: told.thickness } : told;
}

function take(thickness: Length, typed: string | undefined): void {
  const told = typed === undefined ? undefined : read(typed);
  emit('change', thickness, told?.ok === true ? told.weight : undefined);
}
</script>

<template>
  <MeasureField
    :field="field"
    :label="label"
    :hide-label="hideLabel"
    :length="thickness"
    unit="mm"
    fault-from="right"
    :least="thicknessLimits.least"
    :most="thicknessLimits.most"
    :step="millimetres(0.01)"
    :parse="parse"
    @change="take"
  />
</template>
