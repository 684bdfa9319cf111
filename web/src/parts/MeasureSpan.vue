<script setup lang="ts">
import { measureParts, type Length, type Unit } from '@rangoli/core';
import { computed } from 'vue';

/** A length inside an SVG text, with a real fraction; in another unit than its ruler's it says so. */
const props = defineProps<{ length: Length; unit: Unit; withUnit?: boolean; isAbout?: boolean }>();

const parts = computed(() => measureParts(props.length, props.unit));
const about = computed(() =>
  props.isAbout || (parts.value.kind === 'decimal' && !parts.value.exact) ? '≈ ' : '',
);
</script>

<template>
  <template v-if="parts.kind === 'fraction'"
    ><tspan v-if="about">{{ about }}</tspan
    ><tspan v-if="parts.whole > 0 || parts.numerator === 0">{{ parts.whole }}</tspan
    ><tspan v-if="parts.whole > 0 && parts.numerator > 0" class="gap">{{ ' ' }}</tspan
    ><tspan v-if="parts.numerator > 0" class="fraction"
      >{{ parts.numerator }}/{{ parts.denominator }}</tspan
    ></template
  ><tspan v-else
    >{{ about }}{{ parts.text }}{{ parts.unit === unit ? '' : `\u2009${parts.unit}` }}</tspan
  ><tspan v-if="withUnit && (parts.kind === 'fraction' || parts.unit === unit)" class="unit">{{
    `\u2009${unit === 'inch' ? 'in' : 'mm'}`
  }}</tspan>
</template>

<style scoped>
.gap {
  font-size: 0.5em;
  white-space: pre;
}

.unit {
  font-size: 0.78em;
}
</style>
