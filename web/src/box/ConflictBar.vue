<script setup lang="ts">
import Button from 'primevue/button';

/** The choice between this state of a box and one that was saved elsewhere meanwhile. */
const emit = defineEmits<{ mine: []; theirs: []; both: [] }>();
</script>

<template>
  <div class="conflict" role="alert">
    <p>This box was changed in another window meanwhile. Yours is not saved yet.</p>
    <Button label="Keep mine" size="small" @click="emit('mine')" />
    <Button label="Take the other one" size="small" severity="secondary" @click="emit('theirs')" />
    <Button label="Keep both" size="small" severity="secondary" @click="emit('both')" />
  </div>
</template>

<style scoped>
.conflict {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  padding: 8px 16px;
  color: var(--vermilion);
  background: var(--vermilion-pale);
  border-bottom: 1px solid var(--vermilion);
}

p {
  margin-right: auto;
  font-weight: 600;
}
</style>
