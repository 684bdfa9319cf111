<script setup lang="ts">
import {
  cutSizeOf,
  paperFor,
  readingInWords,
  scoreHeadline,
  slantHeadline,
  slitHeadline,
  snipHeadline,
  stepInWords,
  taperHeadline,
  type Piece,
  type Plan,
  type PlanRequest,
  type ScoreStep,
} from '@rangoli/core';
import MeasureText from '../parts/MeasureText.vue';
import RulerStrip from '../parts/RulerStrip.vue';
import Worded from '../parts/Worded.vue';
import { useHighlight } from '../stores/highlight.ts';
import SheetList from './SheetList.vue';

/** What to cut and where to score, in figures to be read at the table. */
const props = defineProps<{ plan: Plan; request: PlanRequest; stale: boolean }>();

const highlight = useHighlight();

function scoresOf(piece: Piece): readonly ScoreStep[] {
  return props.plan.steps.filter(
    (step): step is ScoreStep => step.kind === 'score' && step.piece === piece.id,
  );
}

function linesOf(step: ScoreStep): readonly string[] {
  return step.passes.map(({ line }) => line);
}

function isLit(step: ScoreStep): boolean {
  return linesOf(step).some((line) => highlight.isLit(step.piece, line));
}

/** The edge that the strip shows: the one that the first score is measured along. */
function edgeOf(piece: Piece, step: ScoreStep) {
  const { width, height } = cutSizeOf(piece.grid);
  const edge = step.passes[0]?.edge;
  return edge === 'top' || edge === 'bottom' ? height : width;
}

/** Slits and tapers as one short line. */
function snips(piece: Piece): string {
  const words = props.plan.steps.flatMap((step) => {
    if (step.piece !== piece.id) return [];
    if (step.kind === 'slit') return [slitHeadline(step)];
    if (step.kind === 'slant') return [slantHeadline(step)];
    if (step.kind === 'snip') return [snipHeadline(step)];
    return step.kind === 'taper' ? [taperHeadline(step)] : [];
  });
  const line = words.join(', ');
  return line === '' ? '' : `${line.charAt(0).toUpperCase()}${line.slice(1)}.`;
}
</script>

<template>
  <section class="card" aria-label="Cut card" :class="{ stale }">
    <article v-for="piece in plan.pieces" :key="piece.id" :data-piece="piece.id">
      <h2>
        <i :style="{ background: paperFor(request.papers, piece.paper).colour }" />{{ piece.name }}
        <span class="paper quiet">{{ paperFor(request.papers, piece.paper).name }}</span>
      </h2>
      <p class="size">
        <MeasureText :length="cutSizeOf(piece.grid).width" :unit="request.kit.trimmer.unit" />
        <span class="times">×</span>
        <MeasureText :length="cutSizeOf(piece.grid).height" :unit="request.kit.trimmer.unit" />
        <span class="cut"
          >{{ request.kit.trimmer.unit === 'inch' ? 'in' : 'mm' }}, cut {{ piece.copies }}</span
        >
      </p>
      <div
        v-for="step in scoresOf(piece)"
        :key="step.reading"
        class="score"
        tabindex="0"
        :class="{ lit: isLit(step) }"
        @pointerenter="highlight.light(piece.id, linesOf(step))"
        @pointerleave="highlight.unlight()"
        @focus="highlight.light(piece.id, linesOf(step))"
        @blur="highlight.unlight()"
      >
        <p class="headline">{{ scoreHeadline(step) }}</p>
        <RulerStrip
          :length="edgeOf(piece, step)"
          :pitch="request.kit.board.pitch"
          :unit="request.kit.board.unit"
          :marks="[step.reading]"
          :lit="isLit(step)"
        />
        <p v-if="readingInWords(step, request.kit)" class="words" :class="{ off: step.offGroove }">
          <Worded :text="readingInWords(step, request.kit)" />
        </p>
      </div>
      <p class="snips">{{ snips(piece) }}</p>
    </article>
    <SheetList :plan="plan" :request="request" />
    <details class="steps">
      <summary>Step by step</summary>
      <ol>
        <li v-for="(step, i) in plan.steps" :key="i">
          <Worded :text="stepInWords(step, request.kit)" />
        </li>
      </ol>
    </details>
  </section>
</template>

<style scoped>
.card {
  overflow-y: auto;
  background: var(--paper);
}

/* Greyed, and still to be read. */
.stale {
  --ink: #66706d;
  --ink-soft: #66706d;

  color: var(--ink);
  background: var(--ground);
  filter: grayscale(1);
}

.stale :deep(svg),
.stale h2 i {
  opacity: 0.5;
}

article {
  padding: 14px 16px;
  border-bottom: 1px solid var(--rule);
}

h2 {
  display: flex;
  align-items: center;
  gap: 8px;
  font-size: 16px;
}

h2 i {
  width: 14px;
  height: 14px;
  border: 1px solid rgb(20 48 45 / 25%);
  border-radius: 3px;
}

.paper {
  margin-left: auto;
  font: 13px var(--text);
}

.size {
  margin: 2px 0 8px;
  font: 700 30px/1.15 var(--figures);
}

.times {
  margin: 0 7px;
}

.cut {
  margin-left: 6px;
  font: 500 14px var(--text);
  color: var(--ink-soft);
}

.score {
  padding: 6px 8px 5px;
  margin: 0 -8px;
  border-radius: var(--radius);
}

.score.lit {
  background: var(--turmeric-pale);
}

.steps {
  padding: 0 16px 14px;
}

.steps summary {
  font-weight: 600;
  cursor: pointer;
}

.steps ol {
  display: grid;
  gap: 8px;
  margin-top: 8px;
  padding-left: 20px;
  list-style: decimal;
}

.headline,
.words,
.snips {
  font-size: 13.5px;
  color: var(--ink-soft);
}

.headline {
  margin-bottom: 3px;
}

.words {
  margin-top: 3px;
}

.words.off {
  color: var(--vermilion);
}

.snips {
  margin-top: 4px;
}
</style>
