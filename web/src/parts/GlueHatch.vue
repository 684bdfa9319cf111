<script setup lang="ts">
/** The hatching of what takes glue, for drawings of pieces; once in each picture. */
defineProps<{
  /** Units of the drawing between two strokes. */
  every: number;
}>();
</script>

<template>
  <defs>
    <pattern
      id="glue-hatch"
      :width="every"
      :height="every"
      patternUnits="userSpaceOnUse"
      patternTransform="rotate(45)"
    >
      <line
        x1="0"
        x2="0"
        y1="0"
        :y2="every"
        stroke="#ffffff"
        stroke-opacity="0.55"
        :stroke-width="every * 0.24"
      />
    </pattern>
  </defs>
</template>
