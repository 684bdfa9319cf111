<script setup lang="ts">
import { computed } from 'vue';
import Pick from '../parts/Pick.vue';
import { usePapers } from '../stores/papers.ts';
import { useDressing, type OfOnePaper } from './dressing.ts';

/** The paper of something that is all of one paper. */
const props = defineProps<{ worn: OfOnePaper; label: string }>();

const dressing = useDressing();
const papers = usePapers();

const choices = computed(() => papers.choicesWith(props.worn.paper));

function setPaper(id: string): void {
  const paper = papers.atHand.find((each) => each.id === id);
  if (paper) dressing.setPaper(props.worn, papers.learned(paper, props.worn.paper.sheet));
}
</script>

<template>
  <Pick :label="`${label}: paper`" :value="worn.paper.id" :options="choices" @change="setPaper" />
</template>
