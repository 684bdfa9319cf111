<script setup lang="ts">
import {
  papersOf,
  cutSizeOf,
  paperFor,
  toMillimetres,
  type Compared,
  type Extents,
  type PlanRequest,
} from '@rangoli/core';
import { computed } from 'vue';
import BoxPicture from '../fold/BoxPicture.vue';
import MeasureSize from '../parts/MeasureSize.vue';
import MeasureText from '../parts/MeasureText.vue';
import PieceDrawing from '../parts/PieceDrawing.vue';

/** One kind of box: its pieces on the sheet, the closed box, and what it takes. */
const props = defineProps<{
  compared: Extract<Compared, { readonly ok: true }>;
  request: PlanRequest;
  chosen: boolean;
  largest: Extents | undefined;
  /** The longer side of the sheet, to which all sheets are drawn. */
  scaleTo: number;
}>();
const emit = defineEmits<{ take: [] }>();

const papers = computed(() =>
  papersOf({
    papers: [props.request.papers[0]],
    style: props.compared.choice,
    additions: props.request.additions,
  }),
);
const paper = computed(() => paperFor(props.request.papers, 0));
const view = computed(() => {
  const { width, height } = paper.value.sheet;
  return { width: toMillimetres(width), height: toMillimetres(height) };
});
const grain = computed(() => toMillimetresOf(props.scaleTo) / 150);

function toMillimetresOf(nanometres: number): number {
  return nanometres / 1_000_000;
}

/** The first sheet of the box’s own paper, with the pieces where they are cut. */
const placed = computed(() => {
  const { plan } = props.compared;
  const own = plan.sheets.filter((use) => use.paper === paper.value.id);
  return own.flatMap((use) =>
    use.placements
      .filter(({ sheet }) => sheet === 0)
      .flatMap(({ piece: id, x, y, turned }) => {
        const piece = plan.pieces.find((each) => each.id === id);
        if (!piece) return [];
        const [left, top] = [toMillimetres(x), toMillimetres(y)];
        const { height } = cutSizeOf(piece.grid);
        const transform = turned
          ? `translate(${left + toMillimetres(height)} ${top}) rotate(90)`
          : `translate(${left} ${top})`;
        return [{ piece, transform, key: `${id} ${left} ${top}` }];
      }),
  );
});
const figures = computed(() => props.compared.figures);
</script>

<template>
  <li class="style" :class="{ chosen }">
    <button type="button" @click="emit('take')">
      <span class="head">
        <strong>{{ compared.style.name }}</strong>
        <span :class="figures.sheets === 1 ? 'one' : 'more'">{{
          figures.sheets === 1
            ? `${figures.pieces} ${figures.pieces === 1 ? 'piece' : 'pieces'}`
            : `${figures.sheets} sheets`
        }}</span>
      </span>
      <span class="pictures">
        <svg
          class="sheet"
          :viewBox="`-1 -1 ${view.width + 2} ${view.height + 2}`"
          aria-hidden="true"
        >
          <rect class="paper" :width="view.width" :height="view.height" :stroke-width="grain" />
          <g v-for="each in placed" :key="each.key" :transform="each.transform">
            <PieceDrawing :piece="each.piece" :colour="paper.colour" :grain="grain * 0.7" />
          </g>
        </svg>
        <BoxPicture :plan="compared.plan" :papers="papers" class="box" />
      </span>
      <span class="figures">
        <span
          ><b>{{ figures.scores }}</b> scores, laid <b>{{ figures.lyings }}</b> times</span
        >
        <b>{{ Math.round(figures.minutes) }} min</b>
        <span v-if="figures.offGrid === 0">all on your marks</span>
        <span v-else class="off">{{ figures.offGrid }} off your marks</span>
        <span v-if="figures.glue > 0"
          >glue <b><MeasureText :length="figures.glue" :unit="request.unit" with-unit coarse /></b
        ></span>
        <span v-else>no glue</span>
        <span class="wide"
          ><b>{{ Math.round(figures.used * 100) }}%</b> of
          {{ figures.sheets === 1 ? 'the sheet' : 'the sheets' }}</span
        >
        <span class="wide">
          <template v-if="largest"
            >holds up to
            <b
              ><MeasureSize
                :lengths="[largest.across, largest.deep, largest.high]"
                :unit="request.unit"
                with-unit
                coarse /></b
          ></template>
          <template v-else>&nbsp;</template>
        </span>
      </span>
    </button>
  </li>
</template>

<style scoped>
.style {
  background: var(--paper);
}

.style.chosen {
  background: var(--turmeric-pale);
}

button {
  display: flex;
  flex-direction: column;
  gap: 8px;
  width: 100%;
  height: 100%;
  padding: 12px 16px;
  border: 0;
  font: inherit;
  color: var(--ink);
  text-align: left;
  background: none;
  cursor: pointer;
}

button:hover {
  background: var(--ground);
}

.chosen button:hover {
  background: none;
}

button:focus-visible {
  outline-offset: -3px;
}

.head {
  display: flex;
  gap: 8px;
  justify-content: space-between;
  align-items: baseline;
}

.head strong {
  font: 700 16px/1.2 var(--figures);
}

.one {
  font-size: 12.5px;
  font-weight: 600;
  color: var(--leaf-text);
  white-space: nowrap;
}

.more {
  font-size: 12.5px;
  font-weight: 600;
  color: var(--vermilion);
  white-space: nowrap;
}

.pictures {
  display: grid;
  grid-template-columns: 132px 1fr;
  gap: 10px;
  align-items: end;
  height: 136px;
}

.sheet,
.box {
  width: 100%;
  max-height: 136px;
}

.paper {
  fill: #f1f4f2;
  stroke: #b3c1bb;
  stroke-dasharray: 6 5;
}

.figures {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 2px 10px;
  font-size: 13px;
  color: var(--ink-soft);
}

.figures b {
  font-weight: 700;
  color: var(--ink);
}

.wide {
  grid-column: 1 / -1;
}

.figures > * {
  white-space: nowrap;
}

.off {
  color: var(--vermilion);
}
</style>
