<script setup lang="ts">
import { sceneAt, type Papers, type Plan } from '@rangoli/core';
import { computed } from 'vue';
import { boundsOfAll, drawFaces } from '../fold/axonometric.ts';
import { coloursOf, foldingBoxOf } from '../fold/box-faces.ts';
import FacesDrawing from '../fold/FacesDrawing.vue';
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
const bounds = computed(() => boundsOfAll([0, 0.25, 0.5, 0.75, 1].map(drawnAt)));
const picture = computed(() => drawnAt(share.value));
</script>

<template>
  <div class="filled-frame">
    <FacesDrawing
      class="drawing"
      :faces="picture.faces"
      :bounds="bounds"
      role="img"
      aria-label="The box as it folds"
    />
  </div>
</template>
