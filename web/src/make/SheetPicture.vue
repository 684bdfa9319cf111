<script setup lang="ts">
import {
  papersOf,
  cutSizeOf,
  faceLook,
  paperFor,
  toMillimetres,
  type Plan,
  type PlanRequest,
  type SheetCut,
  type SheetUse,
  type CutOperation,
} from '@rangoli/core';

import { computed, useId, useTemplateRef } from 'vue';
import PrintPattern from '../prints/PrintPattern.vue';
import { isDark } from '../parts/colour.ts';
import { useFrameSize } from '../parts/use-frame-size.ts';

/** The sheets that are cut, with what lies where, and the cuts at hand lit. */
const props = defineProps<{
  plan: Plan;
  request: PlanRequest;
  sheets: readonly SheetUse[];
  trim: CutOperation;
}>();

const frame = useTemplateRef('frame');
const { width, height } = useFrameSize(frame);

const use = computed(() =>
  props.sheets.find(
    ({ paper: id, placements }) =>
      id === props.trim.paper && placements.some(({ piece }) => piece === props.trim.piece),
  ),
);
const paper = computed(() =>
  paperFor(
    papersOf(props.request),
    props.plan.pieces.find(({ id }) => id === props.trim.piece)?.paper ?? 0,
  ),
);

const id = useId();
/** The print of the sheet, its top up. */
const print = computed(() => faceLook(paper.value, 'front').print);

interface LaidPiece {
  readonly key: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly name: string;
}

interface SheetAtHand {
  times: number;
  readonly pieces: readonly LaidPiece[];
  readonly cuts: readonly SheetCut[];
}

/** Sheets that are cut alike are drawn once, with how many there are. */
const sheets = computed(() => {
  const { placements = [], sheets: count = 0 } = use.value ?? {};
  const alike = new Map<string, SheetAtHand>();
  for (let sheet = 0; sheet < count; sheet++) {
    const pieces = placements
      .filter((each) => each.sheet === sheet)
      .flatMap((each): readonly LaidPiece[] => {
        const piece = props.plan.pieces.find(({ id }) => id === each.piece);
        if (!piece) return [];
        const size = cutSizeOf(piece.grid);
        const [across, down] = each.turned ? [size.height, size.width] : [size.width, size.height];
        const [x, y] = [toMillimetres(each.x), toMillimetres(each.y)];
        return [
          {
            key: `${each.piece} ${each.x} ${each.y}`,
            x,
            y,
            width: toMillimetres(across),
            height: toMillimetres(down),
            name: piece.name,
          },
        ];
      });
    const cuts = props.trim.cuts.filter((cut) => cut.sheet === sheet);
    if (cuts.length === 0) continue;
    const key = [
      ...pieces.map((each) => each.key).sort(),
      ...cuts.map(({ x1, y1, x2, y2 }) => `${x1} ${y1} ${x2} ${y2}`),
    ].join('|');
    const known = alike.get(key);
    if (known) known.times++;
    else alike.set(key, { times: 1, pieces, cuts });
  }
  return [...alike.values()].slice(0, 3);
});

const sheet = computed(() => ({
  width: toMillimetres(paper.value.sheet.width),
  height: toMillimetres(paper.value.sheet.height),
}));
const gap = 26;
const label = 30;
const scale = computed(() => {
  const count = Math.max(1, sheets.value.length);
  const room = height.value - (label + gap) * count + gap;
  return Math.min(width.value / sheet.value.width, room / (count * sheet.value.height));
});
const grain = computed(() => 1 / scale.value);

/** Which way the name of a piece goes on it; undefined where it is too small for that. */
function labelWay({ name, width, height }: LaidPiece): 'across' | 'down' | undefined {
  const [long, high] = [name.length * 8.4 * grain.value, 17 * grain.value];
  if (long <= width && high <= height) return 'across';
  return long <= height && high <= width ? 'down' : undefined;
}
</script>

<template>
  <div ref="frame" class="frame">
    <figure v-for="(each, i) in sheets" :key="i">
      <svg
        :width="sheet.width * scale"
        :height="sheet.height * scale"
        :viewBox="`0 0 ${sheet.width} ${sheet.height}`"
        role="img"
        :aria-label="`A sheet of ${paper.name} with its pieces`"
      >
        <rect
          class="sheet"
          x="0"
          y="0"
          :width="sheet.width"
          :height="sheet.height"
          :fill="paper.colour"
          :stroke-width="2 * grain"
        />
        <template v-if="print">
          <PrintPattern :id="`${id}-${i}`" :print="print" :matrix="[1, 0, 0, 1, 0, 0]" />
          <rect :width="sheet.width" :height="sheet.height" :fill="`url(#${id}-${i})`" />
        </template>
        <g v-for="laid in each.pieces" :key="laid.key">
          <rect
            class="piece"
            :x="laid.x"
            :y="laid.y"
            :width="laid.width"
            :height="laid.height"
            :stroke-width="1.2 * grain"
          />
          <text
            v-if="labelWay(laid)"
            :transform="`translate(${laid.x + laid.width / 2} ${laid.y + laid.height / 2})${labelWay(laid) === 'down' ? ' rotate(-90)' : ''}`"
            :y="5 * grain"
            :font-size="14 * grain"
            :fill="isDark(paper.colour) ? '#ffffff' : '#14302d'"
          >
            {{ laid.name }}
          </text>
        </g>
        <line
          v-for="(cut, n) in each.cuts"
          :key="n"
          class="cut"
          :x1="toMillimetres(cut.x1)"
          :y1="toMillimetres(cut.y1)"
          :x2="toMillimetres(cut.x2)"
          :y2="toMillimetres(cut.y2)"
          :stroke-width="4 * grain"
        />
      </svg>
      <figcaption>
        {{ each.times === 1 ? 'one sheet' : `${each.times} sheets like this` }} of {{ paper.name }},
        {{ paper.sheet.name }}
      </figcaption>
    </figure>
  </div>
</template>

<style scoped>
.frame {
  display: flex;
  flex-direction: column;
  gap: 26px;
  min-width: 0;
  min-height: 0;
  height: 100%;
}

figure {
  margin: 0;
}

svg {
  display: block;
}

figcaption {
  margin-top: 6px;
  font-size: 14px;
  color: #d3e2dd;
}

.sheet {
  stroke: rgb(255 255 255 / 45%);
}

.piece {
  fill: rgb(255 255 255 / 8%);
  stroke: rgb(255 255 255 / 70%);
}

.cut {
  stroke: var(--turmeric);
}

text {
  font-family: var(--text);
  font-weight: 600;
  text-anchor: middle;
}
</style>
