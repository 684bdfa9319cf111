<script setup lang="ts">
import type { Piece, RulerStrip as Strip } from '@rangoli/core';
import { computed } from 'vue';
import RulerStrip from '../parts/RulerStrip.vue';
import Worded from '../parts/Worded.vue';
import { useHighlight } from '../stores/highlight.ts';
import StripBlock from './StripBlock.vue';

/** An edge of a piece along its ruler, with the marks that are made in one lying. */
const props = defineProps<{ piece: Piece; strip: Strip }>();

const highlight = useHighlight();

const marks = computed(() =>
  props.strip.marks.map(({ reading, lines }) => ({
    reading,
    isLit: lines.some((line) => highlight.isLit(props.piece.id, line)),
  })),
);
/** Where the marks are, those off the grooves told apart. */
const words = computed(() =>
  props.strip.marks.flatMap(({ words: said, isOff }) =>
    said === undefined ? [] : [{ said, isOff }],
  ),
);

/** Beside the marks, all of the strip’s lines light. */
function light(): void {
  highlight.light(
    props.piece.id,
    props.strip.marks.flatMap(({ lines }) => lines),
  );
}

/** A mark under the pointer lights alone. */
function lightMark(mark: number): void {
  highlight.light(props.piece.id, props.strip.marks[mark]?.lines ?? []);
}
</script>

<template>
  <StripBlock
    :headline="strip.headline"
    :is-lit="marks.some(({ isLit }) => isLit)"
    @light="light"
    @unlight="highlight.unlight()"
  >
    <RulerStrip
      :length="strip.length"
      :pitch="strip.pitch"
      :unit="strip.unit"
      :marks="marks"
      @mark="lightMark"
    />
    <template v-if="words.length > 0" #words>
      <span v-for="({ said, isOff }, n) in words" :key="n" :class="{ off: isOff }"
        ><Worded :text="said"
      /></span>
    </template>
  </StripBlock>
</template>
