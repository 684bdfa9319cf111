<script setup lang="ts">
import { paperFor, type Job, type JobStep, type Plan, type PlanRequest } from '@rangoli/core';
import { computed } from 'vue';
import FoldPicture from './FoldPicture.vue';
import PieceFocus from './PieceFocus.vue';
import ScorePicture from './ScorePicture.vue';
import PunchPicture from './PunchPicture.vue';
import TrimPicture from './TrimPicture.vue';

/** What a step looks like on the table: sheets, the board, the piece with its places, or the box folding. */
const props = defineProps<{ plan: Plan; request: PlanRequest; job: Job; step: JobStep }>();

const work = computed(() => props.step.work);
const piece = computed(() => props.plan.pieces.find(({ id }) => id === work.value.piece));
const colour = computed(() => paperFor(props.request.papers, piece.value?.paper ?? 0).colour);

/** A step of the assembly: which stage of the folding, and the one piece while nothing is put to it. */
const folding = computed(() => {
  const now = work.value;
  if (!('stage' in now) || now.kind === 'fold') return undefined;
  // While the piece lies flat, its holes are shown.
  if (now.kind === 'fasten' && now.when === 'flat') return undefined;
  const { parts } = props.plan.assembly;
  // What is glued round another piece is shown as it goes over it.
  if (now.kind === 'glue' && now.round !== undefined)
    return { stage: parts.find((part) => part.piece === now.piece)?.joins ?? now.stage };
  const isAlone = now.kind === 'glue' || (now.kind === 'close' && !now.isLast);
  return { stage: now.stage, ...(isAlone && { piece: now.piece }) };
});
</script>

<template>
  <ScorePicture
    v-if="work.kind === 'score' && piece"
    :job="job"
    :step="step"
    :score="work"
    :kit="request.kit"
    :piece="piece"
    :colour="colour"
  />
  <TrimPicture
    v-else-if="work.kind === 'trim'"
    :plan="plan"
    :request="request"
    :boxes="job.boxes"
    :trim="work"
  />
  <PunchPicture
    v-else-if="work.kind === 'punch' && piece"
    :punch="work"
    :kit="request.kit"
    :piece="piece"
    :colour="colour"
  />
  <FoldPicture
    v-else-if="folding"
    :plan="plan"
    :papers="request.papers"
    :stage="folding.stage"
    :piece="folding.piece"
  />
  <PieceFocus v-else-if="piece" :piece="piece" :colour="colour" :work="work" />
</template>
