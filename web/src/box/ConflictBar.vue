<script setup lang="ts">
import { clashInWords, type Clash, type Unit } from '@rangoli/core';
import Button from 'primevue/button';
import { computed } from 'vue';
import ClashTable from '../parts/ClashTable.vue';

/** The choice where one field of a box was changed in two places: both are shown side by side. */
const props = defineProps<{ clashes: readonly Clash[]; unit: Unit }>();
const emit = defineEmits<{ mine: []; theirs: []; both: [] }>();

const told = computed(() => props.clashes.map((clash) => clashInWords(clash, props.unit)));
</script>

<template>
  <div class="conflict" role="alert">
    <p>This was changed elsewhere meanwhile. Everything else has been brought together.</p>
    <ClashTable :fields="told" />
    <div class="ways">
      <Button label="Keep what is here" size="small" @click="emit('mine')" />
      <Button
        label="Take what is there"
        size="small"
        severity="secondary"
        @click="emit('theirs')"
      />
      <Button
        label="Keep both, as two boxes"
        size="small"
        severity="secondary"
        @click="emit('both')"
      />
    </div>
  </div>
</template>

<style scoped>
.conflict {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 24px;
  padding: 8px 16px;
  color: var(--ink);
  background: var(--turmeric-pale);
  border-bottom: 1px solid var(--turmeric);
}

p {
  max-width: 26rem;
  font-weight: 600;
}

.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-left: auto;
}
</style>
