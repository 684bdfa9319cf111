<script setup lang="ts">
import type { Gift, PlanRequest } from '@rangoli/core';
import { computed } from 'vue';
import Choice from '../parts/Choice.vue';
import { useProject } from '../stores/project.ts';
import CardControl from './CardControl.vue';
import GiftDrawing from './GiftDrawing.vue';
import { reshape } from './reshape.ts';
import LidControl from './LidControl.vue';
import RoomControl from './RoomControl.vue';
import ToolControl from './ToolControl.vue';

/** What is asked: the gift, its room, the lid, the card, the tools. */
defineProps<{ request: PlanRequest }>();

const project = useProject();
const plan = computed(() => (project.problems.length === 0 ? project.shown?.plan : undefined));
const shapes = [
  { value: 'block', label: 'Block' },
  { value: 'cylinder', label: 'Round' },
] as const;
const ways = [
  { value: 'standing', label: 'Stands' },
  { value: 'lying', label: 'Lies down' },
] as const;

function setGift(gift: Gift, what: string): void {
  project.changeBox(what, { gift });
}
</script>

<template>
  <aside class="panel" aria-label="What is asked">
    <div class="head">
      <h2>The gift</h2>
      <Choice
        label="Shape"
        class="shape"
        :value="request.gift.shape"
        :options="shapes"
        @change="(shape) => setGift(reshape(request.gift, shape), 'shape')"
      />
    </div>
    <GiftDrawing
      :gift="request.gift"
      :unit="request.unit"
      :project="project.id"
      @change="setGift"
    />
    <Choice
      v-if="request.gift.shape === 'cylinder'"
      label="Which way up"
      :value="request.gift.lies"
      :options="ways"
      @change="
        (lies) => request.gift.shape === 'cylinder' && setGift({ ...request.gift, lies }, 'lies')
      "
    />
    <RoomControl
      :room="request.room"
      :unit="request.unit"
      :project="project.id"
      @change="(room, what) => project.changeBox(what, { room })"
    />
    <LidControl
      :request="request"
      :plan="plan"
      @options="(options) => project.changeBox('lid', { style: { style: 'lidded', options } })"
      @lean="(lean) => project.changeBox('lean', { lean })"
    />
    <CardControl
      :papers="request.papers"
      :project="project.id"
      @change="(papers, what) => project.changeBox(what, { papers })"
    />
    <ToolControl
      :kit="request.kit"
      :unit="request.unit"
      @change="(kit) => project.changeBox('kit', { kit })"
    />
  </aside>
</template>

<style scoped>
.panel {
  display: flex;
  flex-direction: column;
  gap: 11px;
  padding: 12px 16px;
  overflow-y: auto;
  background: var(--paper);
}

.head {
  display: flex;
  align-items: center;
  justify-content: space-between;
}

.panel > * {
  flex-shrink: 0;
}

h2 {
  font-size: 17px;
}

.shape {
  width: 132px;
}
</style>
