<script setup lang="ts">
import { toMillimetres, zero, type Adhesive, type Punch } from '@rangoli/core';
import { computed } from 'vue';

/** What a punch takes out of card, or how wide a tape is, all to one scale: 1 mm is 1 px. */
const props = defineProps<{
  tool:
    | { readonly kind: 'punches'; readonly tool: Punch }
    | { readonly kind: 'adhesives'; readonly tool: Adhesive };
}>();

const side = 84;
const middle = side / 2;
const size = computed(() =>
  toMillimetres(
    props.tool.kind === 'punches' ? props.tool.tool.size : (props.tool.tool.width ?? zero),
  ),
);
const shape = computed(() => (props.tool.kind === 'punches' ? props.tool.tool.shape : 'tape'));
const isGlue = computed(
  () => props.tool.kind === 'adhesives' && props.tool.tool.width === undefined,
);

/** The outline of the card that the punch leaves. */
const path = computed(() => {
  const long = Math.min(size.value, side - 16);
  switch (shape.value) {
    case 'corner': {
      const r = Math.min(size.value * 2, side - 24);
      return `M12 ${side} V${12 + r} A${r} ${r} 0 0 1 ${12 + r} 12 H${side} V${side} Z`;
    }
    case 'edge': {
      const count = Math.max(1, Math.ceil(side / long));
      const waves = Array.from({ length: count }, () => `a${long / 2} ${long / 3} 0 0 1 ${long} 0`);
      return `M0 ${middle} ${waves.join(' ')} V${side} H0 Z`;
    }
    case 'end': {
      const left = middle - long / 2;
      return `M${left} ${side} V${side * 0.45} Q${left} 14 ${middle} 10 Q${left + long} 14 ${left + long} ${side * 0.45} V${side} Z`;
    }
    case 'hole':
    case 'tape':
      return '';
  }
});
</script>

<template>
  <svg :viewBox="`0 0 ${side} ${side}`" :width="side" :height="side" aria-hidden="true">
    <rect class="bed" x="0" y="0" :width="side" :height="side" />
    <template v-if="shape === 'hole'">
      <rect class="card" x="4" y="4" :width="side - 8" :height="side - 8" />
      <circle class="hole" :cx="middle" :cy="middle" :r="Math.min(size / 2, middle - 7)" />
    </template>
    <template v-else-if="isGlue">
      <path class="glue" d="M10 62 q8 -14 16 0 t16 0 t16 0 t16 0" />
    </template>
    <template v-else-if="shape === 'tape'">
      <rect class="card" x="8" y="16" :width="side - 16" :height="side - 32" />
      <rect class="tape" x="8" :y="middle - size / 2" :width="side - 16" :height="size" />
    </template>
    <path v-else class="card" :d="path" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  border-radius: var(--radius);
}

.bed {
  fill: #e9f0eb;
}

.card {
  fill: #ffffff;
  stroke: var(--line);
  stroke-width: 1.4px;
}

.hole {
  fill: #e9f0eb;
  stroke: var(--line);
  stroke-width: 1.4px;
}

.tape {
  fill: #b9cbc2;
  stroke: var(--line);
  stroke-width: 1px;
}

.glue {
  fill: none;
  stroke: var(--line);
  stroke-width: 5px;
  stroke-linecap: round;
}
</style>
