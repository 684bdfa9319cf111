<script setup lang="ts">
import {
  cutSizeOf,
  cutUnit,
  extentsOf,
  paperFor,
  papersOf,
  type Plan,
  type ProjectDocument,
} from '@rangoli/core';
import { computed, createStaticVNode } from 'vue';
import { RouterLink } from 'vue-router';
import BoxPicture from '../fold/BoxPicture.vue';
import { layPieces } from '../parts/lay-pieces.ts';
import MeasureSize from '../parts/MeasureSize.vue';
import PieceDrawing from '../parts/PieceDrawing.vue';
import Worded from '../parts/Worded.vue';

/** A box on the shelf: its own pieces on the mat with the box that they become, what it holds, what is cut. */
const props = defineProps<{
  id: string;
  document: ProjectDocument;
  /** Undefined where it is not planned yet, or can’t be made. */
  plan?: Plan | undefined;
  /** Why it can’t be made. */
  why?: string | undefined;
  /** As it was drawn elsewhere, as HTML, to be seen until it is planned. */
  seen?: string | undefined;
}>();

/** Its mat and its text. */
const Seen = ({ html }: { readonly html: string }) => createStaticVNode(html, 2);

const view = { width: 196, height: 158 };
const box = computed(() => props.document.box);
const gift = computed(() => extentsOf(box.value.gift));
const layout = computed(
  () =>
    props.plan &&
    layPieces(props.plan.pieces, view.width, view.height, {
      title: 0,
      titleWidth: 0,
      measures: 0,
      between: 14,
      border: 14,
    }),
);
</script>

<template>
  <li class="card">
    <RouterLink :to="{ name: 'box', params: { id } }" class="open">
      <Seen v-if="seen !== undefined && !plan && !why" :html="seen" />
      <template v-else>
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
          <strong>{{ document.name }}</strong>
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
      </template>
    </RouterLink>
    <slot />
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
</style>
