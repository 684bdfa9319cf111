<script setup lang="ts">
import {
  formatGap,
  formatWithUnit,
  type LiddedOptions,
  type Plan,
  type PlanRequest,
} from '@rangoli/core';
import { computed } from 'vue';
import Choice from '../parts/Choice.vue';
import MeasureText from '../parts/MeasureText.vue';
import Worded from '../parts/Worded.vue';

/** How deep the lid is, where its tabs go, how it slides, and the choice when no lid fits well. */
const props = defineProps<{ request: PlanRequest; plan: Plan | undefined }>();
const emit = defineEmits<{
  options: [options: LiddedOptions];
  lean: [lean: PlanRequest['lean']];
}>();

const options = computed(() => props.request.style.options);
const depth = computed(() => props.plan?.pieces.find(({ id }) => id === 'lid')?.grid.rows[0]);
const depths = [
  { value: 'shallow', label: 'Shallow' },
  { value: 'half', label: 'Half' },
  { value: 'full', label: 'Full' },
] as const;
const tabs = [
  { value: 'sides', label: 'Sides' },
  { value: 'front and back', label: 'Front, back' },
] as const;
const choices = computed(() =>
  (props.plan?.lid.choices ?? []).map(({ lean, state, gap }) => ({
    value: lean,
    label: `${state === 'tight' ? (gap > 0 ? 'Tight' : 'Jams') : 'Loose'}, ${formatGap(gap)}`,
  })),
);
const advice = computed(() => {
  const lid = props.plan?.lid;
  if (!lid || lid.state === 'holds') return '';
  const marks = formatWithUnit(props.request.kit.trimmer.step, props.request.kit.trimmer.unit);
  const finer =
    lid.finerStep === undefined
      ? 'Another card for the lid may do.'
      : `A trimmer in ${formatWithUnit(lid.finerStep, props.request.kit.trimmer.unit)} steps has one that holds.`;
  return `No lid in ${marks} steps slides well over this card. ${finer}`;
});
</script>

<template>
  <section aria-labelledby="lid-heading" class="lid">
    <h3 id="lid-heading" class="visually-hidden">Lid</h3>
    <p class="line">
      <span>Lid</span>
      <strong v-if="depth"
        ><MeasureText :length="depth" :unit="request.kit.board.unit" with-unit /> deep</strong
      >
    </p>
    <Choice
      label="Lid depth"
      :value="options.lidDepth"
      :options="depths"
      @change="(lidDepth) => emit('options', { ...options, lidDepth })"
    />
    <div class="line tabs-line">
      <span>Tabs on</span>
      <Choice
        label="Tabs on"
        :value="options.tabsOn"
        :options="tabs"
        @change="(tabsOn) => emit('options', { ...options, tabsOn })"
      />
    </div>
    <template v-if="choices.length > 1">
      <Choice
        label="Which lid"
        :value="request.lean"
        :options="choices"
        @change="(lean) => emit('lean', lean)"
      />
    </template>
    <p v-if="advice" class="advice"><Worded :text="advice" /></p>
  </section>
</template>

<style scoped>
.lid {
  display: grid;
  gap: 6px;
}

.line {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  font-size: 13px;
  font-weight: 600;
  color: var(--ink-soft);
}

.line strong {
  color: var(--ink);
}

.tabs-line :deep(.p-selectbutton) {
  width: 178px;
}

.advice {
  font-size: 12px;
  line-height: 1.35;
  color: var(--vermilion);
}
</style>
