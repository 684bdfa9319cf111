<script setup lang="ts">
import Button from 'primevue/button';
import type { ItemClash } from '../stores/kept-items.ts';
import ClashTable from './ClashTable.vue';

/** Tools or papers of which one thing was changed in two places: the maker says which one it is. */
defineProps<{ clashes: readonly ItemClash[] }>();
const emit = defineEmits<{ settle: [id: string, as: 'mine' | 'theirs'] }>();
</script>

<template>
  <div v-for="{ id, name, fields } in clashes" :key="id" class="clash" role="alert">
    <p>{{ name }}: this was changed elsewhere meanwhile.</p>
    <ClashTable :fields="fields" />
    <Button label="Keep what is here" size="small" @click="emit('settle', id, 'mine')" />
    <Button
      label="Take what is there"
      size="small"
      severity="secondary"
      @click="emit('settle', id, 'theirs')"
    />
  </div>
</template>

<style scoped>
.clash {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 18px;
  margin-top: 12px;
  padding: 10px 14px;
  border-radius: var(--radius);
  background: var(--turmeric-pale);
}

p {
  font-weight: 600;
}
</style>
