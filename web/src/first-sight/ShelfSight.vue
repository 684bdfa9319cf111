<script setup lang="ts">
import type { ProjectDocument } from '@rangoli/core';
import { Plus } from '@lucide/vue';
import Button from 'primevue/button';
import { createStaticVNode } from 'vue';
import type { ShelfContents } from '../api/projects.ts';
import { wholeShelf } from '../api/shelf-paths.ts';
import BoxCard from '../shelf/BoxCard.vue';
import CardRows from '../shelf/CardRows.vue';
import ShelfDesk from '../shelf/ShelfDesk.vue';
import ShelfFilter from '../shelf/ShelfFilter.vue';
import SightBar from './SightBar.vue';

/** The shelf as it is seen before its scripts have come: a box on it opens when it is pressed, and all else waits. */
defineProps<{
  /** The boxes that stand first: a card as HTML where it is drawn already, else what it tells without a plan. */
  cards: readonly (
    | { readonly id: string; readonly html: string }
    | { readonly id: string; readonly document: ProjectDocument }
  )[];
  total: number;
  contents: ShelfContents;
}>();

const Drawn = ({ html }: { readonly html: string }) => createStaticVNode(html, 1);
</script>

<template>
  <div id="first-sight" class="of-shelf" aria-hidden="true">
    <SightBar place="shelf" inert>
      <template #tools>
        <Button size="small"><Plus :size="17" />New box</Button>
      </template>
    </SightBar>
    <ShelfDesk :total="total">
      <template #filter>
        <ShelfFilter v-if="total > 1" :wish="wholeShelf" :contents="contents" inert />
      </template>
      <CardRows>
        <template v-for="card in cards" :key="card.id">
          <Drawn v-if="'html' in card" :html="card.html" />
          <BoxCard v-else :id="card.id" :document="card.document" />
        </template>
      </CardRows>
    </ShelfDesk>
  </div>
</template>
