<script setup lang="ts">
import { sceneAt, type Papers, type Plan } from '@rangoli/core';
import { computed } from 'vue';
import { drawFaces, viewBoxOf } from './axonometric.ts';
import { coloursOf, foldingBoxOf } from './box-faces.ts';

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
const picture = computed(() =>
  drawFaces(
    sceneAt(box.value, props.time ?? box.value.end, props.open ?? 0).faces,
    coloursOf(box.value, props.papers),
    2,
  ),
);
</script>

<template>
  <svg :viewBox="viewBoxOf(picture.bounds)" aria-hidden="true">
    <path
      v-for="(face, i) in picture.faces"
      :key="i"
      :d="face.path"
      :fill="face.fill"
      fill-rule="evenodd"
    />
  </svg>
</template>

<style scoped>
path {
  stroke: var(--ink);
  stroke-width: 1;
  stroke-linejoin: round;
  vector-effect: non-scaling-stroke;
}
</style>
