<script setup lang="ts">
import { computed } from 'vue';

/** A sentence whose fractions are drawn as real ones. */
const props = defineProps<{ text: string }>();

interface Part {
  readonly text: string;
  readonly isFraction: boolean;
}

const parts = computed((): readonly Part[] =>
  props.text
    .split(/(\d+\/\d+)/)
    .map((text, i) => ({ text, isFraction: i % 2 === 1 }))
    .filter(({ text }) => text !== ''),
);
</script>

<template>
  <span
    ><template v-for="(part, i) in parts" :key="i"
      ><span v-if="part.isFraction" class="fraction">{{ part.text }}</span
      ><template v-else>{{ part.text }}</template></template
    ></span
  >
</template>
