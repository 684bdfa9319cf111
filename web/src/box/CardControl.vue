<script setup lang="ts">
import {
  commonSheets,
  stockPapers,
  thicknessLimits,
  millimetres,
  type Paper,
  type PlanRequest,
} from '@rangoli/core';
import MeasureField from '../parts/MeasureField.vue';
import Pick from '../parts/Pick.vue';

/** The card of each piece: which, how thick, and the sheet that it comes in. */
const props = defineProps<{ papers: PlanRequest['papers']; project: string }>();
const emit = defineEmits<{ change: [papers: PlanRequest['papers'], what: string] }>();

const rows = [
  { piece: 'base', label: 'Base' },
  { piece: 'lid', label: 'Lid' },
] as const;
const choices = stockPapers.map(({ id, name, colour }) => ({ value: id, label: name, colour }));

function sheetsFor({ sheet }: Paper) {
  const own = commonSheets.some(({ name }) => name === sheet.name) ? [] : [sheet];
  return [...own, ...commonSheets].map(({ name }) => ({ value: name, label: name }));
}

function set(piece: 'base' | 'lid', part: Partial<Paper>, what: string): void {
  emit(
    'change',
    { ...props.papers, [piece]: { ...props.papers[piece], ...part } },
    `${piece} ${what}`,
  );
}

function setPaper(piece: 'base' | 'lid', id: string): void {
  const paper = stockPapers.find((each) => each.id === id);
  // The sheet is the maker's pack on the table: it stays.
  if (paper) set(piece, { ...paper, sheet: props.papers[piece].sheet }, 'paper');
}

function setSheet(piece: 'base' | 'lid', name: string): void {
  const sheet = commonSheets.find((each) => each.name === name);
  if (sheet) set(piece, { sheet }, 'sheet');
}
</script>

<template>
  <section aria-labelledby="card-heading">
    <h3 id="card-heading">Card</h3>
    <div v-for="row in rows" :key="row.piece" class="card-row">
      <span class="piece">{{ row.label }}</span>
      <Pick
        :label="`${row.label} card`"
        :value="
          choices.some(({ value }) => value === papers[row.piece].id) ? papers[row.piece].id : ''
        "
        :options="choices"
        @change="(id) => setPaper(row.piece, id)"
      />
      <MeasureField
        :field="`${project} papers.${row.piece}.thickness`"
        :label="`${row.label} card thickness`"
        hide-label
        :length="papers[row.piece].thickness"
        unit="mm"
        fault-from="right"
        :least="thicknessLimits.least"
        :most="thicknessLimits.most"
        :step="millimetres(0.01)"
        @change="(thickness) => set(row.piece, { thickness }, 'thickness')"
      />
      <Pick
        :label="`${row.label} sheet`"
        :value="papers[row.piece].sheet.name"
        :options="sheetsFor(papers[row.piece])"
        @change="(name) => setSheet(row.piece, name)"
      />
    </div>
  </section>
</template>

<style scoped>
h3 {
  font: 600 13px var(--text);
  color: var(--ink-soft);
  margin-bottom: 4px;
}

.card-row {
  display: grid;
  grid-template-columns: 34px 1fr 74px;
  gap: 4px 6px;
  align-items: center;
  margin-bottom: 8px;
}

.card-row > :last-child {
  grid-column: 2 / -1;
}

.piece {
  font-size: 12px;
  color: var(--ink-soft);
}
</style>
