<script setup lang="ts">
import {
  papersOf,
  extentsOf,
  inchFraction,
  millimetres,
  missedSize,
  outsideOf,
  roundToGrid,
  sizeInWords,
  sizeWithin,
  styleSummary,
  type BlockGift,
  type Extents,
  type FinishedSize,
  type Length,
  type Gift,
  type GiftItem,
  type PlanRequest,
  inRows,
  itemOf,
  rowsOf,
  setItems,
  withAnother,
  withItem,
  withoutItem,
  reshape,
} from '@rangoli/core';
import { refDebounced } from '@vueuse/core';
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import Pick from '../parts/Pick.vue';
import Worded from '../parts/Worded.vue';
import { useDrafts } from '../stores/drafts.ts';
import { useProject } from '../stores/project.ts';
import PaperControl from './PaperControl.vue';
import GiftDrawing from './GiftDrawing.vue';
import { rowsField, rowWays } from './rows-fields.ts';
import RowsControl from './RowsControl.vue';
import SetControl from './SetControl.vue';
import StyleControl from './StyleControl.vue';
import RoomControl from './RoomControl.vue';
import ToolControl from './ToolControl.vue';

const DressControl = defineAsyncComponent(() => import('../dress/DressControl.vue'));
const CommonThings = defineAsyncComponent(() => import('./CommonThings.vue'));

/** What is asked: the gift, its room, the kind of box, the card, the tools. */
const props = defineProps<{
  request: PlanRequest;
  /** How many of its three parts are there: the gift, the box, and what it is made with. */
  parts: number;
}>();

const project = useProject();
const drafts = useDrafts();
const hasRows = computed(
  () => props.request.finished === undefined && props.request.gift.shape !== 'set',
);
// A count that can't be taken must not wait where there is no field for it.
watch(
  hasRows,
  (has) => {
    if (!has) for (const way of rowWays) drafts.forget(rowsField(project.id, way));
  },
  { immediate: true },
);
const plan = computed(() => (project.problems.length === 0 ? project.shown?.plan : undefined));

/** Whether a piece of the box is cut from a paper; where there is no plan, any might be. */
function isPaperUsed(slot: number): boolean {
  return plan.value?.pieces.some(({ paper }) => paper === slot) ?? true;
}

/** Which thing of a set is in hand. */
const chosen = ref(0);
const at = computed(() => Math.min(chosen.value, setItems(props.request.gift).length - 1));
const item = computed(() => itemOf(props.request.gift, at.value));
const shapes = [
  { value: 'block', label: 'Block' },
  { value: 'cylinder', label: 'Round' },
  { value: 'ball', label: 'Ball' },
  { value: 'bottle', label: 'Bottle' },
  { value: 'card', label: 'Flat card' },
  { value: 'lumpy', label: 'Lumpy' },
] as const;
const lies = [
  { value: 'standing', label: 'Stands' },
  { value: 'lying', label: 'Lies' },
  { value: 'free', label: 'Either' },
] as const;
const ups = [
  { value: 'high', label: 'As is' },
  { value: 'deep', label: 'On back' },
  { value: 'across', label: 'On end' },
  { value: 'free', label: 'Any way' },
] as const;

/** What the maker knows: the gift, or what the finished box is to measure. */
type Known = 'gift' | FinishedSize['of'];
const known = computed((): Known => props.request.finished?.of ?? 'gift');
const knownNames = { gift: 'Gift', inside: 'Inside', outside: 'Outside' } as const;
const knowns = (['gift', 'inside', 'outside'] as const).map((value) => ({
  value,
  label: knownNames[value],
}));

function asBlock({ across, deep, high }: Extents): BlockGift {
  return { shape: 'block', across, deep, high };
}

/** What was known before is gone over from what it has come to, on the ruler’s marks. */
function setKnown(next: Known): void {
  const { gift, unit, finished } = props.request;
  const now = plan.value;
  if (next === 'gift') {
    setGift(finished?.told ?? gift, 'known');
    return;
  }
  const size =
    now && next === 'outside' ? outsideOf(now, papersOf(props.request)) : now?.clearInside;
  const mark = unit === 'inch' ? inchFraction(1, 16) : millimetres(1);
  const near = (length: Length) => roundToGrid(length, mark);
  const { across, deep, high } = size ?? extentsOf(gift);
  project.changeBox('known', {
    finished: {
      of: next,
      across: near(across),
      deep: near(deep),
      high: near(high),
      // The way back leads to the gift that was told.
      told: finished ? finished.told : gift,
    },
  });
}

function setFinished(gift: Gift, what: string): void {
  const { finished } = props.request;
  if (!finished || gift.shape !== 'block') return;
  const { across, deep, high } = gift;
  project.changeBox(`finished ${what}`, { finished: { ...finished, across, deep, high } });
}

/** What the size that is asked for makes of the box; once the hand rests. */
const rested = refDebounced(
  computed(() => ({ plan: plan.value, request: props.request })),
  200,
);
const follows = computed(() => {
  const { plan: now, request } = rested.value;
  const { gift, unit } = request;
  const missed = now && missedSize(now, request);
  const comes = missed ? `On your marks it comes to ${sizeInWords(missed, unit)}. ` : '';
  return `${comes}It holds a gift of ${sizeWithin(extentsOf(gift), unit)} and the room around it.`;
});

function setGift(gift: Gift, what: string): void {
  project.changeBox(what, { gift });
}

const shapeNames = new Map<string, string>(shapes.map(({ value, label }) => [value, label]));

function addAnother(): void {
  const gift = withAnother(props.request.gift);
  setGift(gift, 'another thing');
  chosen.value = setItems(gift).length - 1;
}

const isDrawerOpen = ref(false);

function takeCommon(thing: GiftItem, name: string): void {
  isDrawerOpen.value = false;
  setItem(thing, `a common thing, ${name}`);
}

function setItem(changed: GiftItem, what: string): void {
  setGift(withItem(props.request.gift, at.value, changed), what);
}
</script>

<template>
  <aside class="panel" data-scrolls="panel" aria-label="What is asked">
    <div class="head">
      <h2 class="visually-hidden">The {{ known }}</h2>
      <Pick
        label="What you know"
        class="known"
        :value="known"
        :options="knowns"
        @change="setKnown"
      />
      <Pick
        v-if="item && known === 'gift'"
        label="Shape"
        class="shape"
        :value="item.shape"
        :options="shapes"
        @change="(shape) => item && setItem(reshape(item, shape), 'shape')"
      />
      <Pick
        v-if="known === 'gift' && (item?.shape === 'cylinder' || item?.shape === 'bottle')"
        label="Which way up"
        class="way"
        :value="item.lies ?? 'standing'"
        :options="lies"
        @change="
          (way) =>
            (item?.shape === 'cylinder' || item?.shape === 'bottle') &&
            setItem({ ...item, lies: way }, 'lies')
        "
      />
      <Pick
        v-else-if="known === 'gift' && (item?.shape === 'block' || item?.shape === 'lumpy')"
        label="Which way up"
        class="way"
        :value="item.up ?? 'high'"
        :options="ups"
        @change="
          (up) =>
            (item?.shape === 'block' || item?.shape === 'lumpy') && setItem({ ...item, up }, 'up')
        "
      />
    </div>
    <GiftDrawing
      v-if="request.finished"
      :key="known"
      :gift="asBlock(request.finished)"
      :at="0"
      :unit="request.unit"
      :project="`${project.id} ${known}`"
      :name="`The ${known}`"
      :colour="request.papers[0].colour"
      @change="setFinished"
    />
    <GiftDrawing
      v-else
      :gift="request.gift"
      :at="at"
      :unit="request.unit"
      :project="project.id"
      name="The gift"
      colour="#e8c65f"
      @change="setGift"
    />
    <p v-if="request.finished" class="follows"><Worded :text="follows" /></p>
    <SetControl
      v-if="!request.finished"
      :items="setItems(request.gift)"
      :at="at"
      :names="shapeNames"
      @choose="(which) => (chosen = which)"
      @add="addAnother"
      @remove="(which) => setGift(withoutItem(request.gift, which), 'fewer things')"
      @common="isDrawerOpen = true"
    />
    <CommonThings
      v-if="isDrawerOpen"
      :unit="request.unit"
      @take="takeCommon"
      @close="isDrawerOpen = false"
    />
    <RowsControl
      v-if="!request.finished && request.gift.shape !== 'set'"
      :gift="request.gift"
      :rows="rowsOf(request.gift)"
      :project="project.id"
      @rows="(rows) => setGift(inRows(request.gift, rows), 'rows')"
      @packing="
        (packing) =>
          request.gift.shape === 'several' && setGift({ ...request.gift, packing }, 'packing')
      "
    />
    <RoomControl
      v-if="parts > 1"
      :room="request.room"
      :unit="request.unit"
      :project="project.id"
      @change="(room, what) => project.changeBox(what, { room })"
    />
    <StyleControl
      v-if="parts > 1"
      :request="request"
      :plan="plan"
      :project="project.id"
      @style="(style, what) => project.changeBox(what, { style })"
      @lean="(lean) => project.changeBox('lean', { lean })"
    />
    <PaperControl
      v-if="parts > 2"
      data-first-step="tools"
      :unit="request.unit"
      :papers="request.papers"
      :uses="styleSummary(request.style.style).papers"
      :is-used="isPaperUsed"
      :project="project.id"
      @change="(papers, what) => project.changeBox(what, { papers: [...papers] })"
    />
    <DressControl
      v-if="parts > 2 && request.additions.length > 0"
      :request="request"
      :project="project.id"
    />
    <ToolControl
      v-if="parts > 2"
      data-first-step="tools"
      :request="request"
      :kit="request.kit"
      :unit="request.unit"
      :punch-board="styleSummary(request.style.style).punchBoard"
      :project="project.id"
      @change="(kit) => project.changeBox('kit', { kit })"
    />
  </aside>
</template>

<style scoped>
.panel {
  display: flex;
  flex-direction: column;
  gap: 6px;
  padding: 7px 16px;
  /* What is hidden from the eye alone scrolls with it. */
  position: relative;
  overflow-y: auto;
  background: var(--paper);
}

.head {
  display: flex;
  align-items: center;
  gap: 6px;
}

.panel > * {
  flex-shrink: 0;
}

h2 {
  font-size: 17px;
}

.known {
  flex: 1;
  min-width: 0;
}

.known :deep(.p-select-label) {
  font: 700 16px var(--figures);
  color: var(--ink);
}

/* Each says its word whole: what is known takes what the others leave. */
.head :deep(.p-select-label) {
  width: auto;
  padding-inline: 8px 0;
}

.head :deep(.p-select-dropdown) {
  width: 24px;
}

.shape,
.way {
  flex: none;
  width: auto;
}

.follows {
  font-size: 13px;
  line-height: 1.3;
  color: var(--ink-soft);
}
</style>
