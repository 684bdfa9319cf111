<script setup lang="ts">
/** A choice beside what is said of a step, in words alone. */
</script>

<template>
  <button type="button"><slot /></button>
</template>

<style scoped>
button {
  display: block;
  margin-top: 8px;
  padding: 6px 0;
  border: 0;
  font: 600 16px var(--text);
  color: #d3e2dd;
  text-decoration: underline;
  background: none;
  cursor: pointer;
}
</style>
