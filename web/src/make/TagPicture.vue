<script setup lang="ts">
import { cutSizeOf, half, toMillimetres, zero, type Piece, type TagOperation } from '@rangoli/core';
import { computed, useTemplateRef } from 'vue';
import PieceDrawing from '../parts/PieceDrawing.vue';
import { useFrameSize } from '../parts/use-frame-size.ts';
import type { CardSide } from '../prints/card-look.ts';

/** A tag from its front, layer on layer, with its hole. */
const props = defineProps<{
  tag: TagOperation['tag'];
  pieces: readonly Piece[];
  /** How the front of each of its pieces looks. */
  fronts: ReadonlyMap<string, CardSide>;
}>();

const frame = useTemplateRef('frame');
const { width, height } = useFrameSize(frame);

const all = computed(() =>
  [props.tag.piece, ...props.tag.layers.map(({ piece }) => piece)].flatMap((id) => {
    const piece = props.pieces.find((each) => each.id === id);
    return piece ? [piece] : [];
  }),
);

/** As large as it hangs: what is folded is half as high. */
const size = computed(() => {
  const [base] = all.value;
  const { width: across, height: down } = base
    ? cutSizeOf(base.grid)
    : { width: zero, height: zero };
  const high = props.tag.isFolded ? half(down) : down;
  return { across: toMillimetres(across), down: toMillimetres(high) };
});
const margin = 24;

/** Where the punch cuts, drawn as an arch: what its own shape is, only the maker sees. */
const shapedEnd = computed(() => {
  const { across, down } = size.value;
  const deep = Math.min(across / 5, down / 4);
  return `M0,${deep} Q${across / 2},${-deep} ${across},${deep}`;
});

const scale = computed(() =>
  Math.max(
    0.1,
    Math.min(
      (width.value - 2 * margin) / (size.value.across || 1),
      (height.value - 2 * margin) / (size.value.down || 1),
      6,
    ),
  ),
);

/** Where each layer lies: in the middle of the tag, the front half of what is folded. */
const placed = computed(() =>
  all.value.map((piece, i) => {
    const { width: across, height: down } = cutSizeOf(piece.grid);
    const isBase = i === 0;
    return {
      piece,
      x: (size.value.across - toMillimetres(across)) / 2,
      y:
        isBase && props.tag.isFolded
          ? -size.value.down
          : (size.value.down - toMillimetres(down)) / 2,
      wide: toMillimetres(across),
      front: props.fronts.get(piece.id),
    };
  }),
);
</script>

<template>
  <div ref="frame" class="measured-frame">
    <svg
      :width="size.across * scale + 2 * margin"
      :height="size.down * scale + 2 * margin"
      role="img"
      aria-label="The tag from its front, with all its layers"
    >
      <defs>
        <clipPath id="front-of-tag">
          <rect
            :x="-1"
            :y="tag.isFolded ? 0 : -1"
            :width="size.across + 2"
            :height="size.down + 2"
          />
        </clipPath>
      </defs>
      <g :transform="`translate(${margin} ${margin}) scale(${scale})`">
        <g clip-path="url(#front-of-tag)">
          <g
            v-for="{ piece, x, y, wide, front } in placed"
            :key="piece.id"
            :transform="`translate(${x + wide} ${y}) scale(-1 1)`"
          >
            <PieceDrawing
              :piece="piece"
              :colour="front?.colour ?? '#ffffff'"
              :laid="front?.laid"
              :grain="1 / scale"
              on-bench
            />
          </g>
        </g>
        <path v-if="tag.endPunch" class="shaped" :d="shapedEnd" />
        <circle
          v-if="tag.hole"
          class="hole"
          :cx="size.across / 2"
          :cy="toMillimetres(tag.hole.fromTop)"
          :r="toMillimetres(half(tag.hole.across))"
        />
      </g>
    </svg>
  </div>
</template>

<style scoped>
.shaped {
  fill: none;
  stroke: var(--mat);
  stroke-width: 2;
  stroke-dasharray: 5 4;
  vector-effect: non-scaling-stroke;
}

.hole {
  fill: var(--mat);
}
</style>
