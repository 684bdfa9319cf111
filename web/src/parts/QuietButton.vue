<script setup lang="ts">
/** A button that stands among what it belongs to, without a frame. */
</script>

<template>
  <button type="button" class="quiet-button"><slot /></button>
</template>

<style scoped>
.quiet-button {
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 5px;
  min-height: 30px;
  padding: 3px 9px;
  border: 0;
  border-radius: var(--radius);
  font: 600 14px var(--text);
  color: var(--ink);
  background: none;
  cursor: pointer;
}

.quiet-button:hover,
.quiet-button[aria-expanded='true'] {
  background: var(--leaf-pale);
}
</style>
