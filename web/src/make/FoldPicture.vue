<script setup lang="ts">
import { sceneAt, type Papers, type Plan } from '@rangoli/core';
import { usePreferredReducedMotion, useRafFn } from '@vueuse/core';
import { computed, shallowRef, watch } from 'vue';
import { drawFaces } from '../fold/axonometric.ts';
import { coloursOf, foldingBoxOf } from '../fold/box-faces.ts';

/** The box as one stage of its folding goes on, over and over; half done where motion is unwanted. */
const props = defineProps<{
  plan: Plan;
  papers: Papers;
  stage: number;
  /** Only this piece of it. */
  piece?: string | undefined;
  /** The whole way from flat to closed, and not one stage. */
  whole?: boolean;
}>();

const box = computed(() => foldingBoxOf(props.plan, props.papers));
const colours = computed(() => coloursOf(box.value, props.papers));
const motion = usePreferredReducedMotion();

/** Milliseconds that the stage takes, and that it rests at its end. */
const takes = 1800;
const rests = 1200;
const share = shallowRef(0.6);
let begun: number | undefined;
useRafFn(({ timestamp }) => {
  if (motion.value === 'reduce') return;
  begun ??= timestamp;
  const long = props.whole ? 3 * takes : takes;
  const at = (timestamp - begun) % (long + rests);
  share.value = Math.min(1, at / long);
});
watch(
  () => props.stage,
  () => {
    begun = undefined;
    share.value = 0.6;
  },
);

function drawnAt(time: number) {
  const { faces } = sceneAt(box.value, time, 0);
  const [only] = box.value.parts.filter((part) => part.piece.id === props.piece);
  const shown = only ? faces.filter(({ part }) => part === only.part.id) : faces;
  return drawFaces(shown, colours.value, 2);
}

function timeAt(part: number): number {
  return props.whole ? part * box.value.end : props.stage + part;
}

/** One frame for the whole stage, so that nothing jumps. */
const viewBox = computed(() => {
  const boxes = [0, 0.25, 0.5, 0.75, 1].map((part) =>
    drawnAt(timeAt(part)).viewBox.split(' ').map(Number),
  );
  const least = (at: number) => Math.min(...boxes.map((each) => each[at] ?? 0));
  const most = (at: number, size: number) =>
    Math.max(...boxes.map((each) => (each[at] ?? 0) + (each[size] ?? 0)));
  const [x, y] = [least(0), least(1)];
  return `${x} ${y} ${most(0, 2) - x} ${most(1, 3) - y}`;
});
const picture = computed(() => drawnAt(timeAt(share.value)));
</script>

<template>
  <div class="frame">
    <svg :viewBox="viewBox" role="img" aria-label="The box as it is put together">
      <path
        v-for="(face, i) in picture.faces"
        :key="i"
        :d="face.path"
        :fill="face.fill"
        fill-rule="evenodd"
      />
    </svg>
  </div>
</template>

<style scoped>
.frame {
  position: relative;
  height: 100%;
}

svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}

path {
  stroke: var(--ink);
  stroke-width: 1;
  stroke-linejoin: round;
  vector-effect: non-scaling-stroke;
}
</style>
