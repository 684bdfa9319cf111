<script setup lang="ts">
import { sceneAt, type Papers, type Plan } from '@rangoli/core';
import { computed } from 'vue';
import { drawFaces } from './axonometric.ts';
import { looksOf } from '../prints/card-look.ts';
import { flatCorners, foldingBoxOf } from './box-faces.ts';
import FacesDrawing from './FacesDrawing.vue';
import { ribbonLook, ribbonsOn } from './finery.ts';
import { ribbonPart } from './ribbon-faces.ts';

/** A box drawn from its own folded geometry, closed or at some stage of its making. */
const props = defineProps<{
  plan: Plan;
  papers: Papers;
  /** Counted in stages; closed where it isn't given. */
  time?: number;
  /** How far what opens is drawn away, 0–1. */
  open?: number;
}>();

const box = computed(() => foldingBoxOf(props.plan, props.papers));
const faces = computed(
  () => sceneAt(box.value, props.time ?? box.value.end, props.open ?? 0).faces,
);
/** Ribbons are put on the closed box. */
const ribbons = computed(() => {
  const isClosed = (props.time ?? box.value.end) >= box.value.end && (props.open ?? 0) === 0;
  return isClosed ? ribbonsOn(props.plan, { box: box.value, closed: faces.value }) : [];
});
const picture = computed(() =>
  drawFaces(
    [...faces.value, ...ribbons.value],
    {
      looks: new Map(looksOf(box.value, props.papers)).set(ribbonPart, ribbonLook),
      flatOf: (face) => flatCorners(box.value, face),
    },
    2,
  ),
);
</script>

<template>
  <FacesDrawing v-bind="picture" aria-hidden="true" />
</template>
