<script setup lang="ts">
import type { PlanRequest } from '@rangoli/core';
import { ChevronDown } from '@lucide/vue';
import { computed, shallowRef } from 'vue';
import Pick from '../parts/Pick.vue';
import { countWorn } from './dress-words.ts';
import { useDressing } from './dressing.ts';
import PanelEntry from './PanelEntry.vue';
import { usePointing } from './pointing.ts';

/** What the box wears, one thing under the other; it folds away. */
const props = defineProps<{ request: PlanRequest; project: string }>();

const dressing = useDressing();
const pointing = usePointing();
/** Open while there is something to see, unless the maker says otherwise. */
const said = shallowRef<boolean>();
const isOpen = computed(() => said.value ?? props.request.additions.length > 0);

const choices = computed(() =>
  dressing.faces
    .filter(({ face }) => !dressing.wornOn(face))
    .map(({ said }, at) => ({ value: String(at), label: said })),
);

function chooseFace(label: string | undefined): void {
  const found = dressing.faces.find(({ said }) => said === label);
  if (!found) return;
  pointing.point(found.face);
  dressing.putOn({ which: 'face', face: found.face });
}
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
        <PanelEntry
          v-for="panel in request.additions"
          :key="panel.id"
          :panel="panel"
          :unit="request.unit"
          :project="project"
        />
      </ul>
      <p class="how">Click a face of the box, or choose it here.</p>
      <Pick
        label="Put a panel on"
        :value="undefined"
        placeholder="Put a panel on…"
        :options="choices"
        @change="(at) => chooseFace(choices.find(({ value }) => value === at)?.label)"
      />
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
}

.count {
  margin-left: auto;
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

.how {
  margin-bottom: 2px;
  font-size: 12px;
  line-height: 1.3;
  color: var(--ink-soft);
}
</style>
