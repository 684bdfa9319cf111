<script setup lang="ts">
import { viewBoxOf, type Bounds, type DrawnFace } from './axonometric.ts';

/** Faces in space as they are drawn, the farthest first; more may be drawn over each face, and over all. */
defineProps<{ faces: readonly DrawnFace[]; bounds: Bounds }>();
</script>

<template>
  <svg :viewBox="viewBoxOf(bounds)">
    <template v-for="(face, i) in faces" :key="i">
      <path :d="face.path" :fill="face.fill" fill-rule="evenodd" />
      <slot name="over" :face="face" />
    </template>
    <slot />
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
