<script setup lang="ts">
import { inchFraction, millimetres, type Trimmer, type Unit } from '@rangoli/core';
import ToggleSwitch from 'primevue/toggleswitch';
import MeasureField from '../parts/MeasureField.vue';
import Pick from '../parts/Pick.vue';
import ToolName from './ToolName.vue';

/** A trimmer's numbers, as they are read off the maker's own. */
const props = defineProps<{ trimmer: Trimmer }>();
const emit = defineEmits<{ change: [trimmer: Trimmer] }>();

const units: readonly { value: Unit; label: string }[] = [
  { value: 'inch', label: 'inches' },
  { value: 'mm', label: 'millimetres' },
];

function set(part: Partial<Trimmer>): void {
  emit('change', { ...props.trimmer, ...part });
}

const lengths = [
  ['cutLength', 'Longest cut'],
  ['tableWidth', 'Table, arm in'],
  ['widthWithArm', 'Table, arm out'],
] as const;
</script>

<template>
  <div class="form">
    <ToolName :name="trimmer.name" @change="(name) => set({ name })" />
    <div>
      <span>Ruler in</span>
      <Pick
        label="Ruler in"
        :value="trimmer.unit"
        :options="units"
        @change="(unit) => set({ unit })"
      />
    </div>
    <MeasureField
      :field="`kit.${trimmer.id}.step`"
      label="A mark every"
      :length="trimmer.step"
      :unit="trimmer.unit"
      :least="millimetres(0.25)"
      :most="millimetres(25.4)"
      :step="trimmer.unit === 'inch' ? inchFraction(1, 32) : millimetres(0.5)"
      @change="(step) => set({ step })"
    />
    <MeasureField
      v-for="[key, label] in lengths"
      :key="key"
      :field="`kit.${trimmer.id}.${key}`"
      :label="label"
      :length="trimmer[key]"
      :unit="trimmer.unit"
      :least="millimetres(50)"
      :most="millimetres(1500)"
      @change="(length) => set({ [key]: length })"
    />
    <MeasureField
      :field="`kit.${trimmer.id}.leastStrip`"
      label="Narrowest strip"
      :length="trimmer.leastStrip"
      :unit="trimmer.unit"
      :least="millimetres(2)"
      :most="millimetres(80)"
      @change="(leastStrip) => set({ leastStrip })"
    />
    <div>
      <span>Scoring tip</span>
      <ToggleSwitch
        :model-value="trimmer.scoringTip"
        aria-label="Scoring tip"
        @update:model-value="(scoringTip) => set({ scoringTip })"
      />
    </div>
  </div>
</template>
