<script setup lang="ts">
import type { LidCorners, Plan, Step } from '@rangoli/core';
import { computed } from 'vue';
import TextButton from './TextButton.vue';

/** At the corners of a lid: the other way of gluing them, to be chosen; nothing at any other step. */
const props = defineProps<{ plan: Plan; step: Step; corners: LidCorners }>();
const emit = defineEmits<{ choose: [corners: LidCorners] }>();

const other = computed((): LidCorners | undefined => {
  const { plan, step, corners } = props;
  const isLid = plan.pairs.some(({ kind, outer }) => kind === 'lid' && outer === step.piece);
  const gluesTabs =
    step.kind === 'assembly' &&
    step.operations.some((each) => each.kind === 'glue' && each.faces[0]?.role === 'tab');
  // Where a band goes under the lid, the base is no measure of it.
  const hasBand = plan.assembly.parts.some(({ wraps }) => wraps === 'under lid');
  if (!isLid || !gluesTabs || hasBand) return undefined;
  return corners === 'all at once' ? 'round the base' : 'all at once';
});
</script>

<template>
  <TextButton v-if="other" @click="emit('choose', other)">
    {{
      other === 'all at once'
        ? 'Glue all corners flat instead'
        : 'Glue the last two round the base instead'
    }}
  </TextButton>
</template>
