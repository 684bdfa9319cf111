<script setup lang="ts">
import FormGrid from './FormGrid.vue';
import Worded from './Worded.vue';

/** One thing that a maker keeps: its picture, what it is, what can be done with it, and the form to change it. */
defineProps<{
  id: string;
  name: string;
  /** Facts without the last full stop. */
  facts: string;
  /** Whether it is one of those that are used; the others are dim. */
  isLit: boolean;
  isEdited: boolean;
}>();
</script>

<template>
  <li :id="id" :class="{ lit: isLit, edited: isEdited }">
    <slot name="picture" />
    <div class="said">
      <h3><Worded :text="name" /></h3>
      <p><Worded :text="facts" />.</p>
      <slot name="notes" />
      <div class="acts"><slot name="acts" /></div>
      <FormGrid v-if="isEdited" class="form-grid"><slot name="form" /></FormGrid>
    </div>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 190px 1fr;
  gap: 16px;
  align-items: start;
  padding: 12px 0;
  border-top: 1px solid var(--rule);
}

li > :deep(svg) {
  opacity: 0.62;
}

li.lit > :deep(svg) {
  opacity: 1;
}

h3 {
  margin: 0;
  font: 700 18px var(--figures);
}

.said p {
  margin: 3px 0 9px;
  font-size: 14px;
  color: var(--ink-soft);
}

.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 10px;
}

.acts :deep(label) {
  display: flex;
  align-items: center;
  gap: 8px;
  margin-right: 6px;
  font-weight: 600;
}

.form-grid {
  margin-top: 12px;
}

@media (max-width: 560px) {
  li {
    grid-template-columns: 1fr;
  }
}
</style>
