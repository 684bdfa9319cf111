<script setup lang="ts">
import { papersOf, cutUnit, cutSizeOf, extentsOf, paperFor } from '@rangoli/core';
import { Copy, Ruler, Trash2 } from '@lucide/vue';
import { useIntersectionObserver } from '@vueuse/core';
import { computed, onBeforeUnmount, shallowRef, useTemplateRef } from 'vue';
import { RouterLink } from 'vue-router';
import type { StoredProject } from '../api/projects.ts';
import BoxPicture from '../fold/BoxPicture.vue';
import { layPieces } from '../parts/lay-pieces.ts';
import MeasureSize from '../parts/MeasureSize.vue';
import PieceDrawing from '../parts/PieceDrawing.vue';
import Worded from '../parts/Worded.vue';
import { usePlanned } from '../planner/use-planned.ts';
import { inTurn } from '../parts/in-turn.ts';

/** A box on the shelf: its own pieces on the mat with the box that they become, what it holds, what is cut. */
const props = defineProps<{ project: StoredProject }>();
const emit = defineEmits<{ duplicate: []; remove: []; resize: [] }>();

const view = { width: 196, height: 158 };
const box = computed(() => props.project.document.box);
const gift = computed(() => extentsOf(box.value.gift));
// A long shelf plans and draws only the boxes that have come into sight.
const card = useTemplateRef('card');
const isSeen = shallowRef(false);
let leaveRow: () => void = () => undefined;
const { isSupported, stop } = useIntersectionObserver(card, (entries) => {
  if (!entries.some(({ isIntersecting }) => isIntersecting)) return;
  stop();
  leaveRow = inTurn(() => {
    isSeen.value = true;
  });
});
onBeforeUnmount(() => leaveRow());
if (!isSupported.value) isSeen.value = true;

const planned = usePlanned(() => (isSeen.value ? box.value : undefined));
const plan = computed(() => (planned.value?.result.ok ? planned.value.result.plan : undefined));
/** Why it can’t be made. */
const why = computed(() =>
  planned.value?.result.ok === false ? planned.value.result.problems[0]?.message : undefined,
);
const layout = computed(
  () =>
    plan.value &&
    layPieces(plan.value.pieces, view.width, view.height, {
      title: 0,
      titleWidth: 0,
      measures: 0,
      between: 14,
      border: 14,
    }),
);

const actions = computed(() => {
  const { name } = props.project.document;
  return [
    {
      title: 'Resize for another gift',
      label: `Resize ${name} for another gift`,
      icon: Ruler,
      take: () => emit('resize'),
    },
    { title: 'Duplicate', label: `Duplicate ${name}`, icon: Copy, take: () => emit('duplicate') },
    { title: 'Delete', label: `Delete ${name}`, icon: Trash2, take: () => emit('remove') },
  ];
});
</script>

<template>
  <li ref="card" class="card">
    <RouterLink :to="{ name: 'box', params: { id: project.id } }" class="open">
      <span v-if="layout && plan" class="mat">
        <svg class="pieces" :viewBox="`0 0 ${view.width} ${view.height}`" aria-hidden="true">
          <g
            v-for="placed in layout.pieces"
            :key="placed.piece.id"
            :transform="`translate(${placed.x} ${placed.y}) scale(${layout.scale})`"
          >
            <PieceDrawing
              :piece="placed.piece"
              :colour="paperFor(papersOf(box), placed.piece.paper).colour"
              :grain="0.75 / layout.scale"
            />
          </g>
        </svg>
        <BoxPicture :plan="plan" :papers="papersOf(box)" class="folded" />
      </span>
      <span v-else-if="why" class="mat impossible"><Worded :text="why" /></span>
      <span v-else class="mat" />
      <span class="text">
        <strong>{{ project.document.name }}</strong>
        <span class="quiet"
          >holds
          <MeasureSize :lengths="[gift.across, gift.deep, gift.high]" :unit="box.unit" with-unit
        /></span>
        <span class="cuts">
          <!-- All of them are read on one ruler, which the first names. -->
          <span v-for="(piece, at) in plan?.pieces ?? []" :key="piece.id">
            {{ piece.name }}
            <MeasureSize
              :lengths="[cutSizeOf(piece.grid).width, cutSizeOf(piece.grid).height]"
              :unit="cutUnit(box.kit)"
              :with-unit="at === 0"
            />
          </span>
        </span>
      </span>
    </RouterLink>
    <div class="actions">
      <button
        v-for="action in actions"
        :key="action.title"
        type="button"
        :aria-label="action.label"
        :title="action.title"
        @click="action.take"
      >
        <component :is="action.icon" :size="16" />
      </button>
    </div>
  </li>
</template>

<style scoped>
.card {
  position: relative;
  border: 1px solid var(--rule);
  border-radius: var(--radius);
  background: var(--paper);
  overflow: hidden;
}

.card:hover {
  border-color: var(--ink);
}

.open {
  display: block;
  color: inherit;
  text-decoration: none;
}

.open:focus-visible {
  outline-offset: -3px;
}

.mat {
  display: flex;
  align-items: center;
  width: 100%;
  aspect-ratio: 280 / 158;
  background-color: var(--mat);
  background-image: radial-gradient(circle, var(--mat-dot) 1px, transparent 1.3px);
  background-size: 18px 18px;
}

.pieces {
  flex: 196;
}

.folded {
  flex: 84;
  min-width: 0;
  max-height: 62%;
  margin-right: 14px;
}

.impossible {
  padding: 14px 18px;
  font-size: 14px;
  line-height: 1.4;
  color: #ffffff;
}

.text {
  display: grid;
  gap: 2px;
  padding: 10px 14px 12px;
}

strong {
  font: 700 16px/1.25 var(--figures);
}

/* As high as most lists are: no card grows under a finger when its plan comes. */
.cuts {
  display: grid;
  align-content: start;
  min-height: 4lh;
  padding-right: 70px;
  font-weight: 600;
}

@media (max-width: 679px) {
  .cuts {
    min-height: 2lh;
  }
}

.actions {
  position: absolute;
  right: 8px;
  bottom: 8px;
  display: flex;
  gap: 2px;
}

.actions button {
  padding: 6px;
  border: 0;
  border-radius: 6px;
  color: var(--ink-soft);
  background: none;
  cursor: pointer;
  line-height: 0;
}

.actions button:hover {
  color: var(--ink);
  background: var(--ground);
}
</style>
