<script setup lang="ts">
import {
  millimetres,
  paperOf,
  taughtGaps,
  type KeptPaper,
  type PaperLesson,
  type TaughtGap,
  type Tolerance,
} from '@rangoli/core';
import { RotateCcw } from '@lucide/vue';
import { computed } from 'vue';
import MeasureField from '../parts/MeasureField.vue';
import QuietButton from '../parts/QuietButton.vue';
import ThicknessField from '../parts/ThicknessField.vue';

/** What trial boxes have taught about a paper: shown beside what is usual, to be changed or forgotten. */
const props = defineProps<{ paper: KeptPaper; lesson: PaperLesson }>();
const emit = defineEmits<{ change: [lesson: PaperLesson] }>();

const names: Readonly<Record<TaughtGap, string>> = {
  lid: 'A lid over its base',
  drawer: 'A drawer in its sleeve',
  liner: 'A liner in its box',
};
const widest = millimetres(20);

const rows = computed(() =>
  taughtGaps.map((gap) => ({
    gap,
    name: names[gap],
    range: props.lesson.gaps[gap] ?? paperOf(props.paper).gaps[gap],
    isTaught: props.lesson.gaps[gap] !== undefined,
  })),
);

function setGap(gap: TaughtGap, range: Tolerance): void {
  emit('change', { ...props.lesson, gaps: { ...props.lesson.gaps, [gap]: range } });
}

function forgetGap(gap: TaughtGap): void {
  emit('change', { ...props.lesson, gaps: { ...props.lesson.gaps, [gap]: undefined } });
}

function forgetThickness(): void {
  const { id, gaps } = props.lesson;
  emit('change', { id, gaps });
}
</script>

<template>
  <fieldset>
    <legend>
      How much larger it is made than what it goes over, both sides together. A trial box changes
      these.
    </legend>
    <table>
      <thead>
        <tr>
          <td></td>
          <th scope="col">best</th>
          <th scope="col">at least</th>
          <th scope="col">at most</th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ gap, name, range, isTaught } in rows" :key="gap">
          <th scope="row">{{ name }}</th>
          <td>
            <MeasureField
              :field="`paper ${paper.id} ${gap} target`"
              :label="`${name}: best`"
              hide-label
              :length="range.target"
              unit="mm"
              :least="range.least"
              :most="range.most"
              :step="millimetres(0.05)"
              @change="(target) => setGap(gap, { ...range, target })"
            />
          </td>
          <td>
            <MeasureField
              :field="`paper ${paper.id} ${gap} least`"
              :label="`${name}: at least`"
              hide-label
              :length="range.least"
              unit="mm"
              :least="millimetres(0)"
              :most="range.target"
              :step="millimetres(0.05)"
              @change="(least) => setGap(gap, { ...range, least })"
            />
          </td>
          <td>
            <MeasureField
              :field="`paper ${paper.id} ${gap} most`"
              :label="`${name}: at most`"
              hide-label
              :length="range.most"
              unit="mm"
              :least="range.target"
              :most="widest"
              :step="millimetres(0.05)"
              @change="(most) => setGap(gap, { ...range, most })"
            />
          </td>
          <td>
            <QuietButton v-if="isTaught" @click="forgetGap(gap)">
              <RotateCcw :size="14" aria-hidden="true" />As usual<span class="visually-hidden"
                >: {{ name }}</span
              >
            </QuietButton>
            <span v-else class="quiet">as usual</span>
          </td>
        </tr>
        <tr v-if="lesson.thickness !== undefined">
          <th scope="row">Thickness it counts as</th>
          <td>
            <ThicknessField
              :field="`paper ${paper.id} taught thickness`"
              label="Thickness it counts as"
              hide-label
              :thickness="lesson.thickness"
              :finish="paper.finish"
              @change="(thickness) => emit('change', { ...lesson, thickness })"
            />
          </td>
          <td colspan="2"></td>
          <td>
            <QuietButton @click="forgetThickness">
              <RotateCcw :size="14" aria-hidden="true" />As measured
            </QuietButton>
          </td>
        </tr>
      </tbody>
    </table>
  </fieldset>
</template>

<style scoped>
fieldset {
  grid-column: 1 / -1;
  margin: 4px 0 0;
  padding: 0;
  border: 0;
}

legend {
  padding: 0;
  font-size: 12px;
  color: var(--ink-soft);
}

table {
  border-spacing: 8px 4px;
  margin-left: -8px;
  font-size: 14px;
}

th {
  font-weight: 400;
  text-align: left;
}

thead th {
  font-size: 12px;
  color: var(--ink-soft);
}

td :deep(.field) {
  width: 86px;
}

@media (max-width: 560px) {
  table {
    margin-left: 0;
    border-spacing: 0;
  }

  tr {
    display: grid;
    grid-template-columns: repeat(3, 1fr);
    gap: 2px 6px;
    align-items: center;
  }

  tbody tr {
    margin-bottom: 6px;
  }

  thead td {
    display: none;
  }

  tbody th,
  tbody td:last-child {
    grid-column: 1 / -1;
  }

  td :deep(.field) {
    width: auto;
  }
}
</style>
