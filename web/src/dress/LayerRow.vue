<script setup lang="ts">
import { type Length, type Paper, type Unit } from '@rangoli/core';
import CrossButton from '../parts/CrossButton.vue';
import MeasureField from '../parts/MeasureField.vue';
import Pick from '../parts/Pick.vue';
import { usePapers } from '../stores/papers.ts';

/** One layer of something in layers: its paper, how far it keeps in, and whether it can be taken off. */
const props = defineProps<{
  /** What the layers are of, and which of them it is. */
  of: string;
  name: string;
  paper: Paper;
  /** How far it keeps in; a layer that lies on nothing has no margin. */
  margin?: Length | undefined;
  limits: { readonly least: Length; readonly most: Length };
  /** Where what is typed is kept until it can be taken. */
  field: string;
  unit: Unit;
  mayGo: boolean;
}>();
const emit = defineEmits<{ paper: [paper: Paper]; margin: [margin: Length]; remove: [] }>();

const papers = usePapers();

function setPaper(id: string): void {
  const paper = papers.atHand.find((each) => each.id === id);
  if (paper) emit('paper', papers.learned(paper, props.paper.sheet));
}
</script>

<template>
  <div class="layer">
    <span class="which">{{ name }}</span>
    <Pick
      :class="{ wide: margin === undefined }"
      :label="`${of}, ${name.toLowerCase()}: paper`"
      :value="props.paper.id"
      :options="papers.choicesWith(props.paper)"
      @change="setPaper"
    />
    <MeasureField
      v-if="margin !== undefined"
      :field="field"
      :label="`${of}, ${name.toLowerCase()}: margin`"
      hide-label
      fault-from="right"
      :length="margin"
      :unit="unit"
      :least="limits.least"
      :most="limits.most"
      @change="(to) => emit('margin', to)"
    />
    <CrossButton
      v-if="mayGo"
      :label="`Take ${name.toLowerCase()} off: ${of}`"
      @click="emit('remove')"
    />
  </div>
</template>

<style scoped>
.layer {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 84px 26px;
  gap: 1px 4px;
  align-items: center;
}

.which {
  grid-column: 1 / -1;
  font-size: 12px;
  line-height: 1.2;
  color: var(--ink-soft);
}

.wide {
  grid-column: 1 / 3;
}
</style>
