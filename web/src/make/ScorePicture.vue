<script setup lang="ts">
import {
  cuttingMeans,
  lyingWith,
  madeBefore,
  scoringMeans,
  type FlatStep,
  type Job,
  type Kit,
  type Paper,
  type Piece,
} from '@rangoli/core';
import { computed, ref, watch } from 'vue';
import BoardDrawing from './BoardDrawing.vue';
import TurnedPicture from './TurnedPicture.vue';
import { momentsOf, type Moment } from './moments.ts';

/** The piece as it lies on the board or the trimmer, its marks one after the other. */
const props = defineProps<{
  job: Job;
  step: FlatStep;
  kit: Kit;
  piece: Piece;
  paper: Paper;
  /** The colour of the side that is up. */
  colour: string;
  /** Which of the step's marks is at hand. */
  at: number;
}>();
const emit = defineEmits<{ choose: [at: number] }>();

type MarkMoment = Extract<Moment, { kind: 'mark' }>;

const moments = computed(() =>
  momentsOf(props.step).filter((each): each is MarkMoment => each.kind === 'mark'),
);
const moment = computed(() => moments.value[props.at] ?? moments.value[0]);

/** What the score is measured on: the board's grooves, or the trimmer's ruler. */
const ruler = computed(() => {
  const { board, trimmer } = props.kit;
  if (moment.value?.operation.tool === 'board') return board;
  const means = scoringMeans(props.kit);
  const along = means && means.tool !== 'board' ? means : cuttingMeans(props.kit);
  const { unit, step: pitch, reach } = along ?? { ...trimmer, reach: trimmer.widthWithArm };
  return { unit, pitch, reach, fence: 'left' as const };
});

const made = computed(() => madeBefore(props.job, props.step, props.piece, props.paper));
/** Marks of this step that are made already. */
const done = computed(() =>
  moments.value.slice(0, props.at).map(({ operation, mark }) => ({ edge: operation.edge, mark })),
);

function turnsOf({ operation }: MarkMoment): number {
  return lyingWith(operation.edge, ruler.value.fence).turns;
}

/** Quarter turns in all, so that the piece is always turned on and never back. */
const turns = ref(moment.value ? turnsOf(moment.value) : 0);
watch(moment, (now) => {
  if (now) turns.value += (((turnsOf(now) - turns.value) % 4) + 4) % 4;
});

/** The lyings of the step, by the moment at which each begins. */
const lyings = computed(() =>
  moments.value.flatMap(({ operation }, i) =>
    operation.lying === moments.value[i - 1]?.operation.lying ? [] : [i],
  ),
);
const lyingNow = computed(() => lyings.value.filter((start) => start <= props.at).length - 1);

const turnWords = computed(() => {
  const next = moments.value[lyings.value[lyingNow.value + 1] ?? -1] ?? moments.value[0];
  if (lyings.value.length < 2 || !next || !moment.value) return undefined;
  const quarter = (turnsOf(next) - turnsOf(moment.value) + 4) % 4;
  const turn = ['', 'Then a quarter turn', 'Then half a turn', 'Then a quarter turn back'][quarter];
  return { turn: turn ?? '', rest: quarter === 1 ? 'clockwise, the same marks' : 'the same marks' };
});
</script>

<template>
  <TurnedPicture
    :turn="turnWords"
    :passes="lyings.length"
    :at="lyingNow"
    @choose="(lying) => emit('choose', lyings[lying] ?? 0)"
  >
    <BoardDrawing
      v-if="moment"
      :board="ruler"
      :bare="moment.operation.tool !== 'board'"
      :grid="made.grid"
      :colour="colour"
      :operation="moment.operation"
      :mark="moment.mark"
      :turns="turns"
      :done="done"
    />
  </TurnedPicture>
</template>
