<script setup lang="ts">
import {
  cutSizeOf,
  lineFromMark,
  linesAtCorner,
  minus,
  plus,
  toMillimetres,
  zero,
  type Kit,
  type Length,
  type Piece,
  type PunchOperation,
  type ScoreRun,
} from '@rangoli/core';
import { useIntervalFn, usePreferredReducedMotion } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { isDark } from '../parts/colour.ts';
import { cornerAfter, drawnRun } from './drawn-sheet.ts';
import ToolFigure from './ToolFigure.vue';
import ToolFrame from './ToolFrame.vue';
import ToolKnob from './ToolKnob.vue';
import ToolMarks from './ToolMarks.vue';
import TurnedPicture from './TurnedPicture.vue';

/** A punch board as it lies in front of the maker, with the sheet on it and the line at hand lit. */
const props = defineProps<{ punch: PunchOperation; kit: Kit; piece: Piece; colour: string }>();

const motion = usePreferredReducedMotion();

const size = computed(() => cutSizeOf(props.piece.grid));
const sheet = computed(() => toMillimetres(size.value.width));
const tall = computed(() => toMillimetres(size.value.height));
const isCorner = computed(() => props.punch.board === 'corner');
/** Both marks of a diamond, from the corner; the one mark of a web-corner box. */
const marks = computed((): readonly Length[] => {
  const [first = zero, band = zero] = props.piece.grid.columns;
  return isCorner.value ? [first] : [first, plus(first, band)];
});

interface Moment {
  /** How often the sheet has been turned by a quarter. */
  readonly side: number;
  readonly mark: Length;
}

/** What is done one after the other at this step: one notch with its line, or one corner. */
const moments = computed((): readonly Moment[] => {
  const { setting, sides } = props.punch;
  if (setting.kind === 'mark')
    return Array.from({ length: sides }, (_, side) => ({ side, mark: setting.at }));
  return Array.from({ length: sides }, (_, side) => side + 1).flatMap((side) =>
    marks.value.map((mark) => ({ side, mark })),
  );
});
const shown = ref(0);
const moment = computed(() => moments.value[shown.value] ?? { side: 0, mark: zero });
const cycle = useIntervalFn(() => {
  if (motion.value !== 'reduce') shown.value = (shown.value + 1) % moments.value.length;
}, 2600);
watch(
  () => props.punch,
  () => {
    shown.value = 0;
    if (moments.value.length > 1) cycle.resume();
    else cycle.pause();
  },
  { immediate: true },
);
function choose(to: number): void {
  cycle.pause();
  shown.value = to;
}

function linesOf({ side, mark }: Moment): readonly ScoreRun[] {
  if (!isCorner.value) return [lineFromMark(side, mark, size.value.width)];
  const long = props.kit.cornerBoard?.lineLength ?? size.value.width;
  return linesAtCorner(side, mark, long, size.value);
}

/** Lines made before: those of the first side, at this step those of the moments before. */
const before = computed(() => {
  const earlier =
    props.punch.setting.kind === 'last lines'
      ? marks.value.map((mark): Moment => ({ side: 0, mark }))
      : marks.value
          .filter((mark) => !isCorner.value && mark < moment.value.mark)
          .map((mark): Moment => ({ side: 0, mark }));
  return [...earlier, ...moments.value.slice(0, shown.value)].flatMap(linesOf).map(drawnRun);
});
const lit = computed(() => linesOf(moment.value).map(drawnRun));

/** How far along the upper edge the notch is, from the left. */
const along = computed(() => {
  if (isCorner.value) return 0;
  const { side, mark } = moment.value;
  return toMillimetres(side % 2 === 0 ? mark : minus(size.value.width, mark));
});
/** The ruler of a diagonal board runs to the left of its punch; a corner board's begins in its corner. */
const board = computed(() => {
  const { diagonalBoard, cornerBoard } = props.kit;
  if (isCorner.value) {
    const last = cornerBoard?.marks[cornerBoard.marks.length - 1]?.at ?? zero;
    return {
      left: 10,
      right: Math.max(toMillimetres(last) + 20, Math.max(sheet.value, tall.value)),
    };
  }
  const most = toMillimetres(diagonalBoard?.most ?? zero);
  return { left: Math.max(most, sheet.value) + 8, right: sheet.value };
});
const border = 8;
const across = computed(() => board.value.left + board.value.right + 2 * border);
const down = computed(() => Math.max(sheet.value, tall.value) + 2 * border);

/** The marks of a corner board by their names. */
const named = computed(() =>
  isCorner.value
    ? (props.kit.cornerBoard?.marks ?? []).map(({ name, at }) => ({ name, x: toMillimetres(at) }))
    : [],
);
const notch = computed(() =>
  isCorner.value
    ? Math.min(8, toMillimetres(moment.value.mark) / 3)
    : toMillimetres(props.kit.diagonalBoard?.notch ?? zero),
);
/** Where the mark that is set is lit: at the sheet's corner, or over the line that falls there. */
const setAt = computed(() => {
  if (props.punch.setting.kind !== 'mark') return undefined;
  const at = toMillimetres(props.punch.setting.at);
  return isCorner.value ? at : -at;
});

/** The sheet turned clockwise, its upper left corner where the board wants it. */
const placed = computed(() => {
  const { side } = moment.value;
  const { x, y } = cornerAfter(side, sheet.value, tall.value);
  return {
    transform: `translate(${x - along.value}px, ${y}px) rotate(${90 * side}deg)`,
  };
});
const ink = computed(() => (isDark(props.colour) ? '#ffffff' : '#14302d'));
const turnWords = computed(() => {
  if (props.punch.setting.kind === 'last lines')
    return { turn: 'A quarter turn', rest: 'the end of the last line at the notch, both lines' };
  return isCorner.value
    ? { turn: 'Then a quarter turn', rest: 'same mark, all four corners' }
    : undefined;
});
</script>

<template>
  <TurnedPicture :turn="turnWords" :passes="moments.length" :at="shown" @choose="choose">
    <ToolFrame
      v-slot="{ scale, grain, ruler, tall: lower }"
      label="The punch board with the sheet on it"
      :left="-board.left - border"
      :across="across"
      :down="down"
    >
      <rect
        class="bed"
        :x="-board.left - border"
        :y="-ruler"
        :width="across"
        :height="lower"
        :rx="12 * grain"
      />
      <rect
        class="ruler"
        :x="-board.left - border"
        :y="-ruler"
        :width="across"
        :height="ruler"
        :rx="12 * grain"
      />
      <ToolMarks
        v-if="!isCorner && kit.diagonalBoard"
        :unit="kit.diagonalBoard.unit"
        :pitch="kit.diagonalBoard.step"
        :from="toMillimetres(kit.diagonalBoard.least)"
        :to="toMillimetres(kit.diagonalBoard.most)"
        :away="-1"
        :scale="scale"
        :ruler="ruler"
      />
      <g v-for="mark in named" :key="mark.name">
        <line class="ruler-tick" :x1="mark.x" :x2="mark.x" :y1="-0.47 * ruler" y2="0" />
        <ToolFigure :at="mark.x" :text="mark.name" :ruler="ruler" :grain="grain" />
      </g>
      <g class="piece" :style="placed">
        <rect class="card" x="0" y="0" :width="sheet" :height="tall" :fill="colour" />
        <line v-for="(run, i) in before" :key="i" v-bind="run" class="scored" :stroke="ink" />
        <template v-for="(run, i) in lit" :key="i">
          <line v-bind="run" class="casing" />
          <line v-bind="run" class="lit" />
        </template>
      </g>
      <path v-if="isCorner" class="notch" :d="`M0 0 L${notch} 0 L0 ${notch} Z`" />
      <path v-else class="notch" :d="`M${-notch} 0 L0 ${notch} L${notch} 0 Z`" />
      <ToolKnob
        v-if="setAt !== undefined"
        :at="setAt"
        :ruler="ruler"
        :from="-0.5 * ruler"
        :to="0"
        :grain="grain"
      />
    </ToolFrame>
  </TurnedPicture>
</template>

<style scoped>
.casing {
  stroke: var(--line);
  stroke-width: calc(6.5px * var(--grain));
}

.lit {
  stroke: var(--turmeric);
  stroke-width: calc(4px * var(--grain));
}

.notch {
  fill: #edf2ee;
  stroke: var(--line);
  stroke-width: calc(1.6px * var(--grain));
}
</style>
