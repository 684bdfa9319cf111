<script setup lang="ts">
import { sceneAt, type Gift, type Papers, type Plan } from '@rangoli/core';
import { computed } from 'vue';
import { drawFaces, fromTheFront } from './axonometric.ts';
import { looksOf, plainLook } from '../prints/card-look.ts';
import { flatCorners, foldingBoxOf } from './box-faces.ts';
import FacesDrawing from './FacesDrawing.vue';
import { ribbonLook, ribbonsOn } from './finery.ts';
import { brass, comesFrom, giftFaces, giftPart } from './gift-faces.ts';
import { ribbonPart } from './ribbon-faces.ts';

/** A box drawn from its own folded geometry, closed or at some stage of its making. */
const props = defineProps<{
  plan: Plan;
  papers: Papers;
  /** Counted in stages; closed where it isn't given. */
  time?: number;
  /** How far what opens is drawn away, 0–1. */
  open?: number;
  /** The gift, where it is to be seen as it goes in. */
  gift?: Gift;
}>();

const box = computed(() => foldingBoxOf(props.plan, props.papers));
const scene = computed(() => sceneAt(box.value, props.time ?? box.value.end, props.open ?? 0));
const faces = computed(() => scene.value.faces);
const gift = computed(() =>
  props.gift && scene.value.gift > 0
    ? giftFaces(props.gift, fromTheFront, (1 - scene.value.gift) * comesFrom)
    : [],
);
/** Ribbons are put on the closed box. */
const ribbons = computed(() => {
  const isClosed = (props.time ?? box.value.end) >= box.value.end && (props.open ?? 0) === 0;
  return isClosed ? ribbonsOn(props.plan, { box: box.value, closed: faces.value }) : [];
});
const picture = computed(() =>
  drawFaces(
    [...faces.value, ...gift.value, ...ribbons.value],
    {
      looks: new Map(looksOf(box.value, props.papers))
        .set(ribbonPart, ribbonLook)
        .set(giftPart, plainLook(brass)),
      flatOf: (face) => flatCorners(box.value, face),
    },
    2,
  ),
);
</script>

<template>
  <FacesDrawing v-bind="picture" aria-hidden="true" />
</template>
