<script setup lang="ts">
import { computed } from 'vue';
import { wordsAndFigures } from './words-and-figures.ts';

/** A sentence whose fractions are drawn as real ones, and whose figures are never broken over two lines. */
const props = defineProps<{ text: string }>();
const words = computed(() => wordsAndFigures(props.text));
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
