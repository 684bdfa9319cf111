<script setup lang="ts">
import {
  cutSizeOf,
  isFlatOperation,
  litBy,
  litCutouts,
  toMillimetres,
  type AsMade,
  type Lit,
  type Operation,
  type Piece,
} from '@rangoli/core';

import { computed, useTemplateRef } from 'vue';
import PieceDrawing from '../parts/PieceDrawing.vue';
import { drawPiece } from '../parts/piece-paths.ts';
import { useFrameSize } from '../parts/use-frame-size.ts';

/** A piece laid out large, as it is when the step begins, with what is to be done to it lit. */
const props = defineProps<{
  piece: Piece;
  made: AsMade;
  colour: string;
  operations: readonly Operation[];
}>();

const frame = useTemplateRef('frame');
const { width, height } = useFrameSize(frame);
const size = computed(() => {
  const { width: across, height: down } = cutSizeOf(props.piece.grid);
  return { across: toMillimetres(across), down: toMillimetres(down) };
});
const border = 8;
const scale = computed(() =>
  Math.min(
    width.value / (size.value.across + 2 * border),
    height.value / (size.value.down + 2 * border),
    5,
  ),
);
const grain = computed(() => 1 / scale.value);

/** What each operation is about; folds are all the scores that are folded. */
const lit = computed(() =>
  props.operations.map((operation): Lit => {
    switch (operation.kind) {
      case 'fold':
        return {
          lines: drawPiece(props.piece).lines.filter(
            ({ kind }) => kind !== 'slit' && kind !== 'mark',
          ),
          areas: [],
        };
      case 'thread':
        return litCutouts(operation.cutouts, props.piece);
      default:
        return isFlatOperation(operation)
          ? litBy(operation, props.piece)
          : { lines: [], areas: [] };
    }
  }),
);
const runs = computed(() => lit.value.flatMap(({ lines }) => lines));
const areas = computed(() =>
  lit.value.flatMap((each) =>
    each.areas.map((ring) => ring.map(({ x, y }) => `${x},${y}`).join(' ')),
  ),
);
</script>

<template>
  <div ref="frame" class="measured-frame">
    <svg
      :width="(size.across + 2 * border) * scale"
      :height="(size.down + 2 * border) * scale"
      :viewBox="`${-border} ${-border} ${size.across + 2 * border} ${size.down + 2 * border}`"
      role="img"
      :aria-label="`${piece.name}, what is to be done is marked`"
    >
      <PieceDrawing :piece="{ grid: made.grid }" :colour="colour" :grain="grain" on-bench />
      <line
        v-for="(run, i) in runs"
        :key="`run ${i}`"
        class="run"
        :x1="run.from.x"
        :y1="run.from.y"
        :x2="run.to.x"
        :y2="run.to.y"
        :stroke-width="4.5 * grain"
      />
      <polygon
        v-for="(area, i) in areas"
        :key="`area ${i}`"
        class="area"
        :points="area"
        :stroke-width="2.5 * grain"
      />
    </svg>
  </div>
</template>

<style scoped>
svg {
  overflow: visible;
}

.run {
  stroke: var(--turmeric);
  stroke-linecap: round;
}

.area {
  fill: rgb(242 179 28 / 45%);
  stroke: var(--turmeric);
  stroke-linejoin: round;
}
</style>
