<script setup lang="ts">
import { inchFraction, millimetres, type ScoringBoard, type Unit } from '@rangoli/core';
import InputNumber from 'primevue/inputnumber';
import ToggleSwitch from 'primevue/toggleswitch';
import MeasureField from '../parts/MeasureField.vue';
import Pick from '../parts/Pick.vue';
import ToolName from './ToolName.vue';

/** A scoring board's numbers, as they are read off the maker's own. */
const props = defineProps<{ board: ScoringBoard }>();
const emit = defineEmits<{ change: [board: ScoringBoard] }>();

const units: readonly { value: Unit; label: string }[] = [
  { value: 'inch', label: 'inches' },
  { value: 'mm', label: 'millimetres' },
];
const sides = [
  { value: 'left', label: 'left' },
  { value: 'right', label: 'right' },
] as const;

function set(part: Partial<ScoringBoard>): void {
  emit('change', { ...props.board, ...part });
}

/** A shim that most makers cut themselves, from two layers of thick card. */
const usualShim = millimetres(1);

function setShim(has: boolean): void {
  emit('change', { ...props.board, shim: has ? usualShim : undefined });
}
</script>

<template>
  <div class="form">
    <ToolName :name="board.name" @change="(name) => set({ name })" />
    <div>
      <span>Ruler in</span>
      <Pick
        label="Ruler in"
        :value="board.unit"
        :options="units"
        @change="(unit) => set({ unit })"
      />
    </div>
    <MeasureField
      :field="`kit.${board.id}.pitch`"
      label="A groove every"
      :length="board.pitch"
      :unit="board.unit"
      :least="millimetres(0.25)"
      :most="millimetres(25.4)"
      :step="board.unit === 'inch' ? inchFraction(1, 16) : millimetres(0.5)"
      @change="(pitch) => set({ pitch })"
    />
    <MeasureField
      :field="`kit.${board.id}.reach`"
      label="Grooves reach to"
      :length="board.reach"
      :unit="board.unit"
      :least="millimetres(100)"
      :most="millimetres(1500)"
      @change="(reach) => set({ reach })"
    />
    <MeasureField
      :field="`kit.${board.id}.grooveLength`"
      label="Each groove is"
      :length="board.grooveLength"
      :unit="board.unit"
      :least="millimetres(100)"
      :most="millimetres(1500)"
      @change="(grooveLength) => set({ grooveLength })"
    />
    <div>
      <span>Fence on the</span>
      <Pick
        label="Fence on the"
        :value="board.fence"
        :options="sides"
        @change="(fence) => set({ fence })"
      />
    </div>
    <label>
      <span>Markers</span>
      <InputNumber
        :model-value="board.markers"
        :min="0"
        :max="20"
        show-buttons
        size="small"
        :input-style="{ width: '5.5rem' }"
        aria-label="Markers"
        @update:model-value="(markers) => markers !== null && set({ markers })"
      />
    </label>
    <div>
      <span>Shim at the fence</span>
      <ToggleSwitch
        :model-value="board.shim !== undefined"
        aria-label="Shim at the fence"
        @update:model-value="setShim"
      />
    </div>
    <MeasureField
      v-if="board.shim !== undefined"
      :field="`kit.${board.id}.shim`"
      label="Shim’s thickness"
      :length="board.shim"
      :unit="board.unit"
      :least="millimetres(0.1)"
      :most="millimetres(25)"
      @change="(shim) => set({ shim })"
    />
  </div>
</template>
