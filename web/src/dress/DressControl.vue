<script setup lang="ts">
import type { PlanRequest } from '@rangoli/core';
import { ChevronDown } from '@lucide/vue';
import { computed, shallowRef } from 'vue';
import { countWorn } from './dress-words.ts';
import BandEntry from './BandEntry.vue';
import FacePick from './FacePick.vue';
import HandleEntry from './HandleEntry.vue';
import InsertEntry from './InsertEntry.vue';
import PanelEntry from './PanelEntry.vue';
import PlateEntry from './PlateEntry.vue';
import RibbonEntry from './RibbonEntry.vue';
import SpotEntry from './SpotEntry.vue';
import TagEntry from './TagEntry.vue';
import WindowEntry from './WindowEntry.vue';
import WireEntry from './WireEntry.vue';

/** What the box wears, one thing under the other; it folds away. */
const props = defineProps<{ request: PlanRequest; project: string }>();

/** Open while there is something to see, unless the maker says otherwise. */
const said = shallowRef<boolean>();
const isOpen = computed(() => said.value ?? props.request.additions.length > 0);
</script>

<template>
  <section class="dress" aria-labelledby="dress-heading">
    <h3 id="dress-heading">
      <button
        type="button"
        :aria-expanded="isOpen"
        aria-controls="dress-list"
        @click="said = !isOpen"
      >
        <ChevronDown :size="16" :class="{ shut: !isOpen }" />What it wears
        <span class="count">{{ countWorn(props.request.additions) }}</span>
      </button>
    </h3>
    <div v-show="isOpen" id="dress-list">
      <ul v-if="request.additions.length > 0">
        <template v-for="worn in request.additions" :key="worn.id">
          <PanelEntry
            v-if="worn.addition === 'panel'"
            :panel="worn"
            :unit="request.unit"
            :project="project"
          />
          <BandEntry
            v-else-if="worn.addition === 'band'"
            :band="worn"
            :unit="request.unit"
            :project="project"
          />
          <RibbonEntry
            v-else-if="worn.addition === 'ribbon'"
            :ribbon="worn"
            :unit="request.unit"
            :project="project"
          />
          <SpotEntry
            v-else-if="worn.addition === 'spot'"
            :spot="worn"
            :unit="request.unit"
            :project="project"
          />
          <TagEntry
            v-else-if="worn.addition === 'tag'"
            :hung="worn"
            :unit="request.unit"
            :project="project"
          />
          <HandleEntry
            v-else-if="worn.addition === 'handle'"
            :strip="worn"
            :unit="request.unit"
            :project="project"
          />
          <WireEntry v-else-if="worn.addition === 'wire'" :wire="worn" />
          <InsertEntry
            v-else-if="worn.addition === 'insert'"
            :inside="worn"
            :unit="request.unit"
            :project="project"
          />
          <WindowEntry
            v-else-if="worn.addition === 'window'"
            :hole="worn"
            :unit="request.unit"
            :project="project"
          />
          <PlateEntry v-else :plate="worn" />
        </template>
      </ul>
      <FacePick />
    </div>
  </section>
</template>

<style scoped>
h3 button {
  display: flex;
  align-items: center;
  gap: 5px;
  width: 100%;
  min-height: 28px;
  padding: 0;
  border: 0;
  font: 600 14px var(--text);
  color: var(--ink);
  background: none;
  cursor: pointer;
  white-space: nowrap;
}

.count {
  margin-left: auto;
  white-space: normal;
  text-align: right;
  font-weight: 400;
  font-size: 13px;
  color: var(--ink-soft);
}

.shut {
  transform: rotate(-90deg);
}

ul {
  display: grid;
  gap: 6px;
  margin: 2px 0 4px;
  padding: 0;
  list-style: none;
}
</style>
