<script setup lang="ts">
import { useId } from 'vue';
import PrintPattern from '../prints/PrintPattern.vue';
import { viewBoxOf, type Bounds, type DrawnFace } from './axonometric.ts';

/** Faces in space as they are drawn, the farthest first; more may be drawn over each face, and over all. */
defineProps<{
  faces: readonly DrawnFace[];
  bounds: Bounds;
  /** Faces, by their place, through which one looks at what lies behind. */
  seeThrough?: ReadonlySet<number>;
}>();

const id = useId();
</script>

<template>
  <svg :viewBox="viewBoxOf(bounds)">
    <template v-for="(face, i) in faces" :key="i">
      <path
        :d="face.path"
        :fill="face.fill"
        fill-rule="evenodd"
        :class="{ glass: face.isClear || seeThrough?.has(i) }"
      />
      <template v-if="face.printed && !seeThrough?.has(i)">
        <PrintPattern :id="`${id}-${i}`" v-bind="face.printed" />
        <path :d="face.path" :fill="`url(#${id}-${i})`" fill-rule="evenodd" />
      </template>
      <slot name="over" :face="face" />
    </template>
    <slot />
  </svg>
</template>

<style scoped>
path {
  stroke: var(--line);
  stroke-width: 1;
  stroke-linejoin: round;
  vector-effect: non-scaling-stroke;
}

.glass {
  fill-opacity: 0.28;
}
</style>
