<script setup lang="ts">
import type { StiffenerChoice } from '@rangoli/core';
import { computed } from 'vue';
import CrossButton from '../parts/CrossButton.vue';
import Pick from '../parts/Pick.vue';
import { usePapers } from '../stores/papers.ts';
import { useDressing } from './dressing.ts';

/** A plate on the floor of the box: its paper. */
const props = defineProps<{ stiffener: StiffenerChoice }>();

const dressing = useDressing();
const papers = usePapers();

const choices = computed(() => papers.choicesWith(props.stiffener.paper));

function setPaper(id: string): void {
  const paper = papers.atHand.find((each) => each.id === id);
  if (paper) dressing.setPaper(props.stiffener, papers.learned(paper, props.stiffener.paper.sheet));
}
</script>

<template>
  <li class="entry">
    <strong>Stiffener on the floor</strong>
    <CrossButton label="Take the stiffener out" @click="dressing.takeOff(stiffener)" />
    <Pick
      label="Stiffener: paper"
      :value="stiffener.paper.id"
      :options="choices"
      @change="setPaper"
    />
  </li>
</template>

<style scoped>
.entry {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 26px;
  gap: 3px 4px;
  align-items: center;
  padding: 5px 0 3px 8px;
  border-left: 3px solid var(--line);
  font-size: 13px;
}
</style>
