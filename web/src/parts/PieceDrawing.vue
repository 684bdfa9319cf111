<script setup lang="ts">
import type { Piece } from '@rangoli/core';
import { computed, useId } from 'vue';
import type { LaidPrint } from '../prints/card-look.ts';
import { flatMatrix } from '../prints/print-matrix.ts';
import PrintPattern from '../prints/PrintPattern.vue';
import { isDark } from './colour.ts';
import { drawPiece } from './piece-paths.ts';

/** A piece in its card's colour, in millimetres from its top left corner; lines by dash and weight. */
const props = defineProps<{
  piece: Pick<Piece, 'grid'>;
  colour: string;
  /** Millimetres of the drawing for one pixel on the screen, so that lines keep their weight. */
  grain: number;
  /** A piece on the bench shows what is made on it, and not yet where its glue goes. */
  onBench?: boolean;
  /** The print on the side that is up. */
  laid?: LaidPrint | undefined;
}>();

const id = useId();

const drawn = computed(() => drawPiece(props.piece));
/** Film is looked through. */
const isFilm = computed(() => props.piece.grid.roles[0]?.[0] === 'film');
const ink = computed(() => (isDark(props.colour) ? '#ffffff' : '#14302d'));
</script>

<template>
  <g class="piece" :style="{ '--grain': grain, '--line': ink }">
    <path class="card" :class="{ film: isFilm }" :d="drawn.outline" :fill="colour" />
    <template v-if="laid">
      <PrintPattern :id="id" :print="laid.print" :matrix="flatMatrix(laid)" />
      <path :d="drawn.outline" :fill="`url(#${id})`" />
    </template>
    <template v-if="!onBench">
      <path v-for="(face, i) in drawn.glued" :key="i" class="glued" :d="face" />
    </template>
    <line
      v-for="(line, i) in drawn.lines"
      :key="i"
      :class="line.kind"
      :x1="line.from.x"
      :y1="line.from.y"
      :x2="line.to.x"
      :y2="line.to.y"
    />
    <path class="edge" :d="drawn.outline" />
  </g>
</template>

<style scoped>
.piece {
  --px: calc(var(--grain) * 1px);
}

.film {
  fill-opacity: 0.45;
}

.edge {
  fill: none;
  stroke: #ffffff;
  stroke-width: calc(1.6 * var(--px));
  stroke-linejoin: round;
}

.glued {
  fill: url('#glue-hatch');
}

line {
  stroke: var(--line);
  stroke-width: calc(1.5 * var(--px));
}

.valley {
  stroke-dasharray: calc(6 * var(--px)) calc(4 * var(--px));
}

.mountain {
  stroke-dasharray: calc(9 * var(--px)) calc(3 * var(--px)) calc(2 * var(--px)) calc(3 * var(--px));
}

.mark {
  stroke-dasharray: calc(1.5 * var(--px)) calc(4 * var(--px));
}

.slit {
  stroke-width: calc(3.2 * var(--px));
}
</style>
