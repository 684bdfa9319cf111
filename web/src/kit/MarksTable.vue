<script setup lang="ts">
import {
  explainLengthFault,
  faultsInMarks,
  formatLength,
  parseLength,
  type CornerBoard,
  type NamedMark,
} from '@rangoli/core';
import { Plus, Trash2 } from '@lucide/vue';
import InputText from 'primevue/inputtext';
import { computed, ref, watch } from 'vue';
import QuietButton from '../parts/QuietButton.vue';

/**
 * The marks that a maker copies from their own board, by name. What is mistyped stays as it was typed, with
 * what is wrong beside it, and the last table that was right goes on standing.
 */
const props = defineProps<{ board: CornerBoard }>();
const emit = defineEmits<{ change: [marks: readonly NamedMark[]] }>();

interface Row {
  name: string;
  text: string;
}

function rowsOf({ marks, unit }: CornerBoard): Row[] {
  return marks.map(({ name, at }) => ({ name, text: formatLength(at, unit) }));
}

const rows = ref(rowsOf(props.board));
const read = computed(() =>
  rows.value.map(({ name, text }) => ({
    name: name.trim(),
    at: parseLength(text, props.board.unit),
  })),
);
const marks = computed(() =>
  read.value.flatMap(({ name, at }): readonly NamedMark[] =>
    at.ok ? [{ name, at: at.length }] : [],
  ),
);

/** What is wrong in each row: what can't be read first, then what can't be in a table. */
const faults = computed((): readonly (string | undefined)[] => {
  const { largestSheet, unit } = props.board;
  const unreadable = read.value.map(({ name, at }) => {
    if (name === '') return 'Give the mark the name that stands on your board.';
    return at.ok ? undefined : explainLengthFault(at.fault, unit);
  });
  if (unreadable.some((fault) => fault !== undefined)) return unreadable;
  const found = faultsInMarks(marks.value, largestSheet, unit);
  return rows.value.map((_, i) => found.find(({ row }) => row === i)?.message);
});

/** The table as it was taken last, so that its coming back doesn't disturb what is being typed. */
let taken = JSON.stringify(props.board.marks);
watch(
  () => [props.board.marks, props.board.unit] as const,
  ([table]) => {
    if (JSON.stringify(table) === taken) return;
    taken = JSON.stringify(table);
    rows.value = rowsOf(props.board);
  },
);

function take(): void {
  if (rows.value.length === 0 || faults.value.some((fault) => fault !== undefined)) return;
  const next = JSON.stringify(marks.value);
  if (next === taken) return;
  taken = next;
  emit('change', marks.value);
}

function add(): void {
  rows.value.push({ name: '', text: '' });
}

function remove(at: number): void {
  rows.value.splice(at, 1);
  take();
}
</script>

<template>
  <fieldset>
    <legend>Marks, as they stand on your board, and how far from the edge their lines fall</legend>
    <div v-for="(row, i) in rows" :key="i" class="row">
      <InputText
        v-model="row.name"
        size="small"
        maxlength="12"
        :aria-label="`Name of mark ${i + 1}`"
        @update:model-value="take"
      />
      <InputText
        v-model="row.text"
        size="small"
        :invalid="faults[i] !== undefined && row.text !== ''"
        :aria-label="`Mark ${row.name || i + 1} is at`"
        @update:model-value="take"
      />
      <QuietButton :aria-label="`Remove mark ${row.name || i + 1}`" @click="remove(i)">
        <Trash2 :size="15" aria-hidden="true" />
      </QuietButton>
      <em v-if="faults[i] !== undefined && row.text !== ''" role="alert">{{ faults[i] }}</em>
    </div>
    <QuietButton class="add" @click="add">
      <Plus :size="15" aria-hidden="true" />Add a mark
    </QuietButton>
  </fieldset>
</template>

<style scoped>
fieldset {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: 6px 16px;
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  padding: 0 0 4px;
  font-size: 12px;
  color: var(--ink-soft);
}

.row {
  display: grid;
  grid-template-columns: 64px 1fr 30px;
  gap: 4px;
  align-content: start;
}

.row :deep(input) {
  min-width: 0;
}

em {
  grid-column: 1 / -1;
  font-size: 13px;
  font-style: normal;
  color: var(--vermilion);
}

.add {
  justify-self: start;
}
</style>
