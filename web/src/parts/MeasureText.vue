<script setup lang="ts">
import { measureParts, type Length, type Unit } from '@rangoli/core';
import { computed } from 'vue';

/** A length on its ruler, with a real fraction. */
const props = defineProps<{ length: Length; unit: Unit; withUnit?: boolean }>();

const parts = computed(() => measureParts(props.length, props.unit));
const suffix = computed(() => {
  const given = parts.value.kind === 'decimal' ? parts.value.unit : 'inch';
  if (!props.withUnit && given === props.unit) return '';
  return given === 'inch' ? ' in' : ' mm';
});
</script>

<template>
  <span class="measure"
    ><template v-if="parts.kind === 'fraction'"
      >{{ parts.sign
      }}<template v-if="parts.whole > 0 || parts.numerator === 0">{{ parts.whole }}</template
      ><span v-if="parts.whole > 0 && parts.numerator > 0" class="gap">&#32;</span
      ><span v-if="parts.numerator > 0" class="fraction"
        >{{ parts.numerator }}/{{ parts.denominator }}</span
      ></template
    ><template v-else>{{ parts.exact ? '' : '≈ ' }}{{ parts.text }}</template
    >{{ suffix }}</span
  >
</template>

<style scoped>
.measure {
  white-space: nowrap;
}

.gap {
  display: inline-block;
  width: 0.14em;
}
</style>
