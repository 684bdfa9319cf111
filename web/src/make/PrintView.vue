<script setup lang="ts">
import {
  papersOf,
  cutUnit,
  cutSizeOf,
  formatSize,
  paperFor,
  toMillimetres,
  type Piece,
} from '@rangoli/core';
import { Printer } from '@lucide/vue';
import Button from 'primevue/button';
import { computed } from 'vue';
import TopBar from '../parts/TopBar.vue';
import MatMeasures from '../parts/MatMeasures.vue';
import MeasureSpan from '../parts/MeasureSpan.vue';
import PieceDrawing from '../parts/PieceDrawing.vue';
import { isPlainPiece, layPieces } from '../parts/lay-pieces.ts';
import Worded from '../parts/Worded.vue';
import { useOpenMaking } from '../stores/open-making.ts';
import { useOpenProject } from '../stores/open-project.ts';
import NoStepsNote from './NoStepsNote.vue';
import { stageName } from './stage-name.ts';

/** The whole job on a sheet or two of paper, to lie beside the board. */
const props = defineProps<{ id: string }>();

const project = useOpenProject(() => props.id);
const making = useOpenMaking(() => props.id);

const planned = computed(() => making.planned);
const shown = computed(() => planned.value?.batch);
const kit = computed(() => shown.value?.request.kit);
/** Titles with their sizes stand side by side. */
const free = computed(() => {
  const titles = shown.value?.plan.pieces.map((piece) => `${piece.name} ${sizeOf(piece)}`) ?? [];
  const longest = Math.max(12, ...titles.map((title) => title.length));
  return { title: 22, titleWidth: longest * 7.6, measures: 40, between: 16, border: 8 };
});
const width = 690;
const height = computed(() => ((shown.value?.plan.pieces.length ?? 1) > 2 ? 290 : 220));
const layout = computed(
  () => shown.value && layPieces(shown.value.plan.pieces, width, height.value, free.value),
);

function sheetWords(): string {
  const now = shown.value;
  if (!now) return '';
  return (planned.value?.sheets ?? [])
    .map(({ paper, sheets }) => {
      const found = papersOf(now.request).find(({ id }) => id === paper);
      return `${sheets} of ${found?.name ?? paper}, ${found?.sheet.name ?? ''}`;
    })
    .join('; ');
}

function sizeOf(piece: Piece): string {
  const { width: across, height: down } = cutSizeOf(piece.grid);
  return kit.value ? formatSize(across, down, cutUnit(kit.value)) : '';
}

const cardWords = computed(() => {
  const now = shown.value;
  if (!now) return '';
  return now.plan.pieces
    .map((piece) => {
      const { name, thickness } = paperFor(papersOf(now.request), piece.paper);
      return `${piece.name}, ${name} ${toMillimetres(thickness)} mm`;
    })
    .join('; ');
});

function print(): void {
  window.print();
}
</script>

<template>
  <div class="view">
    <TopBar place="make" :project="id" class="no-print">
      <strong class="box-name">{{ project.document?.name }}</strong>
      <span class="quiet note">One sheet or two, to lie beside the board</span>
      <template #tools>
        <Button size="small" @click="print"><Printer :size="16" />Print</Button>
      </template>
    </TopBar>
    <main v-if="making.isReady && shown && kit && layout && planned" class="sheet">
      <header>
        <h1>{{ project.document?.name }}</h1>
        <p>
          <b>{{ shown.boxes }} {{ shown.boxes === 1 ? 'box' : 'boxes' }}</b>
          · sheets: <Worded :text="sheetWords()" /> · <Worded :text="kit.trimmer.name" /> ·
          <Worded :text="kit.board.name" />
        </p>
      </header>
      <svg :viewBox="`0 0 ${width} ${height}`" role="img" aria-label="The pieces with their sizes">
        <g
          v-for="placed in layout.pieces"
          :key="placed.piece.id"
          :transform="`translate(${placed.x} ${placed.y})`"
        >
          <text class="title" :x="placed.width / 2" y="-7">
            {{ placed.piece.name }} {{ ' ' }}
            <MeasureSpan :length="cutSizeOf(placed.piece.grid).width" :unit="cutUnit(kit)" />
            ×
            <MeasureSpan
              :length="cutSizeOf(placed.piece.grid).height"
              :unit="cutUnit(kit)"
              with-unit
            />
          </text>
          <g :transform="`scale(${layout.scale})`">
            <PieceDrawing :piece="placed.piece" colour="#ffffff" :grain="1 / layout.scale" />
          </g>
          <MatMeasures v-if="!isPlainPiece(placed.piece)" :placed="placed" :kit="kit" />
        </g>
      </svg>
      <section v-for="stage in planned.job.stages" :key="stage.bench">
        <h2>{{ stageName(stage) }}</h2>
        <p v-if="planned.notes.has(stage.bench)" class="note">
          <Worded :text="planned.notes.get(stage.bench) ?? ''" />
        </p>
        <ol>
          <li v-for="step in stage.steps" :key="step.id">
            <i aria-hidden="true" />
            <span class="copies">{{ step.copies }} ×</span>
            <Worded :text="planned.told.get(step.id)?.text ?? ''" />
          </li>
        </ol>
      </section>
      <footer>Paper: {{ cardWords }}.</footer>
    </main>
    <NoStepsNote v-else :id="id" />
  </div>
</template>

<style scoped>
.note {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

@media (max-width: 1239px) {
  .note {
    display: none;
  }
}

.view {
  background: var(--ground);
}

.sheet {
  box-sizing: border-box;
  max-width: 210mm;
  margin: 18px auto;
  padding: 12mm;
  color: #000000;
  background: #ffffff;
  box-shadow: 0 1px 6px rgb(20 48 45 / 22%);
}

h1 {
  margin: 0;
  font: 800 25px var(--figures);
}

header p {
  margin: 3px 0 8px;
  font-size: 13.5px;
}

.sheet > svg {
  display: block;
  width: 100%;
}

.sheet > svg :deep(.edge) {
  stroke: #000000;
}

.sheet > svg :deep(text),
.sheet > svg :deep(tspan) {
  fill: #000000;
}

.sheet > svg :deep(.measures line),
.sheet > svg :deep(.measures path) {
  stroke: #000000;
}

.title {
  font: 700 13px var(--figures);
  text-anchor: middle;
}

/* A stage may go on over the page, so that a dressed box stays on two; a step never does. */
h2,
.note {
  break-after: avoid-page;
}

h2 {
  margin: 10px 0 3px;
  padding-bottom: 2px;
  border-bottom: 1px solid #000000;
  font: 700 15px var(--figures);
}

ol {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  break-inside: avoid-page;
  display: grid;
  grid-template-columns: 15px 38px 1fr;
  gap: 6px;
  align-items: baseline;
  padding: 2.5px 0;
  font-size: 13.5px;
  line-height: 1.3;
}

i {
  width: 11px;
  height: 11px;
  border: 1.4px solid #000000;
  border-radius: 2px;
}

.copies {
  font-weight: 700;
  text-align: right;
  white-space: nowrap;
}

footer {
  margin-top: 10px;
  font-size: 12px;
}

/* Narrow enough for two sheets, and no printer's edge cuts into the words. */
@page {
  margin: 12mm;
}

@media print {
  .no-print {
    display: none;
  }

  .view {
    background: none;
  }

  .sheet {
    max-width: none;
    margin: 0;
    padding: 0;
    box-shadow: none;
  }

  li {
    padding: 1.5px 0;
    font-size: 9.5pt;
    line-height: 1.28;
  }
}
</style>
