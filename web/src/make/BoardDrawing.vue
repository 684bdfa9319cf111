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
import { useElementSize } from '@vueuse/core';
import { computed, useTemplateRef } from 'vue';
import { isDark } from '../parts/colour.ts';
import { rulerMarks } from '../parts/ruler-marks.ts';

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

const frame = useTemplateRef('frame');
const { width, height } = useElementSize(frame, { width: 840, height: 440 });

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
/** On a narrow screen the board is drawn only as far as it is needed. */
const reach = computed(() => {
  const whole = toMillimetres(props.board.reach);
  return width.value < 520 ? Math.min(whole, lies.value.across + 40) : whole;
});

const drawn = computed(() => {
  const across = fence + Math.max(reach.value, lies.value.across) + 2 * border;
  const down = ruler + lies.value.down + below;
  const scale = Math.min(width.value / across, height.value / down);
  return { across, down: Math.max(down, height.value / scale), scale };
});
const grain = computed(() => 1 / drawn.value.scale);

const ticks = { figure: 8, half: 5.5, small: 3.5 } as const;

/** Grooves as far as the board reaches. */
const grooves = computed(() =>
  rulerMarks({
    unit: props.board.unit,
    pitch: props.board.pitch,
    to: reach.value,
    pixelsPerMillimetre: drawn.value.scale,
    apart: 3.2,
    figureEvery: props.board.unit === 'inch' ? 1 : 2,
  }).map((mark) => ({
    ...mark,
    x: away.value * mark.at,
    tick: ticks[mark.kind],
    isFigure: mark.kind === 'figure',
  })),
);

const pass = computed(() => props.step.passes[props.pass] ?? props.step.passes[0]);
const quarters = computed(() =>
  pass.value ? quarterTurnsTo(pass.value.edge, props.board.fence) : 0,
);

/** Away from the fence: to the right of one on the left, and the other way round. */
const away = computed(() => (props.board.fence === 'left' ? 1 : -1));
/** Where the board's left edge is drawn. */
const start = computed(() =>
  props.board.fence === 'left' ? -fence - border : fence + border - drawn.value.across,
);

/** How far the shim keeps the piece off the fence. */
const shim = computed(() => toMillimetres(props.step.shim ?? zero));

/** The piece brought to lie in the corner of fence and ruler, turned clockwise. */
const placed = computed(() => {
  const shift = [
    [0, 0],
    [tall.value, 0],
    [wide.value, tall.value],
    [0, wide.value],
  ][quarters.value] ?? [0, 0];
  const across = quarters.value % 2 === 0 ? wide.value : tall.value;
  const down = quarters.value % 2 === 0 ? tall.value : wide.value;
  const left = (shift[0] ?? 0) - (props.board.fence === 'left' ? 0 : across);
  // Turned on from where it lay, not back to it.
  const angle = 90 * props.turns;
  const turned = `translate(${left}px, ${shift[1]}px) rotate(${angle}deg)`;
  // Over end to end, the same edge stays at the fence.
  const over = pass.value?.over ? `translate(0px, ${down}px) scale(1, -1) ` : '';
  return { transform: `translate(${away.value * shim.value}px, 0px) ${over}${turned}` };
});

const runs = computed(() => {
  const { passes, reading } = props.step;
  const before = passes
    .slice(0, props.pass)
    .map((each) => scoreRun(each, reading, size.value.width, size.value.height));
  return [...props.scored, ...before].map(inMillimetres);
});
const here = computed(() => {
  const now = pass.value;
  if (!now) return undefined;
  return inMillimetres(scoreRun(now, props.step.reading, size.value.width, size.value.height));
});

function inMillimetres({ x1, y1, x2, y2 }: ScoreRun) {
  return {
    x1: toMillimetres(x1),
    y1: toMillimetres(y1),
    x2: toMillimetres(x2),
    y2: toMillimetres(y2),
  };
}

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
  <div ref="frame" class="frame">
    <svg
      :width="drawn.across * drawn.scale"
      :height="drawn.down * drawn.scale"
      :viewBox="`${start} ${-ruler} ${drawn.across} ${drawn.down}`"
      :style="{ '--grain': grain }"
      role="img"
      aria-label="The scoring board with the piece against the fence"
    >
      <rect
        v-if="!bare"
        class="board"
        :x="start"
        :y="-ruler"
        :width="drawn.across"
        :height="drawn.down"
        :rx="12 * grain"
      />
      <rect
        class="ruler"
        :x="start"
        :y="-ruler"
        :width="drawn.across"
        :height="ruler"
        :rx="12 * grain"
      />
      <g v-for="groove in grooves" :key="groove.x">
        <line
          v-if="!bare"
          class="groove"
          :class="{ figure: groove.isFigure }"
          :x1="groove.x"
          :x2="groove.x"
          y1="0"
          :y2="drawn.down - ruler - border"
        />
        <line class="tick" :x1="groove.x" :x2="groove.x" :y1="-groove.tick" y2="0" />
        <text v-if="groove.figure" :x="groove.x" y="-10.5" :font-size="15 * grain">
          {{ groove.figure }}
        </text>
      </g>
      <rect
        v-if="!bare"
        class="fence"
        :x="board.fence === 'left' ? -fence : 0"
        :y="-ruler"
        :width="fence"
        :height="drawn.down - border / 2"
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
    </svg>
  </div>
</template>

<style scoped>
.frame {
  display: flex;
  align-items: flex-start;
  min-width: 0;
  min-height: 0;
  height: 100%;
  overflow: hidden;
  /* The knob stands over the board's edge. */
  margin: -12px;
  padding: 12px;
}

svg {
  flex: none;
  overflow: visible;
}

.board {
  fill: #edf2ee;
}

.ruler {
  fill: #dbe5df;
}

.fence {
  fill: #b9cbc2;
}

.shim {
  fill: var(--ink);
}

.groove {
  stroke: #d5dfd9;
  stroke-width: calc(1px * var(--grain));
}

.groove.figure {
  stroke: #a9bdb4;
  stroke-width: calc(1.6px * var(--grain));
}

.tick {
  stroke: var(--ink);
  stroke-width: calc(1.4px * var(--grain));
}

text {
  font-family: var(--figures);
  font-weight: 700;
  text-anchor: middle;
  fill: var(--ink);
}

.piece {
  transition: transform 0.7s cubic-bezier(0.4, 0, 0.2, 1);
}

.card {
  stroke: rgb(20 48 45 / 55%);
  stroke-width: calc(1.2px * var(--grain));
  fill-opacity: 0.92;
}

.scored {
  stroke-width: calc(1.6px * var(--grain));
  stroke-dasharray: calc(7px * var(--grain)) calc(5px * var(--grain));
}

.faint {
  stroke: var(--turmeric);
  stroke-opacity: 0.6;
  stroke-width: calc(3px * var(--grain));
}

.at line {
  stroke: var(--turmeric);
  stroke-width: calc(4.5px * var(--grain));
}

.at .casing {
  stroke: var(--ink);
  stroke-width: calc(7.5px * var(--grain));
}

.at .from {
  stroke-width: calc(3px * var(--grain));
}

.at circle,
.tip {
  fill: var(--turmeric);
  stroke: var(--ink);
  stroke-width: calc(1.6px * var(--grain));
}

.tip {
  stroke: none;
}

@media (prefers-reduced-motion: reduce) {
  .piece {
    transition: none;
  }
}
</style>
