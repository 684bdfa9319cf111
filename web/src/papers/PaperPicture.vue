<script setup lang="ts">
import { toMillimetres, type KeptPaper } from '@rangoli/core';
import { computed, useId } from 'vue';
import { isDark, shade } from '../parts/colour.ts';

/** A paper’s sheets, all papers to one scale, the largest at the back, with a corner turned up to show the other face. */
const props = defineProps<{ paper: KeptPaper }>();

/** The picture shows so many millimetres; larger sheets are drawn smaller, in proportion. */
const room = { width: 320, height: 330 };
/** The corner that is turned up on the sheet in front. */
const corner = 42;

const id = useId();
const line = computed(() =>
  isDark(props.paper.colour) ? 'rgb(255 255 255 / 55%)' : 'rgb(20 48 45 / 40%)',
);
const back = computed(() => {
  const { print, colour } = props.paper;
  if (print === 'one face') return '#fbf8f1';
  return isDark(colour) ? shade(colour, 0.28) : shade(colour, -0.12);
});
const sheets = computed(() => {
  const sizes = props.paper.sheets
    .map(({ name, width, height }) => ({
      name,
      width: toMillimetres(width),
      height: toMillimetres(height),
    }))
    .sort((one, other) => other.width * other.height - one.width * one.height);
  const most = Math.max(
    ...sizes.map(({ width, height }) => Math.max(width / room.width, height / room.height)),
    1,
  );
  return sizes.map(({ name, width, height }) => ({
    name,
    width: width / most,
    height: height / most,
    y: room.height - height / most,
  }));
});
const front = computed(() => sheets.value.at(-1));
/** The turned corner lies at the top right of the sheet in front. */
const turned = computed(() => {
  if (!front.value) return undefined;
  const { width, y } = front.value;
  const size = Math.min(corner, front.value.width / 2, front.value.height / 2);
  return `M ${width - size} ${y} L ${width - size} ${y + size} L ${width} ${y + size} Z`;
});
const cutAway = computed(() => {
  if (!front.value) return '';
  const { width, height, y } = front.value;
  const size = Math.min(corner, width / 2, height / 2);
  return `M 0 ${y} H ${width - size} L ${width} ${y + size} V ${y + height} H 0 Z`;
});
</script>

<template>
  <svg
    :viewBox="`-6 -6 ${room.width + 12} ${room.height + 12}`"
    role="img"
    :aria-label="`${paper.name}, in ${paper.sheets.length} ${paper.sheets.length === 1 ? 'size' : 'sizes'} of sheet`"
  >
    <defs>
      <pattern :id="id" width="22" height="22" patternUnits="userSpaceOnUse">
        <circle cx="6" cy="6" r="2.6" :fill="line" />
        <circle cx="17" cy="17" r="2.6" :fill="line" />
      </pattern>
    </defs>
    <g v-for="(sheet, i) in sheets" :key="i">
      <rect
        v-if="i < sheets.length - 1"
        x="0"
        :y="sheet.y"
        :width="sheet.width"
        :height="sheet.height"
        :fill="paper.colour"
        :stroke="line"
      />
      <template v-else>
        <path :d="cutAway" :fill="paper.colour" :stroke="line" />
        <path v-if="paper.print !== 'plain'" :d="cutAway" :fill="`url(#${id})`" />
        <path v-if="turned" :d="turned" :fill="back" :stroke="line" />
        <path
          v-if="paper.print !== 'plain' && paper.printRuns === 'one way'"
          class="up"
          :stroke="line"
          :d="`M ${sheet.width / 2} ${sheet.y + sheet.height - 18} v ${-(sheet.height - 36)} m -11 13 l 11 -13 l 11 13`"
        />
      </template>
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-height: 128px;
}

rect,
path {
  stroke-width: 2px;
}

.up {
  fill: none;
  stroke-width: 4px;
}
</style>
