<script setup lang="ts">
import {
  commonSheets,
  millimetres,
  paperFor,
  stockPapers,
  thicknessLimits,
  type Paper,
  type PlanRequest,
} from '@rangoli/core';
import { computed } from 'vue';
import MeasureField from '../parts/MeasureField.vue';
import Pick from '../parts/Pick.vue';
import { useLessons } from '../stores/lessons.ts';

/** The paper of each piece that may have its own: which, how thick, and the sheet that it comes in. */
const props = defineProps<{
  papers: PlanRequest['papers'];
  /** What each of them is for, in the style's words. */
  uses: readonly string[];
  project: string;
}>();
const emit = defineEmits<{ change: [papers: PlanRequest['papers'], what: string] }>();

const lessons = useLessons();
void lessons.open();

const rows = computed(() =>
  props.uses.map((label, slot) => ({ slot, label, paper: paperFor(props.papers, slot) })),
);
const choices = stockPapers.map(({ id, name, colour }) => ({ value: id, label: name, colour }));

function sheetsFor({ sheet }: Paper) {
  const own = commonSheets.some(({ name }) => name === sheet.name) ? [] : [sheet];
  return [...own, ...commonSheets].map(({ name }) => ({ value: name, label: name }));
}

function set(slot: number, part: Partial<Paper>, what: string): void {
  // Papers that were only taken over from the one before become their own.
  const [first, ...rest] = props.uses.map((_, i) => {
    const paper = paperFor(props.papers, i);
    return i === slot ? { ...paper, ...part } : paper;
  });
  if (first)
    emit(
      'change',
      [first, ...rest, ...props.papers.slice(1 + rest.length)],
      `paper ${slot} ${what}`,
    );
}

function setPaper(slot: number, id: string): void {
  const paper = stockPapers.find((each) => each.id === id);
  // The sheet is the maker's pack on the table: it stays.
  if (paper)
    set(slot, { ...lessons.learned(paper), sheet: paperFor(props.papers, slot).sheet }, 'paper');
}

function setSheet(slot: number, name: string): void {
  const sheet = commonSheets.find((each) => each.name === name);
  if (sheet) set(slot, { sheet }, 'sheet');
}
</script>

<template>
  <section aria-labelledby="paper-heading">
    <h3 id="paper-heading">Paper</h3>
    <div v-for="row in rows" :key="row.slot" class="paper-row">
      <span class="piece">{{ row.label }}</span>
      <Pick
        :label="`${row.label} paper`"
        :value="choices.some(({ value }) => value === row.paper.id) ? row.paper.id : ''"
        :options="choices"
        @change="(id) => setPaper(row.slot, id)"
      />
      <Pick
        :label="`${row.label} sheet`"
        :value="row.paper.sheet.name"
        :options="sheetsFor(row.paper)"
        @change="(name) => setSheet(row.slot, name)"
      />
      <MeasureField
        :field="`${project} papers.${row.slot}.thickness`"
        :label="`${row.label} paper thickness`"
        hide-label
        :length="row.paper.thickness"
        unit="mm"
        fault-from="right"
        :least="thicknessLimits.least"
        :most="thicknessLimits.most"
        :step="millimetres(0.01)"
        @change="(thickness) => set(row.slot, { thickness }, 'thickness')"
      />
    </div>
  </section>
</template>

<style scoped>
h3 {
  font: 600 13px var(--text);
  color: var(--ink-soft);
}

.paper-row {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 78px 62px;
  gap: 1px 4px;
  margin-bottom: 4px;
}

.paper-row :deep(.p-select-label) {
  padding-inline: 7px 0;
}

.paper-row :deep(.p-select-dropdown) {
  width: 22px;
}

.paper-row :deep(input) {
  padding-inline: 7px 24px;
}

.piece {
  grid-column: 1 / -1;
  font-size: 12px;
  line-height: 1.2;
  color: var(--ink-soft);
}
</style>
