<script setup lang="ts">
import {
  cutSizeOf,
  grooveFor,
  quarterTurnsTo,
  scoreRun,
  stretchOnBoard,
  toMillimetres,
  zero,
  type Piece,
  type ScoreRun,
  type ScoreStep,
  type ScoringBoard,
} from '@rangoli/core';
import { useMediaQuery } from '@vueuse/core';
import { computed } from 'vue';
import { isDark } from '../parts/colour.ts';
import { cornerAfter, drawnRun } from './drawn-sheet.ts';
import ToolFrame from './ToolFrame.vue';
import ToolMarks from './ToolMarks.vue';

/** The scoring board as it lies in front of the maker, the piece against its fence, the line to score lit. */
const props = defineProps<{
  /** The grooves, or the marks of a ruler where there are none. */
  board: Pick<ScoringBoard, 'unit' | 'pitch' | 'reach' | 'fence'>;
  /** Measured along a ruler that lies on the card, with no board under it. */
  bare?: boolean;
  piece: Piece;
  colour: string;
  step: ScoreStep;
  /** Which of the step's scores is at hand. */
  pass: number;
  /** How often the piece has been turned by a quarter in all, so that it never turns back. */
  turns: number;
  /** What has been scored on the piece already. */
  scored: readonly ScoreRun[];
}>();

/** On a narrow screen the board is drawn only as far as it is needed. */
const isNarrow = useMediaQuery('(max-width: 560px)');

/** Millimetres of the drawing round the grooves: the fence on the left, the ruler on top, a free edge. */
const fence = 6;
const ruler = 17;
const border = 8;
/** Card never lies closer to the board's lower end than this. */
const below = 26;

const size = computed(() => {
  const { width: across, height: down } = cutSizeOf(props.piece.grid);
  return { width: across, height: down };
});
const wide = computed(() => toMillimetres(size.value.width));
const tall = computed(() => toMillimetres(size.value.height));
/** How far the piece reaches along the ruler and down the board, in every way that it is laid here. */
const lies = computed(() => {
  const turned = props.step.passes.map(({ edge }) => edge === 'top' || edge === 'bottom');
  const across = turned.map((isTurned) => (isTurned ? tall.value : wide.value));
  const down = turned.map((isTurned) => (isTurned ? wide.value : tall.value));
  return { across: Math.max(...across), down: Math.max(...down) };
});
/** A board is known by its whole length; of a ruler only what lies along the card is of use. */
const reach = computed(() => {
  const whole = toMillimetres(props.board.reach);
  return isNarrow.value || props.bare ? Math.min(whole, lies.value.across + 40) : whole;
});

const across = computed(() => fence + Math.max(reach.value, lies.value.across) + 2 * border);
const down = computed(() => ruler + lies.value.down + below);

const pass = computed(() => props.step.passes[props.pass] ?? props.step.passes[0]);
const quarters = computed(() =>
  pass.value ? quarterTurnsTo(pass.value.edge, props.board.fence) : 0,
);

/** Away from the fence: to the right of one on the left, and the other way round. */
const away = computed((): 1 | -1 => (props.board.fence === 'left' ? 1 : -1));
/** Where the board's left edge is drawn. */
const start = computed(() =>
  props.board.fence === 'left' ? -fence - border : fence + border - across.value,
);

/** How far the shim keeps the piece off the fence. */
const shim = computed(() => toMillimetres(props.step.shim ?? zero));

/** The piece brought to lie in the corner of fence and ruler, turned clockwise. */
const placed = computed(() => {
  const { x, y } = cornerAfter(quarters.value, wide.value, tall.value);
  const [wider, higher] =
    quarters.value % 2 === 0 ? [wide.value, tall.value] : [tall.value, wide.value];
  const left = x - (props.board.fence === 'left' ? 0 : wider);
  // Turned on from where it lay, not back to it.
  const angle = 90 * props.turns;
  const turned = `translate(${left}px, ${y}px) rotate(${angle}deg)`;
  // Over end to end, the same edge stays at the fence.
  const over = pass.value?.over ? `translate(0px, ${higher}px) scale(1, -1) ` : '';
  return { transform: `translate(${away.value * shim.value}px, 0px) ${over}${turned}` };
});

const runs = computed(() => {
  const { passes, reading } = props.step;
  const before = passes
    .slice(0, props.pass)
    .map((each) => scoreRun(each, reading, size.value.width, size.value.height));
  return [...props.scored, ...before].map(drawnRun);
});
const here = computed(() => {
  const now = pass.value;
  if (!now) return undefined;
  return drawnRun(scoreRun(now, props.step.reading, size.value.width, size.value.height));
});

/** The groove that the score is made at. */
const reading = computed(() => toMillimetres(grooveFor(props.step.reading, props.step.shim)));
/** How far down the board the score at hand runs. */
const ends = computed(() => {
  const now = pass.value;
  const { from, to } = now
    ? stretchOnBoard(now, size.value.width, size.value.height, props.board.fence)
    : { from: zero, to: size.value.height };
  return { from: toMillimetres(from), to: toMillimetres(to) };
});
</script>

<template>
  <ToolFrame
    v-slot="{ scale, grain, tall: lower }"
    label="The scoring board with the piece against the fence"
    :left="start"
    :across="across"
    :down="down"
    :ruler="ruler"
  >
    <rect
      v-if="!bare"
      class="bed"
      :x="start"
      :y="-ruler"
      :width="across"
      :height="lower"
      :rx="12 * grain"
    />
    <rect class="ruler" :x="start" :y="-ruler" :width="across" :height="ruler" :rx="12 * grain" />
    <ToolMarks
      :unit="board.unit"
      :pitch="board.pitch"
      :to="reach"
      :away="away"
      :scale="scale"
      v-bind="bare ? {} : { grooves: lower - ruler - border }"
    />
    <rect
      v-if="!bare"
      class="fence"
      :x="board.fence === 'left' ? -fence : 0"
      :y="-ruler"
      :width="fence"
      :height="lower - border / 2"
      :rx="2 * grain"
    />
    <rect
      v-if="shim > 0"
      class="shim"
      :x="board.fence === 'left' ? 0 : -shim"
      y="0"
      :width="shim"
      :height="lies.down"
    />
    <g class="piece" :style="placed">
      <rect class="card" x="0" y="0" :width="wide" :height="tall" :fill="colour" />
      <line
        v-for="(run, i) in runs"
        :key="i"
        v-bind="run"
        class="scored"
        :stroke="isDark(colour) ? '#ffffff' : '#14302d'"
      />
      <line v-if="here" v-bind="here" class="faint" />
    </g>
    <g class="at" :transform="`translate(${away * reading} 0)`">
      <line class="casing" :y1="-ruler - 2 * grain" :y2="ends.to + 6" />
      <line :y1="-ruler - 2 * grain" :y2="ends.to + 6" />
      <path
        class="tip"
        :d="`M0 ${ends.to}l${5 * grain} ${10 * grain}h${-10 * grain}z`"
        :transform="`translate(0 ${6 - 10 * grain})`"
      />
      <circle cx="0" :cy="-ruler - 1" :r="8 * grain" />
      <line
        v-if="ends.from > 0"
        class="from"
        :x1="-7 * grain"
        :x2="7 * grain"
        :y1="ends.from"
        :y2="ends.from"
      />
      <line
        v-if="pass?.part"
        class="from"
        :x1="-7 * grain"
        :x2="7 * grain"
        :y1="ends.to"
        :y2="ends.to"
      />
    </g>
  </ToolFrame>
</template>

<style scoped>
.fence {
  fill: #b9cbc2;
}

.shim {
  fill: var(--ink);
}

.faint {
  stroke: var(--turmeric);
  stroke-opacity: 0.6;
  stroke-width: calc(3px * var(--grain));
}

.at .from {
  stroke: var(--turmeric);
  stroke-width: calc(3px * var(--grain));
}

.tip {
  fill: var(--turmeric);
}
</style>
