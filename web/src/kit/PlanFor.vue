<script setup lang="ts">
import {
  isInKit,
  isOneOfAKind,
  kitWith,
  styleSummary,
  type KeptTool,
  type PlanRequest,
} from '@rangoli/core';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import QuietButton from '../parts/QuietButton.vue';
import { useProject } from '../stores/project.ts';

/** Plans the box that the tools stand beside for one of them, or says that it is; nothing where it makes no difference. */
const props = defineProps<{ kept: KeptTool; project: string; box: PlanRequest }>();

const open = useProject();

const tool = computed(() => {
  const { kept, box } = props;
  if (!isOneOfAKind(kept)) return undefined;
  const { punchBoard } = styleSummary(box.style.style);
  const isOfUse = {
    boards: true,
    trimmers: true,
    diagonalBoards: punchBoard === 'diagonal',
    cornerBoards: punchBoard === 'corner',
  }[kept.kind];
  return isOfUse ? kept : undefined;
});
const isChosen = computed(() => tool.value !== undefined && isInKit(props.box.kit, tool.value));

function plan(): void {
  if (tool.value) open.changeBox('kit', { kit: kitWith(props.box.kit, tool.value) });
}
</script>

<template>
  <p v-if="tool && (isChosen || kept.owned)" role="status">
    <template v-if="isChosen && open.refused">
      This box can’t be made like this.
      <RouterLink :to="{ name: 'box', params: { id: project } }">See what would do</RouterLink>
    </template>
    <template v-else-if="isChosen">This box is planned for it.</template>
    <QuietButton v-else :aria-label="`Plan this box for it: ${kept.tool.name}`" @click="plan"
      >Plan this box for it</QuietButton
    >
  </p>
</template>

<style scoped>
p {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
  margin: 0 0 6px;
  font-size: 14px;
}

a {
  font-weight: 600;
  color: inherit;
}
</style>
