<script setup lang="ts">
import { shownParts, type Length, type Unit } from '@rangoli/core';
import { computed } from 'vue';
import MeasureText from './MeasureText.vue';

/** A size, one length after the other: its unit stands once, at the end, where all of them are in the same. */
const props = defineProps<{
  lengths: readonly Length[];
  unit: Unit;
  withUnit?: boolean;
  coarse?: boolean;
}>();

const parts = computed(() => props.lengths.map((length) => shownParts(length, props.unit)));
const units = computed(
  () => new Set(parts.value.map((each) => (each.kind === 'decimal' ? each.unit : 'inch'))),
);
const isAbout = computed(
  () => !props.coarse && parts.value.some((each) => each.kind === 'decimal' && !each.exact),
);
/** Whether each says its own. */
const isMixed = computed(() => units.value.size > 1);
const isOther = computed(() => !units.value.has(props.unit));

function says(at: number): boolean {
  const isLast = at === props.lengths.length - 1;
  return isMixed.value || (isLast && (props.withUnit || isOther.value));
}
</script>

<template>
  <span class="size-row"
    ><template v-if="isAbout">≈ </template
    ><template v-for="(length, at) in lengths" :key="at"
      ><template v-if="at > 0"> × </template
      ><MeasureText
        :length="length"
        :unit="unit"
        :coarse="coarse"
        :part-of-size="says(at) ? 'with its unit' : 'figure alone'" /></template
  ></span>
</template>

<style scoped>
.size-row {
  white-space: nowrap;
}
</style>
