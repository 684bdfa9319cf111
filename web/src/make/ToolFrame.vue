<script setup lang="ts">
import { computed, useTemplateRef } from 'vue';
import { useFrameSize } from '../parts/use-frame-size.ts';

/**
 * A tool as it lies in front of the maker, drawn as large as there is room: its ruler on top, the card under
 * it. Lengths are in millimetres; `grain` is the length of one pixel.
 */
const props = defineProps<{
  label: string;
  /** Where the drawing begins, and how much it must show. */
  left: number;
  across: number;
  down: number;
  /** How high the ruler is over the card. */
  ruler: number;
}>();

const frame = useTemplateRef('frame');
const { width, height } = useFrameSize(frame);

const scale = computed(() => Math.min(width.value / props.across, height.value / props.down));
const grain = computed(() => 1 / scale.value);
/** As far down as there is room. */
const tall = computed(() => Math.max(props.down, height.value / scale.value));
</script>

<template>
  <div ref="frame" class="measured-frame frame">
    <svg
      :width="across * scale"
      :height="tall * scale"
      :viewBox="`${left} ${-ruler} ${across} ${tall}`"
      :style="{ '--grain': grain }"
      role="img"
      :aria-label="label"
    >
      <slot :scale="scale" :grain="grain" :tall="tall" />
    </svg>
  </div>
</template>

<style scoped>
.frame {
  overflow: hidden;
  /* The knob stands over the tool's edge. */
  margin: -12px;
  padding: 12px;
}

svg {
  flex: none;
  overflow: visible;
}

svg :deep(.bed) {
  fill: #edf2ee;
}

svg :deep(.ruler) {
  fill: #dbe5df;
}

svg :deep(.piece) {
  transition: transform 0.7s cubic-bezier(0.4, 0, 0.2, 1);
}

svg :deep(.card) {
  stroke: rgb(20 48 45 / 55%);
  stroke-width: calc(1.2px * var(--grain));
  fill-opacity: 0.92;
}

svg :deep(.scored) {
  stroke-width: calc(1.6px * var(--grain));
  stroke-dasharray: calc(7px * var(--grain)) calc(5px * var(--grain));
}

svg :deep(.at line) {
  stroke: var(--turmeric);
  stroke-width: calc(4.5px * var(--grain));
}

svg :deep(.at .casing) {
  stroke: var(--ink);
  stroke-width: calc(7.5px * var(--grain));
}

svg :deep(.at circle) {
  fill: var(--turmeric);
  stroke: var(--ink);
  stroke-width: calc(1.6px * var(--grain));
}

@media (prefers-reduced-motion: reduce) {
  svg :deep(.piece) {
    transition: none;
  }
}
</style>
