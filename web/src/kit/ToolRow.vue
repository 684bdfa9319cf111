<script setup lang="ts">
import { Copy, Pencil, Trash2 } from '@lucide/vue';
import ToggleSwitch from 'primevue/toggleswitch';
import KeptRow from '../parts/KeptRow.vue';
import QuietButton from '../parts/QuietButton.vue';

/** One tool: its drawing, what it can do, whether the maker has it, and the form to change it. */
defineProps<{
  id: string;
  name: string;
  facts: string;
  owned: boolean;
  isEdited: boolean;
  isSmall: boolean;
  /** What is shipped stays; what the maker added can go. */
  canGo: boolean;
}>();
const emit = defineEmits<{ owned: [has: boolean]; edit: []; copy: []; remove: [] }>();
</script>

<template>
  <KeptRow
    :id="`tool-${id}`"
    :name="name"
    :facts="facts"
    :is-lit="owned"
    :is-edited="isEdited"
    :is-small="isSmall"
  >
    <template #picture><slot name="picture" /></template>
    <template #acts>
      <label
        ><ToggleSwitch :model-value="owned" @update:model-value="(has) => emit('owned', has)" />I
        have it</label
      >
      <QuietButton :aria-expanded="isEdited" @click="emit('edit')">
        <Pencil :size="15" aria-hidden="true" />Edit
      </QuietButton>
      <QuietButton @click="emit('copy')"> <Copy :size="15" aria-hidden="true" />Copy </QuietButton>
      <QuietButton v-if="canGo" @click="emit('remove')">
        <Trash2 :size="15" aria-hidden="true" />Remove
      </QuietButton>
    </template>
    <template #form><slot /></template>
  </KeptRow>
</template>
