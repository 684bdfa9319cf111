<script setup lang="ts">
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
  isSmall: boolean;
}>();
</script>

<template>
  <li :id="id" :class="{ lit: isLit, small: isSmall, edited: isEdited }">
    <slot name="picture" />
    <div class="said">
      <h3><Worded :text="name" /></h3>
      <p><Worded :text="facts" />.</p>
      <slot name="notes" />
      <div class="acts"><slot name="acts" /></div>
      <slot v-if="isEdited" name="form" />
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

li.small {
  grid-template-columns: 84px 1fr;
  gap: 12px;
  padding: 9px 0;
}

li.small.edited {
  grid-column: 1 / -1;
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

.said :deep(.form) {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(128px, 1fr));
  gap: 10px 12px;
  align-items: end;
  margin-top: 12px;
}

.said :deep(.form > div > span:first-child),
.said :deep(.form > label > span:first-child) {
  display: block;
  margin-bottom: 2px;
  font-size: 12px;
  color: var(--ink-soft);
}

.said :deep(.form .name) {
  grid-column: span 2;
}

.said :deep(.form .name input) {
  width: 100%;
}

@media (max-width: 560px) {
  li {
    grid-template-columns: 1fr;
  }
}
</style>
