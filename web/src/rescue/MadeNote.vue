<script setup lang="ts">
import { cutUnit, formatSize, type PlanRequest } from '@rangoli/core';
import { computed } from 'vue';
import Worded from '../parts/Worded.vue';

/** Says round what the box is planned, because it is cut already; and lets go of it. */
const props = defineProps<{ request: PlanRequest; names: ReadonlyMap<string, string> }>();
const emit = defineEmits<{ forget: [] }>();

const words = computed(() => {
  const { made, kit } = props.request;
  const pieces = [...new Set(made.map(({ piece }) => piece))];
  return pieces
    .map((piece) => {
      const across = made.find((each) => each.piece === piece && each.way === 'across');
      const down = made.find((each) => each.piece === piece && each.way === 'down');
      const size = across && down ? ` ${formatSize(across.cut, down.cut, cutUnit(kit))}` : '';
      return `${props.names.get(piece) ?? piece}${size}`;
    })
    .join(', ');
});
</script>

<template>
  <section class="made-note" aria-label="What is made already">
    <p><strong>Planned round what is cut already:</strong> <Worded :text="words" />.</p>
    <button type="button" @click="emit('forget')">Plan it anew</button>
  </section>
</template>

<style scoped>
.made-note {
  display: flex;
  gap: 10px;
  align-items: center;
  padding: 9px 16px;
  font-size: 14px;
  color: var(--ink);
  background: var(--leaf-pale);
}

p {
  flex: 1;
  margin: 0;
}

button {
  flex: none;
  padding: 4px 8px;
  border: 0;
  font: 600 14px var(--text);
  color: var(--ink);
  text-decoration: underline;
  background: none;
  cursor: pointer;
}
</style>
