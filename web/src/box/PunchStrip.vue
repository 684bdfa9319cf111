<script setup lang="ts">
import {
  cutSizeOf,
  inchFraction,
  millimetres,
  type Kit,
  type LineRef,
  type Piece,
  type PunchTold,
} from '@rangoli/core';
import { computed } from 'vue';
import RulerStrip from '../parts/RulerStrip.vue';
import { useHighlight } from '../stores/highlight.ts';
import StripBlock from './StripBlock.vue';

/** How a punch board is set for a piece: its marks on the board's ruler, and how it goes on from there. */
const props = defineProps<{ piece: Piece; punch: PunchTold; kit: Kit }>();

const highlight = useHighlight();

const lines = computed((): readonly LineRef[] => {
  const { columns, rows } = props.piece.grid;
  return [
    ...columns.slice(1).map((_, i) => ({ axis: 'column', index: i + 1 }) as const),
    ...rows.slice(1).map((_, i) => ({ axis: 'row', index: i + 1 }) as const),
  ];
});
const isLit = computed(() => lines.value.some((line) => highlight.isLit(props.piece.id, line)));
const marks = computed(() => props.punch.marks.map((reading) => ({ reading, isLit: isLit.value })));
/** The board's own ruler; a corner board has marks and no steps, and is drawn with usual ones. */
const ruler = computed(() => {
  const { diagonalBoard, cornerBoard, trimmer } = props.kit;
  if (props.piece.punchBoard === 'diagonal' && diagonalBoard)
    return { pitch: diagonalBoard.step, unit: diagonalBoard.unit };
  const { unit } = cornerBoard ?? trimmer;
  return { pitch: unit === 'inch' ? inchFraction(1, 16) : millimetres(1), unit };
});
</script>

<template>
  <StripBlock
    :headline="punch.headline"
    :is-lit="isLit"
    @light="highlight.light(piece.id, lines)"
    @unlight="highlight.unlight()"
  >
    <RulerStrip :length="cutSizeOf(piece.grid).width" v-bind="ruler" :marks="marks" />
    <template #words
      ><span v-for="word in punch.words" :key="word">{{ word }}</span></template
    >
  </StripBlock>
</template>
