<script setup lang="ts">
import { genericBoards, genericTrimmers, type Kit, type Unit } from '@rangoli/core';
import { computed } from 'vue';
import Pick from '../parts/Pick.vue';

/** The marks that the maker's trimmer and board have. */
const props = defineProps<{ kit: Kit; unit: Unit }>();
const emit = defineEmits<{ change: [kit: Kit] }>();

function named<Tool extends { readonly name: string; readonly unit: Unit }>(
  tools: readonly Tool[],
  chosen: Tool,
) {
  return tools
    .filter(({ name, unit }) => unit === props.unit || name === chosen.name)
    .map(({ name }) => ({ value: name, label: name }));
}

const trimmers = computed(() => named(genericTrimmers, props.kit.trimmer));
const boards = computed(() => named(genericBoards, props.kit.board));

function setTrimmer(name: string): void {
  const trimmer = genericTrimmers.find((each) => each.name === name);
  if (trimmer) emit('change', { ...props.kit, trimmer });
}

function setBoard(name: string): void {
  const board = genericBoards.find((each) => each.name === name);
  if (board) emit('change', { ...props.kit, board });
}
</script>

<template>
  <section aria-labelledby="tools-heading" class="tools">
    <h3 id="tools-heading" class="visually-hidden">Tools</h3>
    <div>
      <span>Trimmer</span>
      <Pick label="Trimmer" :value="kit.trimmer.name" :options="trimmers" @change="setTrimmer" />
    </div>
    <div>
      <span>Scoring board</span>
      <Pick label="Scoring board" :value="kit.board.name" :options="boards" @change="setBoard" />
    </div>
  </section>
</template>

<style scoped>
.tools {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}

.tools > div {
  min-width: 0;
}

span {
  display: block;
  margin-bottom: 2px;
  font-size: 12px;
  color: var(--ink-soft);
}
</style>
