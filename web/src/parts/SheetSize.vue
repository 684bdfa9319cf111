<script setup lang="ts">
import { sheetLimits, sheetOf, type Length, type Sheet, type Unit } from '@rangoli/core';
import MeasureField from './MeasureField.vue';

/** A sheet’s two sides, typed; any size that a maker can have. */
const props = defineProps<{
  field: string;
  /** What the sheet is for, before “sheet”. */
  label: string;
  sheet: Sheet;
  unit: Unit;
}>();
const emit = defineEmits<{ change: [sheet: Sheet] }>();

function set(side: Partial<Record<'width' | 'height', Length>>): void {
  const { width, height } = { ...props.sheet, ...side };
  emit('change', sheetOf(width, height, props.unit));
}
</script>

<template>
  <div class="size">
    <MeasureField
      :field="`${field}.width`"
      :label="`${label} width`"
      hide-label
      :length="sheet.width"
      :unit="unit"
      :least="sheetLimits.least"
      :most="sheetLimits.most"
      @change="(width) => set({ width })"
    />
    <span aria-hidden="true">×</span>
    <MeasureField
      :field="`${field}.height`"
      :label="`${label} height`"
      hide-label
      :length="sheet.height"
      :unit="unit"
      fault-from="right"
      :least="sheetLimits.least"
      :most="sheetLimits.most"
      @change="(height) => set({ height })"
    />
  </div>
</template>

<style scoped>
.size {
  display: grid;
  grid-template-columns: 1fr auto 1fr;
  align-items: center;
  gap: 6px;
}
</style>
