<script setup lang="ts">
import {
  styleSummary,
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
import { computed, ref } from 'vue';
import Pick from '../parts/Pick.vue';
import { useProject } from '../stores/project.ts';
import PaperControl from './PaperControl.vue';
import GiftDrawing from './GiftDrawing.vue';
import RowsControl from './RowsControl.vue';
import SetControl from './SetControl.vue';
import StyleControl from './StyleControl.vue';
import RoomControl from './RoomControl.vue';
import ToolControl from './ToolControl.vue';

/** What is asked: the gift, its room, the kind of box, the card, the tools. */
const props = defineProps<{ request: PlanRequest }>();

const project = useProject();
const plan = computed(() => (project.problems.length === 0 ? project.shown?.plan : undefined));
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
  { value: 'lying', label: 'Lies down' },
  { value: 'free', label: 'Either' },
] as const;
const ups = [
  { value: 'high', label: 'As is' },
  { value: 'deep', label: 'On back' },
  { value: 'across', label: 'On end' },
  { value: 'free', label: 'Any way' },
] as const;

function setGift(gift: Gift, what: string): void {
  project.changeBox(what, { gift });
}

const shapeNames = new Map<string, string>(shapes.map(({ value, label }) => [value, label]));

function addAnother(): void {
  const gift = withAnother(props.request.gift);
  setGift(gift, 'another thing');
  chosen.value = setItems(gift).length - 1;
}

function setItem(changed: GiftItem, what: string): void {
  setGift(withItem(props.request.gift, at.value, changed), what);
}
</script>

<template>
  <aside class="panel" aria-label="What is asked">
    <div class="head">
      <h2>The gift</h2>
      <Pick
        v-if="item"
        label="Shape"
        class="shape"
        :value="item.shape"
        :options="shapes"
        @change="(shape) => item && setItem(reshape(item, shape), 'shape')"
      />
      <Pick
        v-if="item?.shape === 'cylinder'"
        label="Which way up"
        class="way"
        :value="item.lies"
        :options="lies"
        @change="(way) => item?.shape === 'cylinder' && setItem({ ...item, lies: way }, 'lies')"
      />
      <Pick
        v-else-if="item?.shape === 'block' || item?.shape === 'lumpy'"
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
      :gift="request.gift"
      :at="at"
      :unit="request.unit"
      :project="project.id"
      @change="setGift"
    />
    <SetControl
      :items="setItems(request.gift)"
      :at="at"
      :names="shapeNames"
      @choose="(which) => (chosen = which)"
      @add="addAnother"
      @remove="(which) => setGift(withoutItem(request.gift, which), 'fewer things')"
    />
    <RowsControl
      v-if="request.gift.shape !== 'set'"
      :gift="request.gift"
      :rows="rowsOf(request.gift)"
      @rows="(rows) => setGift(inRows(request.gift, rows), 'rows')"
      @packing="
        (packing) =>
          request.gift.shape === 'several' && setGift({ ...request.gift, packing }, 'packing')
      "
    />
    <RoomControl
      :room="request.room"
      :unit="request.unit"
      :project="project.id"
      @change="(room, what) => project.changeBox(what, { room })"
    />
    <StyleControl
      :request="request"
      :plan="plan"
      :project="project.id"
      @style="(style, what) => project.changeBox(what, { style })"
      @lean="(lean) => project.changeBox('lean', { lean })"
    />
    <PaperControl
      :unit="request.unit"
      :papers="request.papers"
      :uses="styleSummary(request.style.style).papers"
      :project="project.id"
      @change="(papers, what) => project.changeBox(what, { papers: [...papers] })"
    />
    <ToolControl
      :request="request"
      :kit="request.kit"
      :unit="request.unit"
      :punch-board="styleSummary(request.style.style).punchBoard"
      @change="(kit) => project.changeBox('kit', { kit })"
    />
  </aside>
</template>

<style scoped>
.panel {
  display: flex;
  flex-direction: column;
  gap: 7px;
  padding: 8px 16px;
  overflow-y: auto;
  background: var(--paper);
}

.head {
  display: flex;
  align-items: center;
  gap: 6px;
}

.head h2 {
  flex: 1;
  white-space: nowrap;
}

.panel > * {
  flex-shrink: 0;
}

h2 {
  font-size: 17px;
}

.shape,
.way {
  width: 86px;
}
</style>
