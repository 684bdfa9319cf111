<script setup lang="ts">
import {
  formatWithUnit,
  isSamePaper,
  paperFor,
  type Paper,
  type PlanRequest,
  type Sheet,
} from '@rangoli/core';
import { computed, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import { beside } from '../parts/beside.ts';
import Pick from '../parts/Pick.vue';
import QuietButton from '../parts/QuietButton.vue';
import SheetSize from '../parts/SheetSize.vue';
import ThicknessField from '../parts/ThicknessField.vue';
import { usePapers } from '../stores/papers.ts';

/** The paper of each piece that may have its own: which, how thick, and the sheet that it comes in. */
const props = defineProps<{
  papers: PlanRequest['papers'];
  /** What each of them is for, in the style's words. */
  uses: readonly string[];
  /** Whether a piece of this box is cut from it. */
  isUsed: (slot: number) => boolean;
  unit: PlanRequest['unit'];
  project: string;
}>();
const emit = defineEmits<{ change: [papers: PlanRequest['papers'], what: string] }>();

const router = useRouter();
const kept = usePapers();
void kept.open();

/** The paper’s size is typed, and is none of those in the list. */
const anotherSize = 'another size';
/** The rows whose sheet is being typed. */
const typing = shallowRef<ReadonlySet<number>>(new Set());

const rows = computed(() =>
  props.uses.flatMap((label, slot) => {
    if (!props.isUsed(slot)) return [];
    const paper = paperFor(props.papers, slot);
    const mine = kept.placed.find((placed) => placed.paper.id === paper.id)?.paper;
    const now = mine && kept.learned(mine, paper.sheet);
    return [
      {
        slot,
        label,
        paper,
        sheets: kept.sheetsFor(paper),
        now: now && !isSamePaper(paper, now) ? now : undefined,
      },
    ];
  }),
);
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

/** The last of the list leads to where the papers are told. */
const myPapers = { value: 'my papers', label: 'My papers…' } as const;

function setPaper(slot: number, id: string): void {
  if (id === myPapers.value) void router.push(beside('papers', props.project));
  const paper = kept.atHand.find((each) => each.id === id);
  if (!paper) return;
  // The sheet is the maker's pack on the table: it stays, where the paper comes in it.
  setTyping(slot, false);
  set(slot, kept.learned(paper, paperFor(props.papers, slot).sheet), 'paper');
}

function setTyping(slot: number, isTyped: boolean): void {
  const others = [...typing.value].filter((each) => each !== slot);
  typing.value = new Set(isTyped ? [...others, slot] : others);
}

function setSheet(slot: number, sheets: readonly Sheet[], name: string): void {
  setTyping(slot, name === anotherSize);
  const sheet = sheets.find((each) => each.name === name);
  if (sheet) set(slot, { sheet }, 'sheet');
}

/** What the paper is now, in words: what has changed of it. */
function changedWords(paper: Paper, now: Paper): string {
  return now.thickness === paper.thickness
    ? `${now.name} has changed in My papers.`
    : `In My papers ${now.name} is ${formatWithUnit(now.thickness, 'mm')} thick.`;
}
</script>

<template>
  <section aria-labelledby="paper-heading">
    <h3 id="paper-heading" class="visually-hidden">Paper</h3>
    <div v-for="row in rows" :key="row.slot" class="paper-row">
      <span class="piece">Paper for the {{ row.label.toLowerCase() }}</span>
      <Pick
        :label="`${row.label} paper`"
        :value="row.paper.id"
        :options="[...kept.choicesWith(row.paper), myPapers]"
        @change="(id) => setPaper(row.slot, id)"
      />
      <Pick
        :label="`${row.label} sheet`"
        :value="typing.has(row.slot) ? anotherSize : row.paper.sheet.name"
        :options="[
          ...row.sheets.map(({ name }) => ({ value: name, label: name })),
          { value: anotherSize, label: 'Another size…' },
        ]"
        @change="(name) => setSheet(row.slot, row.sheets, name)"
      />
      <ThicknessField
        :field="`${project} papers.${row.slot}.thickness`"
        :label="`${row.label} paper thickness`"
        hide-label
        :thickness="row.paper.thickness"
        :finish="row.paper.finish"
        @change="(thickness) => set(row.slot, { thickness }, 'thickness')"
      />
      <SheetSize
        v-if="typing.has(row.slot)"
        class="size"
        :field="`${project} papers.${row.slot}.sheet`"
        :label="`${row.label} sheet`"
        :sheet="row.paper.sheet"
        :unit="unit"
        @change="(sheet) => set(row.slot, { sheet }, 'sheet')"
      />
      <p v-if="row.now" class="now">
        {{ changedWords(row.paper, row.now) }}
        <QuietButton @click="set(row.slot, { ...row.now, sheet: row.paper.sheet }, 'paper')"
          >Use that</QuietButton
        >
      </p>
    </div>
  </section>
</template>

<style scoped>
.paper-row {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 78px 62px;
  gap: 1px 4px;
  margin-bottom: 4px;

  --option-gap: 5px;
}

.paper-row :deep(.p-select-label) {
  padding-inline: 6px 0;
}

.paper-row :deep(.p-select-dropdown) {
  width: 19px;
}

.paper-row :deep(input) {
  padding-inline: 7px 24px;
}

.piece,
.size,
.now {
  grid-column: 1 / -1;
}

.piece {
  font-size: 12px;
  line-height: 1.2;
  color: var(--ink-soft);
}

.size {
  margin-top: 3px;
}

.now {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 4px;
  font-size: 13px;
  line-height: 1.25;
}

.now :deep(button) {
  flex: none;
}
</style>
