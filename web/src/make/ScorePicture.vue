<script setup lang="ts">
import {
  countInWords,
  cutSizeOf,
  cuttingMeans,
  scoredBefore,
  scoringMeans,
  type Job,
  type JobStep,
  type Kit,
  type Piece,
  type ScoreStep,
} from '@rangoli/core';
import { computed } from 'vue';
import BoardDrawing from './BoardDrawing.vue';
import TurnedPicture from './TurnedPicture.vue';
import { usePasses } from './use-passes.ts';

/** A setting of the board or the ruler: the piece as it lies, side after side, and how it is turned. */
const props = defineProps<{
  job: Job;
  step: JobStep;
  score: ScoreStep;
  kit: Kit;
  piece: Piece;
  colour: string;
}>();

/** What the score is measured on: the board's grooves, or the ruler that it is made along. */
const ruler = computed(() => {
  const { board, trimmer } = props.kit;
  if (props.score.tool === 'board') return board;
  const means = scoringMeans(props.kit);
  const along = means && means.tool !== 'board' ? means : cuttingMeans(props.kit);
  const { unit, step: pitch, reach } = along ?? { ...trimmer, reach: trimmer.widthWithArm };
  return { unit, pitch, reach, fence: 'left' as const };
});
const scored = computed(() => scoredBefore(props.job, props.step, cutSizeOf(props.piece.grid)));
const { pass, turns, choose } = usePasses(
  () => props.score,
  () => ruler.value.fence,
);

const turnWords = computed(() => {
  const { passes } = props.score;
  const [, next] = passes;
  if (!next) return undefined;
  const turn = {
    none: 'Then once more',
    quarter: 'Then a quarter turn',
    half: 'Then half a turn',
    'three quarters': 'Then a quarter turn back',
  }[next.turn];
  const sides =
    passes.length === 4 ? 'all four sides' : `${countInWords(passes.length)} times in all`;
  return { turn, rest: `same mark, ${sides}` };
});
</script>

<template>
  <TurnedPicture :turn="turnWords" :passes="score.passes.length" :at="pass" @choose="choose">
    <BoardDrawing
      :board="ruler"
      :bare="score.tool !== 'board'"
      :piece="piece"
      :colour="colour"
      :step="score"
      :pass="pass"
      :turns="turns"
      :scored="scored"
    />
  </TurnedPicture>
</template>
