<script setup lang="ts">
import { type Print } from '@rangoli/core';
import { computed, useId } from 'vue';
import PrintPattern from './PrintPattern.vue';
import { printParts } from './print-parts.ts';

/** A little of a printed paper: about one repeat of it, or more of a small one. */
const props = defineProps<{ colour: string; print: Print }>();

const id = useId();
const [wide, tall] = [76, 48];
/** Millimetres across: a large print whole, a small one as if near at hand. */
const across = computed(() => Math.min(90, Math.max(26, printParts(props.print).width * 1.15)));
</script>

<template>
  <svg :viewBox="`0 0 ${across} ${(across * tall) / wide}`" :width="wide" :height="tall">
    <PrintPattern :id="id" :print="print" :matrix="[1, 0, 0, 1, 0, 0]" />
    <rect width="100%" height="100%" :fill="colour" />
    <rect width="100%" height="100%" :fill="`url(#${id})`" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  border-radius: 3px;
}
</style>
