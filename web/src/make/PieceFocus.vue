<script setup lang="ts">
import {
  cutSizeOf,
  gridPositions,
  linesAtMark,
  toMillimetres,
  zero,
  type GridPoint,
  type JobStep,
  type Piece,
  type Run,
} from '@rangoli/core';
import { useElementSize } from '@vueuse/core';
import { computed, useTemplateRef } from 'vue';
import GlueHatch from '../parts/GlueHatch.vue';
import PieceDrawing from '../parts/PieceDrawing.vue';

/** A piece laid out large, with what is to be done to it lit. */
const props = defineProps<{ piece: Piece; colour: string; work: JobStep['work'] }>();

const frame = useTemplateRef('frame');
const { width, height } = useElementSize(frame, { width: 840, height: 440 });
const size = computed(() => {
  const { width: across, height: down } = cutSizeOf(props.piece.grid);
  return { across: toMillimetres(across), down: toMillimetres(down) };
});
const border = 8;
const scale = computed(() =>
  Math.min(
    width.value / (size.value.across + 2 * border),
    height.value / (size.value.down + 2 * border),
    5,
  ),
);
const grain = computed(() => 1 / scale.value);

function place({ column, row }: GridPoint) {
  const { columns, rows } = props.piece.grid;
  const at = (positions: readonly number[], index: number) => {
    const whole = Math.min(Math.floor(index), positions.length - 2);
    const from = positions[whole] ?? 0;
    return from + ((positions[whole + 1] ?? from) - from) * (index - whole);
  };
  return {
    x: at(gridPositions(columns).map(toMillimetres), column),
    y: at(gridPositions(rows).map(toMillimetres), row),
  };
}

/** Straight lines that the step is about. */
const runs = computed((): readonly Run[] => {
  const { work, piece } = props;
  switch (work.kind) {
    case 'slit':
      return work.slits.flatMap(({ line, from, length, begins = zero }) =>
        linesAtMark(piece.grid, line).map((run) =>
          part(run, from, toMillimetres(begins), toMillimetres(length)),
        ),
      );
    case 'slant':
      return work.lines.flat().flatMap((at): readonly Run[] => {
        const diagonal = piece.grid.diagonals[at];
        return diagonal ? [{ from: place(diagonal.from), to: place(diagonal.to) }] : [];
      });
    case 'fold':
      return [
        ...piece.grid.lines.flatMap(({ axis, index, spans }) =>
          spans.flatMap((span): readonly Run[] => {
            if (span.make !== 'score') return [];
            const end = (along: number) =>
              axis === 'column'
                ? place({ column: index, row: along })
                : place({ column: along, row: index });
            return [{ from: end(span.from), to: end(span.to) }];
          }),
        ),
        ...piece.grid.diagonals
          .filter(({ make }) => make === 'score')
          .map(({ from, to }) => ({ from: place(from), to: place(to) })),
      ];
    default:
      return [];
  }
});

/** The stretch of a line that begins so far from one of its ends. */
function part({ from, to }: Run, side: string, begins: number, length: number): Run {
  const isFirst = side === 'top' || side === 'left';
  const [start, end] = isFirst ? [from, to] : [to, from];
  const whole = Math.hypot(end.x - start.x, end.y - start.y);
  const at = (along: number) => {
    const share = whole === 0 ? 0 : along / whole;
    return { x: start.x + (end.x - start.x) * share, y: start.y + (end.y - start.y) * share };
  };
  return { from: at(begins), to: at(begins + length) };
}

/** Places that the step is about. */
const spots = computed(() => {
  const { work, piece } = props;
  if (work.kind === 'taper')
    return work.places
      .flatMap((at) => piece.grid.tapers[at] ?? [])
      .map(({ cell }) => ({ ...place({ column: cell.column + 0.5, row: cell.row + 0.5 }), r: 0 }));
  if (work.kind !== 'snip' && work.kind !== 'fasten') return [];
  return work.places
    .flatMap((at) => piece.grid.cutouts[at] ?? [])
    .map((cutout) => {
      if (cutout.shape === 'hole' || cutout.shape === 'notch')
        return {
          x: toMillimetres(cutout.centre.x),
          y: toMillimetres(cutout.centre.y),
          r: toMillimetres(cutout.radius),
        };
      if (cutout.shape === 'corner')
        return { x: toMillimetres(cutout.at.x), y: toMillimetres(cutout.at.y), r: 0 };
      const xs = cutout.corners.map(({ x }) => toMillimetres(x));
      const ys = cutout.corners.map(({ y }) => toMillimetres(y));
      return {
        x: (Math.min(...xs) + Math.max(...xs)) / 2,
        y: (Math.min(...ys) + Math.max(...ys)) / 2,
        r: 0,
      };
    });
});
</script>

<template>
  <div ref="frame" class="frame">
    <svg
      :width="(size.across + 2 * border) * scale"
      :height="(size.down + 2 * border) * scale"
      :viewBox="`${-border} ${-border} ${size.across + 2 * border} ${size.down + 2 * border}`"
      role="img"
      :aria-label="`${piece.name}, what is to be done is marked`"
    >
      <GlueHatch :every="6 * grain" />
      <PieceDrawing :piece="piece" :colour="colour" :grain="grain" />
      <line
        v-for="(run, i) in runs"
        :key="`run ${i}`"
        class="run"
        :x1="run.from.x"
        :y1="run.from.y"
        :x2="run.to.x"
        :y2="run.to.y"
        :stroke-width="4.5 * grain"
      />
      <circle
        v-for="(spot, i) in spots"
        :key="`spot ${i}`"
        class="spot"
        :cx="spot.x"
        :cy="spot.y"
        :r="Math.max(spot.r + 5 * grain, 13 * grain)"
        :stroke-width="3.5 * grain"
      />
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
}

svg {
  overflow: visible;
}

.run {
  stroke: var(--turmeric);
  stroke-linecap: round;
}

.spot {
  fill: rgb(242 179 28 / 22%);
  stroke: var(--turmeric);
}
</style>
