<script setup lang="ts">
/** Lays the fields of the form in it beside one another, their names over them. */
</script>

<template>
  <div class="grid"><slot /></div>
</template>

<style scoped>
.grid :deep(.form) {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(128px, 1fr));
  gap: 10px 12px;
  align-items: end;
}

.grid :deep(.form > div > span:first-child),
.grid :deep(.form > label > span:first-child) {
  display: block;
  margin-bottom: 2px;
  font-size: 12px;
  color: var(--ink-soft);
}

.grid :deep(.form .name) {
  grid-column: span 2;
}

.grid :deep(.form .name input) {
  width: 100%;
}
</style>
