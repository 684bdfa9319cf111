<script setup lang="ts">
import { millimetres, type KindedTool, type Length, type Unit } from '@rangoli/core';
import ToggleSwitch from 'primevue/toggleswitch';
import { computed } from 'vue';
import CountField from '../parts/CountField.vue';
import ItemName from '../parts/ItemName.vue';
import MeasureField from '../parts/MeasureField.vue';
import PickField from '../parts/PickField.vue';
import MarksTable from './MarksTable.vue';
import { toolLengths } from './tool-lengths.ts';

/** A tool's numbers, as they are read off the maker's own. */
const props = defineProps<{ kept: KindedTool }>();
const emit = defineEmits<{ change: [part: object] }>();

const units: readonly { value: Unit; label: string }[] = [
  { value: 'inch', label: 'inches' },
  { value: 'mm', label: 'millimetres' },
];
const sides = [
  { value: 'left', label: 'left' },
  { value: 'right', label: 'right' },
] as const;
const punchShapes = [
  { value: 'hole', label: 'round hole' },
  { value: 'corner', label: 'corner rounder' },
  { value: 'edge', label: 'edge border' },
  { value: 'end', label: 'shaped end' },
] as const;

/** A shim that most makers cut themselves, from two layers of thick card. */
const usualShim = millimetres(1);
const usualTape = millimetres(6);

const lengths = computed(() => toolLengths(props.kept));
const unit = computed(() => props.kept.tool.unit);

function set(key: string, length: Length): void {
  emit('change', { [key]: length });
}
</script>

<template>
  <div class="form">
    <ItemName :name="kept.tool.name" what="tool" @change="(name) => emit('change', { name })" />
    <PickField
      label="Ruler in"
      :value="unit"
      :options="units"
      @change="(value) => emit('change', { unit: value })"
    />
    <PickField
      v-if="kept.kind === 'punches'"
      label="It makes a"
      :value="kept.tool.shape"
      :options="punchShapes"
      @change="(shape) => emit('change', { shape })"
    />
    <MeasureField
      v-for="each in lengths"
      :key="each.key"
      :field="`kit.${kept.tool.id}.${each.key}`"
      :label="each.label"
      :length="each.length"
      :unit="unit"
      :least="each.least"
      :most="each.most"
      v-bind="each.step === undefined ? {} : { step: each.step }"
      @change="(length) => set(each.key, length)"
    />
    <template v-if="kept.kind === 'boards'">
      <PickField
        label="Fence on the"
        :value="kept.tool.fence"
        :options="sides"
        @change="(fence) => emit('change', { fence })"
      />
      <label>
        <span>Markers</span>
        <CountField
          label="Markers"
          :count="kept.tool.markers"
          :least="0"
          :most="20"
          size="small"
          @change="(markers) => emit('change', { markers })"
        />
      </label>
      <div>
        <span>Shim at the fence</span>
        <ToggleSwitch
          :model-value="kept.tool.shim !== undefined"
          aria-label="Shim at the fence"
          @update:model-value="(has) => emit('change', { shim: has ? usualShim : undefined })"
        />
      </div>
      <MeasureField
        v-if="kept.tool.shim !== undefined"
        :field="`kit.${kept.tool.id}.shim`"
        label="Shim’s thickness"
        :length="kept.tool.shim"
        :unit="unit"
        :least="millimetres(0.1)"
        :most="millimetres(25)"
        @change="(shim) => set('shim', shim)"
      />
    </template>
    <div v-else-if="kept.kind === 'trimmers'">
      <span>Scoring tip</span>
      <ToggleSwitch
        :model-value="kept.tool.scoringTip"
        aria-label="Scoring tip"
        @update:model-value="(scoringTip) => emit('change', { scoringTip })"
      />
    </div>
    <div v-else-if="kept.kind === 'adhesives'">
      <span>It is tape</span>
      <ToggleSwitch
        :model-value="kept.tool.width !== undefined"
        aria-label="It is tape"
        @update:model-value="(tape) => emit('change', { width: tape ? usualTape : undefined })"
      />
    </div>
    <MarksTable
      v-else-if="kept.kind === 'cornerBoards'"
      :board="kept.tool"
      @change="(table) => emit('change', { marks: table })"
    />
  </div>
</template>
