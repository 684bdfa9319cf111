<script setup lang="ts">
import type { clashInWords } from '@rangoli/core';
import Worded from './Worded.vue';

/** Fields that were changed in two places, each with both values side by side. */
defineProps<{ fields: readonly ReturnType<typeof clashInWords>[] }>();
</script>

<template>
  <table>
    <thead>
      <tr>
        <td />
        <th scope="col">Here</th>
        <th scope="col">There</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="({ field, mine, theirs }, i) in fields" :key="i">
        <th scope="row">{{ field }}</th>
        <td><Worded :text="mine" /></td>
        <td><Worded :text="theirs" /></td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  border-collapse: collapse;
}

th,
td {
  padding: 1px 14px 1px 0;
  text-align: left;
}

thead th {
  font-size: 13px;
  color: var(--ink-soft);
}
</style>
