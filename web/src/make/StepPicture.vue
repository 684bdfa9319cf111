<script setup lang="ts">
import {
  papersOf,
  madeBefore,
  paperFor,
  type FlatStep,
  type Job,
  type Plan,
  type PlanRequest,
  type SheetUse,
  type Step,
} from '@rangoli/core';
import { computed } from 'vue';
import { cardLook, frontOf } from '../prints/card-look.ts';
import AssemblyPicture from './AssemblyPicture.vue';
import PieceFocus from './PieceFocus.vue';
import PunchPicture from './PunchPicture.vue';
import ScorePicture from './ScorePicture.vue';
import SpotPicture from './SpotPicture.vue';
import TagPicture from './TagPicture.vue';
import TrimPicture from './TrimPicture.vue';

/** What a step looks like on the table: sheets, the board, the piece with its places, or the box folding. */
const props = defineProps<{
  plan: Plan;
  request: PlanRequest;
  job: Job;
  sheets: readonly SheetUse[];
  step: Step;
  /** Which moment of the step is at hand. */
  at: number;
}>();
const emit = defineEmits<{ choose: [at: number] }>();

const piece = computed(() => props.plan.pieces.find(({ id }) => id === props.step.piece));
const paper = computed(() => paperFor(papersOf(props.request), piece.value?.paper ?? 0));
/** The colour of the side that lies up: a print lies down. */
const look = computed(
  () => piece.value && cardLook(piece.value, paper.value, frontOf(props.plan, piece.value.id)),
);
const colour = computed(() => look.value?.inside.colour ?? paper.value.colour);
const spot = computed(() => {
  if (props.step.kind !== 'assembly') return undefined;
  const [first] = props.step.operations;
  return first.kind === 'spot' ? first : undefined;
});
const tag = computed(() => {
  if (props.step.kind !== 'assembly') return undefined;
  const [first] = props.step.operations;
  return first.kind === 'tag' ? first : undefined;
});
/** How the fronts of a tag’s pieces look. */
const fronts = computed(
  () =>
    new Map(
      props.plan.pieces.map((each) => {
        const own = paperFor(papersOf(props.request), each.paper);
        return [each.id, cardLook(each, own, 'outside').outside] as const;
      }),
    ),
);
const cut = computed(() =>
  props.step.kind === 'cut' ? (props.step.cuts[props.at] ?? props.step.cuts[0]) : undefined,
);
const flat = computed((): FlatStep | undefined =>
  props.step.kind === 'flat' ? props.step : undefined,
);
const isOnTool = computed(() => flat.value?.bench === 'board' || flat.value?.bench === 'tip');
const punch = computed(() => {
  const here = flat.value?.operations[props.at] ?? flat.value?.operations[0];
  return here?.kind === 'punch' ? here : undefined;
});

/** The piece as it is when the step begins. */
const made = computed(
  () => piece.value && madeBefore(props.job, props.step, piece.value, paper.value),
);

/** A step of the assembly that is shown in space; what is done to a flat piece is shown on it. */
const folding = computed(() => {
  const now = props.step;
  if (now.kind !== 'assembly') return undefined;
  const [first] = now.operations;
  const isFlat = first.kind === 'fold' || (first.kind === 'thread' && now.from === 0);
  return isFlat ? undefined : now;
});
</script>

<template>
  <ScorePicture
    v-if="flat && isOnTool && piece"
    :job="job"
    :step="flat"
    :kit="request.kit"
    :piece="piece"
    :paper="paper"
    :colour="colour"
    :at="at"
    @choose="(to) => emit('choose', to)"
  />
  <TrimPicture v-else-if="cut" :plan="plan" :request="request" :sheets="sheets" :trim="cut" />
  <PunchPicture
    v-else-if="punch && piece"
    :punch="punch"
    :kit="request.kit"
    :piece="piece"
    :colour="colour"
  />
  <SpotPicture
    v-else-if="spot && piece && look"
    :piece="piece"
    :outside="look.outside"
    :spot="spot.spot"
    :kit="request.kit"
  />
  <TagPicture v-else-if="tag" :tag="tag.tag" :pieces="plan.pieces" :fronts="fronts" />
  <AssemblyPicture
    v-else-if="folding"
    :plan="plan"
    :papers="papersOf(request)"
    :gift="plan.gift"
    :step="folding"
    :at="at"
  />
  <PieceFocus
    v-else-if="piece && made"
    :piece="piece"
    :made="made"
    :colour="colour"
    :operations="step.kind === 'cut' || step.kind === 'own' ? [] : step.operations"
  />
</template>
