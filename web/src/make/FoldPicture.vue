<script setup lang="ts">
import { sceneAt, type Papers, type Plan } from '@rangoli/core';
import { computed } from 'vue';
import { boundsOfAll, drawFaces, viewBoxOf } from '../fold/axonometric.ts';
import { coloursOf, foldingBoxOf } from '../fold/box-faces.ts';
import { useLoopedShare } from './use-looped-share.ts';

/** The box as it folds from flat to closed, over and over; half done where motion is unwanted. */
const props = defineProps<{ plan: Plan; papers: Papers }>();

const box = computed(() => foldingBoxOf(props.plan, props.papers));
const colours = computed(() => coloursOf(box.value, props.papers));
const share = useLoopedShare({ milliseconds: () => 5400, of: () => props.plan });

function drawnAt(part: number) {
  return drawFaces(sceneAt(box.value, part * box.value.end, 0).faces, colours.value, 2);
}

/** One frame for all of it, so that nothing jumps. */
const viewBox = computed(() => viewBoxOf(boundsOfAll([0, 0.25, 0.5, 0.75, 1].map(drawnAt))));
const picture = computed(() => drawnAt(share.value));
</script>

<template>
  <div class="frame">
    <svg :viewBox="viewBox" role="img" aria-label="The box as it folds">
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
