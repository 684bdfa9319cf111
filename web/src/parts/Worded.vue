<script setup lang="ts">
import { computed } from 'vue';

/** A sentence whose fractions are drawn as real ones, and whose figures are never broken over two lines. */
const props = defineProps<{ text: string }>();

interface Part {
  readonly text: string;
  readonly isFraction: boolean;
}

/** Words and figures in turn, the figures with their units: `Score at `, `2 5/16`, ` and `, `3 in`. */
const words = computed(() =>
  props.text
    .split(/((?:\d+ )?(?:\d+\/)?\d+(?:\.\d+)?(?: (?:in|mm)\b)?)/)
    .map((text, i) => ({ isFigure: i % 2 === 1, parts: partsOf(text) })),
);

function partsOf(figure: string): readonly Part[] {
  return figure
    .split(/(\d+\/\d+)/)
    .map((text, i) => ({ text, isFraction: i % 2 === 1 }))
    .filter(({ text }) => text !== '');
}
</script>

<template>
  <span
    ><span v-for="({ isFigure, parts }, i) in words" :key="i" :class="{ figure: isFigure }"
      ><template v-for="(part, n) in parts" :key="n"
        ><span v-if="part.isFraction" class="fraction">{{ part.text }}</span
        ><template v-else>{{ part.text }}</template></template
      ></span
    ></span
  >
</template>

<style scoped>
.figure {
  white-space: nowrap;
}
</style>
