<script setup lang="ts">
import {
  inchFraction,
  millimetres,
  roundDown,
  shownParts,
  type Length,
  type Unit,
} from '@rangoli/core';
import { computed } from 'vue';

/** A length on its ruler, with a real fraction; coarse where only its size matters. */
const props = defineProps<{
  length: Length;
  unit: Unit;
  withUnit?: boolean;
  coarse?: boolean;
  /** One of a row of figures, which says itself that it is about so much. */
  partOfSize?: 'with its unit' | 'figure alone';
}>();

const shown = computed(() =>
  props.coarse
    ? roundDown(props.length, props.unit === 'inch' ? inchFraction(1, 8) : millimetres(1))
    : props.length,
);
const parts = computed(() => shownParts(shown.value, props.unit));
const suffix = computed(() => {
  const given = parts.value.kind === 'decimal' ? parts.value.unit : 'inch';
  const isLeftOut = props.partOfSize
    ? props.partOfSize === 'figure alone'
    : !props.withUnit && given === props.unit;
  if (isLeftOut) return '';
  return given === 'inch' ? ' in' : ' mm';
});
</script>

<template>
  <span class="measure"
    ><template v-if="parts.kind === 'fraction'"
      >{{ parts.sign
      }}<template v-if="parts.whole > 0 || parts.numerator === 0">{{ parts.whole }}</template
      ><span v-if="parts.whole > 0 && parts.numerator > 0" class="gap">{{ ' ' }}</span
      ><span v-if="parts.numerator > 0" class="fraction"
        >{{ parts.numerator }}/{{ parts.denominator }}</span
      ></template
    ><template v-else>{{ parts.exact || partOfSize ? '' : '≈ ' }}{{ parts.text }}</template
    >{{ suffix }}</span
  >
</template>

<style scoped>
.measure {
  white-space: nowrap;
}

/* A real space, so that what is copied or read aloud is 3 9/16 and not 39/16; drawn narrow. */
.gap {
  font-size: 0.5em;
  white-space: pre;
}
</style>
