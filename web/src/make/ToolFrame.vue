<script setup lang="ts">
import { computed, useTemplateRef } from 'vue';
import { useFrameSize } from '../parts/use-frame-size.ts';

/**
 * A tool as it lies in front of the maker, drawn as large as there is room: knobs on top, its ruler, the card under
 * it. Lengths are in millimetres; `grain` is the length of one pixel, `ruler` is how high the ruler is drawn, and `tall`
 * how far down there is room from its upper edge on.
 */
const props = defineProps<{
  label: string;
  /** Where the drawing begins, and how much it must show. */
  left: number;
  across: number;
  /** From the ruler's lower edge on. */
  down: number;
}>();

/** A ruler is so high, and never lower than its ticks and figures take, in pixels. */
const rulerHigh = 17;
const leastRuler = 36;
/** Pixels for a knob over it. */
const head = 18;

const frame = useTemplateRef('frame');
const { width, height } = useFrameSize(frame);

const scale = computed(() => {
  const room = height.value - head;
  const whole = room / (rulerHigh + props.down);
  const byHeight = rulerHigh * whole >= leastRuler ? whole : (room - leastRuler) / props.down;
  return Math.max(0.05, Math.min(width.value / props.across, byHeight));
});
const grain = computed(() => 1 / scale.value);
const ruler = computed(() => Math.max(rulerHigh, leastRuler * grain.value));
const over = computed(() => head * grain.value);
/** As far down as there is room. */
const tall = computed(() =>
  Math.max(ruler.value + props.down, height.value * grain.value - over.value),
);
</script>

<template>
  <div ref="frame" class="measured-frame frame">
    <svg
      :width="across * scale"
      :height="(over + tall) * scale"
      :viewBox="`${left} ${-ruler - over} ${across} ${over + tall}`"
      :style="{ '--grain': grain }"
      role="img"
      :aria-label="label"
    >
      <slot :scale="scale" :grain="grain" :ruler="ruler" :tall="tall" />
    </svg>
  </div>
</template>

<style scoped>
.frame {
  overflow: hidden;
  /* A knob at its end stands over the tool's edge. */
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

@media (prefers-reduced-motion: reduce) {
  svg :deep(.piece) {
    transition: none;
  }
}
</style>
