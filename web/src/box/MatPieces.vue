<script setup lang="ts">
import {
  cutSizeOf,
  cutUnit,
  linesAtMark,
  minus,
  nanometres,
  paperFor,
  papersOf,
  toMillimetres,
  type FaceChoice,
  type LineRef,
  type Piece,
  type Plan,
  type PlanRequest,
} from '@rangoli/core';
import { computed } from 'vue';
import { useDressing } from '../dress/dressing.ts';
import { usePointing } from '../dress/pointing.ts';
import type { WearableFace } from '../planner/wearable-faces.ts';
import GlueHatch from '../parts/GlueHatch.vue';
import { isPlainPiece, layPieces } from '../parts/lay-pieces.ts';
import MatMeasures from '../parts/MatMeasures.vue';
import MeasureSpan from '../parts/MeasureSpan.vue';
import PieceDrawing from '../parts/PieceDrawing.vue';
import SpotMark from '../parts/SpotMark.vue';
import { cardLook, frontOf, type CardSide, type CardSideName } from '../prints/card-look.ts';
import { useHighlight } from '../stores/highlight.ts';
import MatLegend from './MatLegend.vue';

/** Pieces to one scale, as large as the space lets them be, with their measures and the score that is lit. */
const props = defineProps<{
  plan: Plan;
  request: PlanRequest;
  /** Those that are drawn. */
  pieces: readonly Piece[];
  /** The space for them, in pixels. */
  width: number;
  height: number;
  /** What is left free over them. */
  head: number;
  /** Which side of what is scored is up. */
  up: CardSideName;
  label: string;
}>();
const emit = defineEmits<{ point: [event: MouseEvent, face: FaceChoice] }>();

const highlight = useHighlight();
const dressing = useDressing();
const pointing = usePointing();

/** Pixels left free for the legend. */
const foot = 44;
/** With many pieces the size stands under the name. */
const isMany = computed(() => props.pieces.length > 2);
const freeRoom = computed(() => {
  const longest = Math.max(...props.pieces.map(({ name }) => name.length));
  return isMany.value
    ? {
        title: 42,
        titleWidth: 96,
        titleOf: ({ name }: Piece) => name.length * 8.2,
        measures: 40,
        between: 12,
        border: 14,
      }
    : { title: 34, titleWidth: (longest + 15) * 8.5, measures: 46, between: 20, border: 20 };
});
const layout = computed(() =>
  layPieces(props.pieces, props.width, props.height - props.head - foot, freeRoom.value),
);
const unit = computed(() => cutUnit(props.request.kit));
const isOver = computed(() => props.up === 'outside');

/** The faces of a flat piece that something may be worn on; on a piece that is worn, the one that it covers. */
function facesOf(piece: string): readonly Pick<WearableFace, 'face' | 'said' | 'rings'>[] {
  const own = dressing.faces.filter(({ face }) => face.piece === piece);
  if (own.length > 0) return own;
  const covered = dressing.faces.find(({ worn }) => worn.includes(piece));
  const sheet = props.plan.pieces.find(({ id }) => id === piece);
  if (!covered || !sheet) return [];
  const { width: wide, height: high } = cutSizeOf(sheet.grid);
  const [right, bottom] = [toMillimetres(wide), toMillimetres(high)];
  const ring = [
    { x: 0, y: 0 },
    { x: right, y: 0 },
    { x: right, y: bottom },
    { x: 0, y: bottom },
  ];
  return [{ face: covered.face, said: covered.said, rings: [ring] }];
}

/** What is stamped on a piece. */
function spotsOn({ id }: Piece) {
  return (props.plan.assembly.spots ?? []).filter(({ piece }) => piece === id);
}

/** How wide a line is reached, in pixels: between two of them the face is reached as well. */
function reachOf({ grid: { columns, rows } }: Piece): number {
  const narrowest = toMillimetres(nanometres(Math.min(...columns, ...rows)));
  return Math.min(14, narrowest * layout.value.scale * 0.5);
}

function pathOf(rings: WearableFace['rings']): string {
  return rings.map((ring) => `M${ring.map(({ x, y }) => `${x} ${y}`).join('L')}Z`).join('');
}

const looks = computed(() => {
  const papers = papersOf(props.request);
  return new Map(
    props.pieces.map((piece) => [
      piece.id,
      cardLook(piece, paperFor(papers, piece.paper), frontOf(props.plan, piece.id)),
    ]),
  );
});

/** A plain panel is shown as it will be seen: nothing is measured on it. */
function upOf(piece: Piece): CardSideName {
  const look = looks.value.get(piece.id);
  return isPlainPiece(piece) && look?.outside.isPrinted ? 'outside' : props.up;
}

function sideOf(piece: Piece): CardSide | undefined {
  return looks.value.get(piece.id)?.[upOf(piece)];
}

const hasMountains = computed(() =>
  props.pieces.some(({ grid }) =>
    [...grid.lines.flatMap(({ spans }) => spans), ...grid.diagonals].some(
      (line) => line.make === 'score' && line.fold.sense === 'mountain',
    ),
  ),
);

interface MatLine {
  /** The grid line that it is. */
  readonly of: LineRef;
  readonly run: {
    readonly x1: number;
    readonly x2: number;
    readonly y1: number;
    readonly y2: number;
  };
}

const lines = computed(() =>
  layout.value.pieces.map((placed): readonly MatLine[] => {
    const { scale } = layout.value;
    const marks = props.plan.marks.find(({ piece }) => piece === placed.piece.id)?.readings ?? [];
    return marks.flatMap((ref) =>
      linesAtMark(placed.piece.grid, ref).map(({ from, to }) => ({
        of: ref,
        run: {
          x1: from.x * scale,
          y1: from.y * scale,
          x2: to.x * scale,
          y2: to.y * scale,
        },
      })),
    );
  }),
);
</script>

<template>
  <svg :width="width" :height="height" role="img" :aria-label="label">
    <GlueHatch :every="5 / layout.scale" />
    <g
      v-for="(placed, i) in layout.pieces"
      :key="placed.piece.id"
      :transform="`translate(${placed.x} ${placed.y + head})`"
    >
      <text v-if="isMany" class="title many" :x="placed.width / 2" y="-29">
        {{ placed.piece.name }}
      </text>
      <text class="title" :class="{ many: isMany }" :x="placed.width / 2" y="-12">
        <template v-if="!isMany">{{ placed.piece.name }} {{ ' ' }}</template>
        <MeasureSpan :length="cutSizeOf(placed.piece.grid).width" :unit="unit" />
        ×
        <MeasureSpan :length="cutSizeOf(placed.piece.grid).height" :unit="unit" with-unit />
      </text>
      <g
        :transform="
          upOf(placed.piece) === 'outside'
            ? `translate(${placed.width} 0) scale(${-layout.scale} ${layout.scale})`
            : `scale(${layout.scale})`
        "
      >
        <PieceDrawing
          :piece="placed.piece"
          :colour="sideOf(placed.piece)?.colour ?? '#ffffff'"
          :laid="sideOf(placed.piece)?.laid"
          :grain="1 / layout.scale"
        />
        <SpotMark
          v-for="spot in spotsOn(placed.piece)"
          :key="spot.id"
          :x="toMillimetres(minus(cutSizeOf(placed.piece.grid).width, spot.fromLeft))"
          :y="spot.fromTop"
          :top="spot.top"
          :grain="1 / layout.scale"
        />
        <path
          v-for="{ face, said, rings } in facesOf(placed.piece.id)"
          :key="said"
          class="face-spot"
          :class="{ held: pointing.isInHand(face) }"
          :d="pathOf(rings)"
          @click="emit('point', $event, face)"
          @pointerenter="pointing.hover(face)"
          @pointerleave="pointing.hover(undefined)"
        >
          <title>{{ said }}</title>
        </path>
      </g>
      <MatMeasures
        v-if="!isOver && !isPlainPiece(placed.piece)"
        :placed="placed"
        :kit="request.kit"
      />
      <g v-for="(line, at) in isOver ? [] : lines[i]" :key="at">
        <g v-if="highlight.isLit(placed.piece.id, line.of)" class="lit">
          <line v-bind="line.run" />
          <circle :cx="line.run.x1" :cy="line.run.y1" r="5.5" />
        </g>
        <line
          class="reach"
          :stroke-width="reachOf(placed.piece)"
          v-bind="line.run"
          @pointerenter="highlight.light(placed.piece.id, [line.of])"
          @pointerleave="highlight.unlight()"
        />
      </g>
    </g>
    <MatLegend
      :unit="unit"
      :scale="layout.scale"
      :width="width"
      :height="height"
      :has-mountains="hasMountains"
    />
  </svg>
</template>

<style scoped>
svg {
  will-change: transform;
  display: block;
}

.title {
  font: 600 17px var(--figures);
  fill: #ffffff;
  text-anchor: middle;
}

.title.many {
  font-size: 15px;
}

.reach {
  stroke: transparent;
}

.face-spot {
  fill: transparent;
  cursor: pointer;
}

.face-spot:hover,
.face-spot.held {
  fill: rgb(242 179 28 / 34%);
  stroke: var(--turmeric);
  stroke-width: 3;
  vector-effect: non-scaling-stroke;
}

.lit {
  pointer-events: none;
}

.lit line {
  stroke: var(--turmeric);
  stroke-width: 3.5;
}

.lit circle {
  fill: var(--turmeric);
  stroke: var(--line);
  stroke-width: 1.5;
}
</style>
