<script setup lang="ts">
import {
  paperFor,
  papersOf,
  cutSizeOf,
  toMillimetres,
  type Paper,
  type Plan,
  type PlanRequest,
} from '@rangoli/core';
import { computed } from 'vue';

/** Every sheet that the box takes, small and to one scale, with the pieces where they are cut. */
const props = defineProps<{ plan: Plan; request: PlanRequest; size: 'small' | 'large' }>();

interface DrawnSheet {
  readonly key: string;
  readonly paper: Paper;
  readonly width: number;
  readonly height: number;
  readonly pieces: readonly {
    readonly x: number;
    readonly y: number;
    readonly width: number;
    readonly height: number;
  }[];
}

const sheets = computed((): readonly DrawnSheet[] =>
  props.plan.sheets.flatMap((use, nth) => {
    // The same card may be there in two sizes: what lies on it tells which this is.
    const first = props.plan.pieces.find(({ id }) => id === use.placements[0]?.piece);
    if (!first) return [];
    const paper = paperFor(papersOf(props.request), first.paper);
    return Array.from({ length: use.sheets }, (_, sheet): DrawnSheet => ({
      key: `${nth} ${sheet}`,
      paper,
      width: toMillimetres(paper.sheet.width),
      height: toMillimetres(paper.sheet.height),
      pieces: use.placements
        .filter((each) => each.sheet === sheet)
        .flatMap(({ piece, x, y, turned }) => {
          const found = props.plan.pieces.find(({ id }) => id === piece);
          if (!found) return [];
          const size = cutSizeOf(found.grid);
          const [width, height] = turned ? [size.height, size.width] : [size.width, size.height];
          return [
            {
              x: toMillimetres(x),
              y: toMillimetres(y),
              width: toMillimetres(width),
              height: toMillimetres(height),
            },
          ];
        }),
    }));
  }),
);
const scale = computed(
  () =>
    (props.size === 'small' ? 50 : 92) /
    Math.max(...sheets.value.map(({ width, height }) => Math.max(width, height * 0.9))),
);
</script>

<template>
  <section class="sheets" :class="size" aria-labelledby="sheets-heading">
    <h2 id="sheets-heading">Cut from</h2>
    <ul>
      <li v-for="sheet in sheets" :key="sheet.key">
        <svg
          :width="sheet.width * scale + 2"
          :height="sheet.height * scale + 2"
          :viewBox="`-1 -1 ${sheet.width * scale + 2} ${sheet.height * scale + 2}`"
          aria-hidden="true"
        >
          <rect class="whole" :width="sheet.width * scale" :height="sheet.height * scale" />
          <rect
            v-for="(piece, i) in sheet.pieces"
            :key="i"
            class="piece"
            :x="piece.x * scale"
            :y="piece.y * scale"
            :width="piece.width * scale"
            :height="piece.height * scale"
            :fill="sheet.paper.colour"
          />
        </svg>
        <p>
          {{ sheet.paper.name }}<br /><span class="quiet">{{ sheet.paper.sheet.name }}</span>
        </p>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.sheets {
  padding: 14px 16px;
}

section.small {
  padding-block: 8px;
}

h2 {
  margin-bottom: 8px;
  font-size: 16px;
}

ul {
  display: flex;
  flex-wrap: wrap;
  gap: 14px 22px;
}

li {
  display: flex;
  flex-direction: column;
  gap: 4px;
  font-size: 13px;
  line-height: 1.3;
}

section.small li {
  flex-direction: row;
  gap: 8px;
  align-items: center;
}

.whole {
  fill: #f1f4f2;
  stroke: #a9bab3;
  stroke-dasharray: 4 3;
}

.piece {
  stroke: #ffffff;
}
</style>
