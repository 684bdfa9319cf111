<script setup lang="ts">
import {
  cutSizeOf,
  lyingWith,
  plus,
  scoreRun,
  stretchOnBoard,
  toMillimetres,
  zero,
  type ScoreGrid,
  type ScoreMark,
  type ScoreOperation,
  type ScoringBoard,
  type Side,
} from '@rangoli/core';
import { useMediaQuery } from '@vueuse/core';
import { computed } from 'vue';
import { isDark } from '../parts/colour.ts';
import PieceDrawing from '../parts/PieceDrawing.vue';
import { cornerAfter, drawnRun } from './drawn-sheet.ts';
import ToolFrame from './ToolFrame.vue';
import ToolKnob from './ToolKnob.vue';
import ToolMarks from './ToolMarks.vue';

/** The scoring board as it lies in front of the maker, the piece against its fence, the line to score lit. */
const props = defineProps<{
  /** The grooves, or the marks of a ruler where there are none. */
  board: Pick<ScoringBoard, 'unit' | 'pitch' | 'reach' | 'fence'> &
    Partial<Pick<ScoringBoard, 'grooveLength'>>;
  /** Measured along a ruler that lies on the card, with no board under it. */
  bare?: boolean;
  /** The piece with what is made on it, and nothing else. */
  grid: ScoreGrid;
  colour: string;
  /** What is made while the piece lies so, and the mark at hand. */
  operation: ScoreOperation;
  mark: ScoreMark;
  /** How often the piece has been turned by a quarter in all, so that it never turns back. */
  turns: number;
  /** What has been scored in this step already. */
  done: readonly { readonly edge: Side; readonly mark: ScoreMark }[];
}>();

/** On a narrow screen the board is drawn only as far as it is needed. */
const isNarrow = useMediaQuery('(max-width: 560px)');

/** Millimetres of the drawing round the grooves: the fence on the left, a free edge. */
const fence = 6;
const border = 8;
/** Card never lies closer to the board's lower end than this. */
const below = 26;

const size = computed(() => cutSizeOf(props.grid));
const wide = computed(() => toMillimetres(size.value.width));
const tall = computed(() => toMillimetres(size.value.height));
const isTurned = computed(
  () => props.operation.edge === 'top' || props.operation.edge === 'bottom',
);
/** How far the piece reaches along the ruler and down the board. */
const lies = computed(() => {
  const [across, down] = isTurned.value ? [tall.value, wide.value] : [wide.value, tall.value];
  return { across, down: Math.max(down, Math.min(wide.value, tall.value)) };
});
/** A board is known by its whole length; of a ruler only what lies along the card is of use. */
const reach = computed(() => {
  const whole = toMillimetres(props.board.reach);
  return isNarrow.value || props.bare ? Math.min(whole, lies.value.across + 40) : whole;
});

const across = computed(() => fence + Math.max(reach.value, lies.value.across) + 2 * border);
const down = computed(() => lies.value.down + below);
/** The board ends where its grooves do: what is longer hangs over. */
const grooves = computed(() =>
  props.board.grooveLength === undefined ? Infinity : toMillimetres(props.board.grooveLength),
);

const quarters = computed(() => lyingWith(props.operation.edge, props.board.fence).turns);

/** Away from the fence: to the right of one on the left, and the other way round. */
const away = computed((): 1 | -1 => (props.board.fence === 'left' ? 1 : -1));
/** Where the board's left edge is drawn. */
const start = computed(() =>
  props.board.fence === 'left' ? -fence - border : fence + border - across.value,
);

/** How far the shim keeps the piece off the fence. */
const shim = computed(() => toMillimetres(props.mark.shim ?? zero));

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
  const over = props.operation.lying.over ? `translate(0px, ${higher}px) scale(1, -1) ` : '';
  return { transform: `translate(${away.value * shim.value}px, 0px) ${over}${turned}` };
});

const runs = computed(() =>
  props.done.map(({ edge, mark }) => drawnRun(scoreRun(edge, mark, size.value))),
);
const here = computed(() => drawnRun(scoreRun(props.operation.edge, props.mark, size.value)));

/** The groove that a score is made at. */
function grooveOf(mark: ScoreMark): number {
  return toMillimetres(plus(mark.reading, mark.shim ?? zero));
}
const reading = computed(() => grooveOf(props.mark));
/** The other marks of this lying, on the ruler. */
const others = computed(() =>
  props.operation.marks.filter((mark) => mark !== props.mark).map(grooveOf),
);
/** A score that is longer than the grooves goes on from the other end: that is said beside it, where there is room. */
const isLater = computed(() => props.mark.stretch === 'to the end');
/** Pixels that its words take. */
const restWide = 112;
function restBeside(scale: number): 'right' | 'left' | undefined {
  const at = away.value * reading.value;
  if ((start.value + across.value - at) * scale > restWide) return 'right';
  return (at - start.value) * scale > restWide ? 'left' : undefined;
}

/** How far down the board the score at hand runs. */
const ends = computed(() => {
  const { edge, lying } = props.operation;
  const { from, to } = stretchOnBoard(edge, {
    over: lying.over,
    part: props.mark.part,
    size: size.value,
    fence: props.board.fence,
  });
  return { from: toMillimetres(from), to: toMillimetres(to) };
});
</script>

<template>
  <ToolFrame
    v-slot="{ scale, grain, ruler, tall: lower }"
    label="The scoring board with the piece against the fence"
    :left="start"
    :across="across"
    :down="down"
  >
    <rect
      v-if="!bare"
      class="bed"
      :x="start"
      :y="-ruler"
      :width="across"
      :height="Math.min(lower, ruler + grooves + border)"
      :rx="12 * grain"
    />
    <rect class="ruler" :x="start" :y="-ruler" :width="across" :height="ruler" :rx="12 * grain" />
    <ToolMarks
      :unit="board.unit"
      :pitch="board.pitch"
      :to="reach"
      :away="away"
      :scale="scale"
      :ruler="ruler"
      v-bind="bare ? {} : { grooves: Math.min(grooves, lower - ruler - border) }"
    >
      <rect
        v-if="!bare"
        class="fence"
        :x="board.fence === 'left' ? -fence : 0"
        :y="-ruler"
        :width="fence"
        :height="Math.min(lower - border / 2, ruler + grooves + border / 2)"
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
        <PieceDrawing :piece="{ grid }" :colour="colour" :grain="grain" on-bench />
        <line
          v-for="(run, i) in runs"
          :key="i"
          v-bind="run"
          class="scored"
          :stroke="isDark(colour) ? '#ffffff' : '#14302d'"
        />
        <line v-bind="here" class="faint" />
      </g>
      <circle
        v-for="other in others"
        :key="other"
        class="other"
        :cx="away * other"
        :cy="-ruler - 6 * grain"
        :r="6 * grain"
      />
      <ToolKnob :at="away * reading" :ruler="ruler" :to="ends.to + 6" :grain="grain">
        <path
          class="tip"
          :d="`M0 ${ends.to}l${5 * grain} ${10 * grain}h${-10 * grain}z`"
          :transform="`translate(0 ${6 - 10 * grain})`"
        />
        <line
          v-if="ends.from > 0"
          class="from"
          :x1="-7 * grain"
          :x2="7 * grain"
          :y1="ends.from"
          :y2="ends.from"
        />
        <line
          v-if="mark.part"
          class="from"
          :x1="-7 * grain"
          :x2="7 * grain"
          :y1="ends.to"
          :y2="ends.to"
        />
      </ToolKnob>
      <text
        v-if="isLater && restBeside(scale)"
        class="rest"
        :x="away * reading + (restBeside(scale) === 'right' ? 12 : -12) * grain"
        :y="ends.to + 24 * grain"
        :text-anchor="restBeside(scale) === 'right' ? 'start' : 'end'"
        :font-size="15 * grain"
      >
        the rest later
      </text>
    </ToolMarks>
  </ToolFrame>
</template>

<style scoped>
.fence {
  fill: #b9cbc2;
}

.shim {
  fill: var(--line);
}

.faint {
  stroke: var(--turmeric);
  stroke-opacity: 0.6;
  stroke-width: calc(3px * var(--grain));
}

.rest {
  font-family: var(--text);
  font-weight: 600;
  fill: var(--line);
  stroke: #edf2ee;
  stroke-width: calc(5px * var(--grain));
  stroke-linejoin: round;
  paint-order: stroke;
}

.other {
  fill: var(--mat);
  stroke: var(--turmeric);
  stroke-width: calc(1.8px * var(--grain));
  stroke-dasharray: calc(3px * var(--grain)) calc(3px * var(--grain));
}

.tip {
  fill: var(--turmeric);
}
</style>
