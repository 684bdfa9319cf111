<script setup lang="ts">
import { sceneAt, type Papers, type PlacedFace, type Plan } from '@rangoli/core';
import { computed } from 'vue';
import { boundsOfAll, drawFaces } from '../fold/axonometric.ts';
import { flatCorners, foldingBoxOf } from '../fold/box-faces.ts';
import FacesDrawing from '../fold/FacesDrawing.vue';
import { looksOf } from '../prints/card-look.ts';
import { useLoopedShare } from './use-looped-share.ts';

/** The box as it folds from flat to closed, over and over; half done where motion is unwanted. */
const props = defineProps<{ plan: Plan; papers: Papers }>();

const box = computed(() => foldingBoxOf(props.plan, props.papers));
const looks = computed(() => looksOf(box.value, props.papers));
const skin = computed(() => ({
  looks: looks.value,
  flatOf: (face: PlacedFace) => flatCorners(box.value, face),
}));
const share = useLoopedShare({ milliseconds: () => 5400, of: () => props.plan });

function drawnAt(part: number) {
  return drawFaces(sceneAt(box.value, part * box.value.end, 0).faces, skin.value, 2);
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
