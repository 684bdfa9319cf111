<script setup lang="ts">
import {
  countInWords,
  cutSizeOf,
  scoredBefore,
  type Job,
  type JobStep,
  type Kit,
  type Piece,
  type ScoreStep,
} from '@rangoli/core';
import { RotateCw } from '@lucide/vue';
import { computed } from 'vue';
import BoardDrawing from './BoardDrawing.vue';
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

/** What the score is measured on: the board's grooves, or the trimmer's ruler. */
const ruler = computed(() => {
  const { board, trimmer } = props.kit;
  if (props.score.tool === 'board') return board;
  const { unit, step: pitch, widthWithArm: reach } = trimmer;
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
  <div class="picture">
    <BoardDrawing
      class="drawing"
      :board="ruler"
      :bare="score.tool !== 'board'"
      :piece="piece"
      :colour="colour"
      :step="score"
      :pass="pass"
      :turns="turns"
      :scored="scored"
    />
    <aside v-if="turnWords" class="turn">
      <RotateCw :size="58" :stroke-width="2.2" aria-hidden="true" />
      <b>{{ turnWords.turn }}</b>
      <span>{{ turnWords.rest }}</span>
      <div class="passes" role="group" aria-label="Show one side">
        <button
          v-for="(_, i) in score.passes"
          :key="i"
          type="button"
          :aria-pressed="i === pass"
          @click="choose(i)"
        >
          {{ i + 1 }}
        </button>
      </div>
    </aside>
  </div>
</template>

<style scoped>
.picture {
  display: flex;
  gap: 22px;
  height: 100%;
}

.drawing {
  flex: 1;
}

.turn {
  display: flex;
  flex: none;
  flex-direction: column;
  gap: 4px;
  width: 150px;
  padding-top: 26px;
  color: #d3e2dd;
}

.turn b {
  margin-top: 6px;
  font-size: 17px;
  color: #ffffff;
}

.passes {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 8px;
}

.passes button {
  width: 34px;
  height: 34px;
  border: 2px solid #7fa79e;
  border-radius: 50%;
  font: 700 15px var(--figures);
  color: #ffffff;
  background: none;
  cursor: pointer;
}

.passes button[aria-pressed='true'] {
  border-color: var(--turmeric);
  color: var(--ink);
  background: var(--turmeric);
}

.passes button:focus-visible {
  outline: 3px solid #ffffff;
  outline-offset: 2px;
}

@media (max-width: 560px) {
  .picture {
    flex-direction: column;
    height: auto;
  }

  .drawing {
    flex: none;
    height: 300px;
  }

  .turn {
    flex-flow: row wrap;
    align-items: center;
    width: auto;
    padding: 0;
  }

  .turn svg {
    width: 30px;
    height: 30px;
  }

  .turn span {
    display: none;
  }

  .passes {
    margin: 0 0 0 auto;
  }
}
</style>
