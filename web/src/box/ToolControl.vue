<script setup lang="ts">
import { toolsAtHand, type Kit, type Unit } from '@rangoli/core';
import { computed } from 'vue';
import Pick from '../parts/Pick.vue';
import { useToolbox } from '../stores/toolbox.ts';

/** The tools that the box is planned for, out of those that the maker has. */
const props = defineProps<{ kit: Kit; unit: Unit }>();
const emit = defineEmits<{ change: [kit: Kit] }>();

const box = useToolbox();
void box.open();

interface Named {
  readonly id: string;
  readonly name: string;
  readonly unit: Unit;
}

/** The maker's own whatever their ruler; of what is only shipped those in the box's unit. */
function named(kept: readonly { owned: boolean; tool: Named }[], chosen: Named) {
  const hasOwn = kept.some(({ owned }) => owned);
  const tools = toolsAtHand(kept).filter(({ unit }) => hasOwn || unit === props.unit);
  const all = tools.some(({ id }) => id === chosen.id) ? tools : [...tools, chosen];
  return all.map(({ id, name }) => ({ value: id, label: name }));
}

const trimmers = computed(() => named(box.toolbox.trimmers, props.kit.trimmer));
const boards = computed(() => named(box.toolbox.boards, props.kit.board));

function setTrimmer(id: string): void {
  const found = box.toolbox.trimmers.find(({ tool }) => tool.id === id);
  if (found) emit('change', { ...props.kit, trimmer: found.tool });
}

function setBoard(id: string): void {
  const found = box.toolbox.boards.find(({ tool }) => tool.id === id);
  if (found) emit('change', { ...props.kit, board: found.tool });
}
</script>

<template>
  <section aria-labelledby="tools-heading" class="tools">
    <h3 id="tools-heading" class="visually-hidden">Tools</h3>
    <div>
      <span>Trimmer</span>
      <Pick label="Trimmer" :value="kit.trimmer.id" :options="trimmers" @change="setTrimmer" />
    </div>
    <div>
      <span>Scoring board</span>
      <Pick label="Scoring board" :value="kit.board.id" :options="boards" @change="setBoard" />
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
