<script setup lang="ts">
import { toMillimetres, type CornerBoard, type DiagonalBoard } from '@rangoli/core';
import { computed } from 'vue';
import { rulerMarks } from '../parts/ruler-marks.ts';
import KitDrawing from './KitDrawing.vue';

/** A punch board with a sheet on it, drawn from its own numbers: its marks, its notch, the lines it scores. */
const props = defineProps<{
  board:
    | { readonly kind: 'diagonal'; readonly tool: DiagonalBoard }
    | { readonly kind: 'corner'; readonly tool: CornerBoard };
}>();

const width = 190;
const height = 112;
const sheet = computed(() => toMillimetres(props.board.tool.largestSheet));
/** A corner board is drawn close enough to tell its marks. */
const drawn = computed(() => {
  const { kind, tool } = props.board;
  if (kind === 'diagonal') return sheet.value;
  const last = tool.marks[tool.marks.length - 1]?.at ?? tool.largestSheet;
  return Math.min(sheet.value, toMillimetres(last) * 1.25);
});
const scale = computed(() => (width - 12) / drawn.value);
const grain = computed(() => 1 / scale.value);

interface Mark {
  readonly at: number;
  readonly isFigure: boolean;
  readonly said?: string;
}

const marks = computed((): readonly Mark[] => {
  const { kind, tool } = props.board;
  if (kind === 'corner')
    return tool.marks.map(({ name, at }) => ({
      at: toMillimetres(at),
      isFigure: true,
      said: name,
    }));
  return rulerMarks({
    unit: tool.unit,
    pitch: tool.step,
    from: toMillimetres(tool.least),
    to: toMillimetres(tool.most),
    pixelsPerMillimetre: scale.value,
    apart: 3,
    figuresApart: tool.unit === 'inch' ? 15 : 22,
  }).map(({ at, kind: mark, figure }) => ({
    at,
    isFigure: mark === 'figure',
    ...(figure !== undefined && { said: figure }),
  }));
});

/** Where its lines are shown: at a mark near the middle of its ruler. */
const shown = computed(
  () => marks.value[Math.floor(marks.value.length / 2)]?.at ?? sheet.value / 2,
);
const down = computed(() => Math.min(drawn.value, (height - 24) / scale.value));
const notch = computed(() =>
  props.board.kind === 'diagonal' ? toMillimetres(props.board.tool.notch) : 7 * grain.value,
);
const line = computed(() =>
  props.board.kind === 'corner'
    ? Math.min(toMillimetres(props.board.tool.lineLength), sheet.value)
    : 0,
);
</script>

<template>
  <KitDrawing
    :box="{ x: -6 * grain, y: -20 * grain, width: width * grain, height: height * grain }"
    :grain="grain"
  >
    <rect class="card" x="0" y="0" :width="sheet" :height="sheet" />
    <template v-if="board.kind === 'diagonal'">
      <line
        class="score"
        :x1="shown"
        y1="0"
        :x2="shown - Math.min(shown, down)"
        :y2="Math.min(shown, down)"
      />
      <path class="notch" :d="`M${shown - notch} 0 L${shown} ${notch} L${shown + notch} 0 Z`" />
    </template>
    <template v-else>
      <line class="score" :x1="shown" y1="0" :x2="shown" :y2="Math.min(line, down)" />
      <line class="score" x1="0" :y1="shown" :x2="line" :y2="shown" />
      <line class="score" x1="0" y1="0" :x2="shown" :y2="shown" />
      <path class="notch" :d="`M0 0 L${notch} 0 L0 ${notch} Z`" />
    </template>
    <g v-for="mark in marks" :key="mark.at">
      <line
        class="tick"
        :x1="mark.at"
        :x2="mark.at"
        :y1="(mark.isFigure ? -7 : -4) * grain"
        y2="0"
      />
      <text v-if="mark.said" :x="mark.at" :y="-9 * grain" :font-size="10.5 * grain">
        {{ mark.said }}
      </text>
    </g>
  </KitDrawing>
</template>

<style scoped>
.card {
  fill: #ffffff;
  stroke: #b9cbc2;
  stroke-width: calc(1px * var(--grain));
}

.score {
  stroke: var(--line);
  stroke-width: calc(1.4px * var(--grain));
  stroke-dasharray: calc(5px * var(--grain)) calc(3px * var(--grain));
}

.notch {
  fill: #b9cbc2;
  stroke: var(--line);
  stroke-width: calc(1px * var(--grain));
}
</style>
