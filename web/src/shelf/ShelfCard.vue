<script setup lang="ts">
import { Copy, Ruler, Trash2 } from '@lucide/vue';
import { useIntersectionObserver } from '@vueuse/core';
import { computed, onBeforeUnmount, shallowRef, useTemplateRef } from 'vue';
import type { StoredProject } from '../api/projects.ts';
import { drawnOnShelf } from '../first-sight/shelf-seen.ts';
import { inTurn } from '../parts/in-turn.ts';
import { usePlanned } from '../planner/use-planned.ts';
import BoxCard from './BoxCard.vue';

/** A box on the shelf, planned and drawn when it comes into sight, with what can be done with it. */
const props = defineProps<{ project: StoredProject }>();
const emit = defineEmits<{ duplicate: []; remove: []; resize: [] }>();

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

const planned = usePlanned(() => (isSeen.value ? props.project.document.box : undefined));
const result = computed(() => planned.value?.result);
const plan = computed(() => (result.value?.ok ? result.value.plan : undefined));
const why = computed(() =>
  result.value?.ok === false ? result.value.problems[0]?.message : undefined,
);
/** As the server has drawn it, until it is drawn here or is another one. */
const drawn = { revision: props.project.revision, html: drawnOnShelf(props.project.id) };
const seen = computed(() => (props.project.revision === drawn.revision ? drawn.html : undefined));

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
  <BoxCard
    :id="project.id"
    ref="card"
    :document="project.document"
    :plan="plan"
    :why="why"
    :seen="seen"
  >
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
  </BoxCard>
</template>

<style scoped>
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
