<script setup lang="ts">
import {
  cutSizeOf,
  cutUnit,
  paperFor,
  papersOf,
  type Piece,
  type PieceChange,
  type Plan,
  type PlanChanges,
  type PlanRequest,
  type PrintOnPiece,
  type PunchTold,
  type RulerStrip as Strip,
} from '@rangoli/core';
import { ChevronDown } from '@lucide/vue';
import { computed, defineAsyncComponent, shallowRef, watch } from 'vue';
import MeasureText from '../parts/MeasureText.vue';
import { useEscape } from '../parts/use-escape.ts';
import Worded from '../parts/Worded.vue';
import type { BoxTold } from '../planner/tell.ts';
import { useHighlight } from '../stores/highlight.ts';
import PieceWas from './PieceWas.vue';
import PunchStrip from './PunchStrip.vue';
import RulerBlock from './RulerBlock.vue';
import SheetList from './SheetList.vue';

/** What to cut and where to score, in figures to be read at the table. */
const props = defineProps<{
  plan: Plan;
  request: PlanRequest;
  told: BoxTold;
  stale: boolean;
  /** How prints with a way up come out. */
  prints?: readonly PrintOnPiece[];
  /** What has changed from the box that this one was made from. */
  changes?: PlanChanges | undefined;
}>();

/** Only who wants the sentences needs them, or the sums. */
const StepByStep = defineAsyncComponent(() => import('./StepByStep.vue'));
const WhySize = defineAsyncComponent(() => import('./WhySize.vue'));
/** Only a print with a way up needs it. */
const PrintNote = defineAsyncComponent(() => import('./PrintNote.vue'));

const highlight = useHighlight();

/** The papers of all pieces, those that are worn among them. */
const papers = computed(() => papersOf(props.request));

function stripsOf(piece: Piece): readonly Strip[] {
  return props.told.entries.get(piece.id)?.strips ?? [];
}

function snipsOf(piece: Piece): string {
  return props.told.entries.get(piece.id)?.snips ?? '';
}

/** How a punch board is set for it, where one is. */
function punchOf(piece: Piece): readonly PunchTold[] {
  const punch = props.told.entries.get(piece.id)?.punch;
  return punch ? [punch] : [];
}

function printsOf({ id }: Piece): readonly PrintOnPiece[] {
  return props.prints?.filter(({ piece }) => piece === id) ?? [];
}

function changeOf(piece: Piece): PieceChange | undefined {
  return props.changes?.pieces.find((change) => change.piece === piece.id);
}

/** Of many pieces one shows its scores, the one in hand; of few all do. */
const isMany = computed(() => props.plan.pieces.length > 2);
/** What stands closer where there is much to show. */
const isDense = computed(
  () =>
    isMany.value || props.changes !== undefined || props.plan.pieces.flatMap(stripsOf).length > 2,
);
const chosen = shallowRef<string>();
const inHand = computed(
  () => props.plan.pieces.find(({ id }) => id === chosen.value) ?? props.plan.pieces[0],
);
// A score that is pointed at on the mat is to be seen on its ruler.
watch(
  () => highlight.lit?.piece,
  (piece) => {
    if (piece !== undefined) chosen.value = piece;
  },
);

/** The piece of which it is asked why it is so large. */
const asked = shallowRef<string>();
useEscape(
  () => asked.value !== undefined,
  () => (asked.value = undefined),
);

const showsSteps = shallowRef(false);
</script>

<template>
  <section
    class="card"
    data-scrolls="cut list"
    aria-label="Cut list"
    :class="{ stale, dense: isDense }"
  >
    <slot />
    <article
      v-for="piece in plan.pieces"
      :key="piece.id"
      :data-piece="piece.id"
      :class="{ brief: isMany, open: isMany && piece === inHand }"
    >
      <h2>
        <i
          :title="paperFor(papers, piece.paper).name"
          :style="{ background: paperFor(papers, piece.paper).colour }"
        />
        <button
          v-if="isMany"
          type="button"
          :aria-expanded="piece === inHand"
          @click="chosen = piece.id"
        >
          {{ piece.name }}
        </button>
        <template v-else>{{ piece.name }}</template>
        <span class="paper quiet">{{ paperFor(papers, piece.paper).name }}</span>
      </h2>
      <p class="size">
        <MeasureText :length="cutSizeOf(piece.grid).width" :unit="cutUnit(request.kit)" />
        <span class="times">×</span>
        <MeasureText :length="cutSizeOf(piece.grid).height" :unit="cutUnit(request.kit)" />
        <span class="cut"
          >{{ cutUnit(request.kit) === 'inch' ? 'in' : 'mm' }}, cut {{ piece.copies }}</span
        >{{ ' ' }}
        <button
          v-if="!isMany || piece === inHand"
          type="button"
          class="why"
          :aria-label="`Why is the ${piece.name.toLowerCase()} so large?`"
          :aria-expanded="asked === piece.id"
          @click="asked = asked === piece.id ? undefined : piece.id"
        >
          why?
        </button>
        <ChevronDown v-if="isMany" :size="16" class="chevron" aria-hidden="true" />
      </p>
      <WhySize v-if="asked === piece.id" :piece="piece" :request="request" />
      <PieceWas v-if="changeOf(piece)" :change="changeOf(piece)" :kit="request.kit" />
      <template v-if="!isMany || piece === inHand">
        <RulerBlock v-for="(strip, i) in stripsOf(piece)" :key="i" :piece="piece" :strip="strip" />
        <PunchStrip
          v-for="punch in punchOf(piece)"
          :key="punch.headline"
          :piece="piece"
          :punch="punch"
          :kit="request.kit"
        />
        <p v-if="snipsOf(piece)" class="snips">{{ snipsOf(piece) }}</p>
        <PrintNote
          v-for="print in printsOf(piece)"
          :key="print.piece"
          :piece="piece"
          :print="print"
          :request="request"
        />
      </template>
    </article>
    <p v-for="ribbon in told.ribbons" :key="ribbon" class="ribbon">
      <strong>Ribbon</strong> <Worded :text="ribbon" />
    </p>
    <SheetList :plan="plan" :request="request" :size="isDense ? 'small' : 'large'" />
    <details class="steps" @toggle="showsSteps = true">
      <summary>Step by step</summary>
      <StepByStep v-if="showsSteps" :plan="plan" :request="request" />
    </details>
  </section>
</template>

<style scoped>
.card {
  /* What is hidden from the eye alone scrolls with it. */
  position: relative;
  overflow-y: auto;
  background: var(--paper);
}

/* Greyed, and still to be read. */
.stale {
  --ink: var(--stale);
  --ink-soft: var(--stale);

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

.why {
  position: relative;
  z-index: 1;
  /* As high as a finger needs, in a line that is as high as its figures. */
  margin-block: -4px;
  padding: 0 4px;
  font: 500 14px var(--text);
  color: var(--ink-soft);
  text-decoration: underline;
}

.why:hover,
.why[aria-expanded='true'] {
  color: var(--ink);
}

.ribbon {
  margin: 0;
  padding: 9px 16px;
  border-bottom: 1px solid var(--rule);
  font-size: 14px;
}

.ribbon strong {
  margin-right: 8px;
  font: 600 16px var(--figures);
}

.steps {
  padding: 0 16px 14px;
}

.steps summary {
  margin-block: -2px;
  font-weight: 600;
  cursor: pointer;
}

.snips {
  font-size: 13.5px;
  color: var(--ink-soft);
}

button {
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  cursor: pointer;
}

.chevron {
  margin-left: 4px;
  vertical-align: -1px;
  color: var(--ink-soft);
}

.open .chevron {
  transform: rotate(180deg);
}

.dense article {
  padding-block: 8px;
}

.dense .brief {
  padding-block: 8px;
}

.dense :deep(.score) {
  padding-block: 2px;
}

.dense .size {
  margin-bottom: 3px;
}

.dense :deep(:is(.headline, .words)),
.dense .snips {
  margin-block: 0;
  font-size: 12.5px;
  line-height: 1.3;
}

/* Many pieces: name and size in one line, all a little closer; the whole line opens it. */
.brief {
  position: relative;
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: baseline;
  gap: 0 10px;
  padding: 8px 16px;
}

.brief > :nth-child(n + 3) {
  grid-column: 1 / -1;
}

.brief .paper {
  display: none;
}

.brief h2 button {
  text-align: left;
}

.brief h2 button::after {
  content: '';
  position: absolute;
  inset: 0;
}

.brief.open h2 button::after {
  bottom: auto;
  height: 44px;
}

.brief .size {
  margin: 0;
  font-size: 21px;
}

.brief .cut {
  font-size: 13px;
}
</style>
