<script setup lang="ts">
import {
  cutUnit,
  cutSizeOf,
  linesAtMark,
  minus,
  paperFor,
  papersOf,
  toMillimetres,
  type FaceChoice,
  nanometres,
  type LineRef,
  type Piece,
  type Plan,
  type PlanRequest,
} from '@rangoli/core';
import { useElementSize } from '@vueuse/core';
import { computed, defineAsyncComponent, shallowRef, useTemplateRef, watch } from 'vue';
import SpotMark from '../parts/SpotMark.vue';
import MeasureSpan from '../parts/MeasureSpan.vue';
import { isPlainPiece, layPieces } from '../parts/lay-pieces.ts';
import { cardLook, frontOf, type CardSide, type CardSideName } from '../prints/card-look.ts';
import GlueHatch from '../parts/GlueHatch.vue';
import PieceDrawing from '../parts/PieceDrawing.vue';
import { useHighlight } from '../stores/highlight.ts';
import { useDressing } from '../dress/dressing.ts';
import FaceMenu from '../dress/FaceMenu.vue';
import { usePointing } from '../dress/pointing.ts';
import type { WearableFace } from '../dress/wearable-faces.ts';
import MatMeasures from '../parts/MatMeasures.vue';
import MatLegend from './MatLegend.vue';
import FinishedSizes from './FinishedSizes.vue';

/** The cutting mat with the pieces to scale, their measures, and the score that is lit. */
const props = defineProps<{ plan: Plan; request: PlanRequest; stale: boolean }>();

/** The folding comes after the figures: it is large, and nobody waits for it. */
const FoldView = defineAsyncComponent(() => import('../fold/FoldView.vue'));

const highlight = useHighlight();
const dressing = useDressing();
const pointing = usePointing();
const mat = useTemplateRef('mat');
const { width, height } = useElementSize(mat, { width: 660, height: 360 });
const head = 18;
const foot = 44;
/** With many pieces the size stands under the name. */
const isMany = computed(() => props.plan.pieces.length > 2);
const freeRoom = computed(() => {
  const longest = Math.max(...props.plan.pieces.map(({ name }) => name.length));
  return isMany.value
    ? {
        title: 42,
        titleWidth: 96,
        titleOf: ({ name }: Piece) => name.length * 8.2,
        measures: 40,
        between: 12,
        border: 14,
      }
    : { title: 34, titleWidth: (longest + 13) * 8.5, measures: 46, between: 20, border: 20 };
});
const layout = computed(() =>
  layPieces(props.plan.pieces, width.value, height.value - head - foot, freeRoom.value),
);
const unit = computed(() => cutUnit(props.request.kit));
/** The papers of all pieces, those that are worn among them. */
const papers = computed(() => papersOf(props.request));
const section = useTemplateRef<HTMLElement>('section');
const whole = useElementSize(section);

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

/** Points at a face, with its menu where the pointer is. */
function pointAt({ clientX, clientY }: MouseEvent, face: FaceChoice): void {
  const { left = 0, top = 0 } = section.value?.getBoundingClientRect() ?? {};
  pointing.point(face, { x: clientX - left, y: clientY - top });
}

function pointInSpace(event: MouseEvent, at: { part: string; face: number }): void {
  const found = dressing.faces.find(({ inSpace }) =>
    inSpace.some(({ part, face }) => part === at.part && face === at.face),
  );
  if (found) pointAt(event, found.face);
  else pointing.leave();
}

/** Which side of the pieces is up: scores are made and measured inside up. */
const up = shallowRef<CardSideName>('inside');
const looks = computed(
  () =>
    new Map(
      props.plan.pieces.map((piece) => [
        piece.id,
        cardLook(piece, paperFor(papers.value, piece.paper), frontOf(props.plan, piece.id)),
      ]),
    ),
);

/** A plain panel is shown as it will be seen: nothing is measured on it. */
function upOf(piece: Piece): CardSideName {
  const look = looks.value.get(piece.id);
  return isPlainPiece(piece) && look?.outside.isPrinted ? 'outside' : up.value;
}

function sideOf(piece: Piece): CardSide | undefined {
  return looks.value.get(piece.id)?.[upOf(piece)];
}

/** Whether there is something to see on the other side of what is scored. */
const hasTwoSides = computed(() =>
  props.plan.pieces.some((piece) => {
    const look = looks.value.get(piece.id);
    if (!look || isPlainPiece(piece)) return false;
    const { inside, outside } = look;
    return inside.isPrinted || outside.isPrinted || inside.colour !== outside.colour;
  }),
);
const isOver = computed(() => up.value === 'outside' && hasTwoSides.value);
watch(hasTwoSides, (has) => {
  if (!has) up.value = 'inside';
});

const faceUp = computed(() => {
  if (isOver.value) return 'Turned over, outside up';
  const printed = props.plan.pieces.some(
    (piece) => !isPlainPiece(piece) && paperFor(papers.value, piece.paper).print === 'one face',
  );
  return printed ? 'Drawn inside face up, print down' : 'Drawn inside face up';
});

const hasMountains = computed(() =>
  props.plan.pieces.some(({ grid }) =>
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
  <section ref="section" class="mat" aria-label="Pieces on the cutting mat" :class="{ stale }">
    <div ref="mat" class="pieces">
      <svg :width="width" :height="height" role="img" :aria-label="faceUp">
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
            <MeasureSpan :length="cutSizeOf(placed.piece.grid).height" :unit="unit" />
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
              @click="pointAt($event, face)"
              @pointerenter="pointing.hover(face)"
              @pointerleave="pointing.hover(undefined)"
            >
              <title>{{ said }}</title>
            </path>
          </g>
          <MatMeasures
            v-if="!isOver && !isPlainPiece(placed.piece)"
            :placed="placed"
            :unit="unit"
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
      <p class="face">
        {{ faceUp }} ·
        <template v-if="hasTwoSides">
          <button type="button" @click="up = isOver ? 'inside' : 'outside'">
            {{ isOver ? 'turn them back' : 'turn them over' }}
          </button>
          ·
        </template>
        <button type="button" title="Choose a face from a list" @click="pointing.choose()">
          click a face to dress it
        </button>
      </p>
    </div>
    <div class="folding">
      <FoldView :plan="plan" :request="request" @face="pointInSpace" />
      <FinishedSizes v-if="!stale" :plan="plan" :request="request" />
    </div>
    <FaceMenu :width="whole.width.value" :height="whole.height.value" />
    <slot />
  </section>
</template>

<style scoped>
.mat {
  position: relative;
  overflow: hidden;
  background-color: var(--mat);
  background-image: radial-gradient(circle, var(--mat-dot) 1.1px, transparent 1.4px);
  background-size: 22px 22px;
}

.mat {
  display: grid;
  grid-template-rows: minmax(0, 1.05fr) minmax(0, 1fr);
}

.pieces,
.folding {
  position: relative;
  min-height: 0;
}

.pieces > svg {
  will-change: transform;
  display: block;
  position: absolute;
  inset: 0;
}

.stale .folding,
.stale .pieces > svg {
  filter: grayscale(1);
  opacity: 0.45;
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
  stroke: var(--ink);
  stroke-width: 1.5;
}

.face {
  position: absolute;
  left: 0;
  right: 0;
  top: 12px;
  text-align: center;
  font-size: 12px;
  color: #b9cfc8;
  pointer-events: none;
}

.face button {
  min-height: 24px;
  padding: 0;
  border: 0;
  font: inherit;
  color: inherit;
  text-decoration: underline;
  background: none;
  cursor: pointer;
  pointer-events: auto;
}
</style>
