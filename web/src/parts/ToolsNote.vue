<script setup lang="ts">
import Button from 'primevue/button';
import { useProject } from '../stores/project.ts';

/** Says that tools have become others since the open box was planned; nothing is planned anew unasked. */
const project = useProject();
</script>

<template>
  <div v-if="project.toolsNow" class="note" role="status">
    <p>Your tools have changed since this box was planned.</p>
    <Button
      label="Plan it with them as they are now"
      size="small"
      @click="project.takeToolsNow()"
    />
  </div>
</template>

<style scoped>
.note {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 18px;
  padding: 6px 16px;
  background: var(--turmeric-pale);
  border-bottom: 1px solid var(--turmeric);
}
</style>
