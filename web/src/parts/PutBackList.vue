<script setup lang="ts">
import QuietButton from './QuietButton.vue';
import Worded from './Worded.vue';

/** Things that were taken away, each to be put back. */
defineProps<{
  things: readonly { readonly id: string; readonly name: string; readonly facts: string }[];
}>();
const emit = defineEmits<{ back: [id: string] }>();
</script>

<template>
  <ul>
    <li v-for="{ id, name, facts } in things" :key="id">
      <span class="said">
        <b><Worded :text="name" /></b>
        <span class="quiet"><Worded :text="facts" /></span>
      </span>
      <QuietButton :aria-label="`Put it back: ${name}`" @click="emit('back', id)"
        >Put it back</QuietButton
      >
    </li>
  </ul>
</template>

<style scoped>
ul {
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
  padding: 8px 0;
  border-top: 1px solid var(--rule);
}

.said {
  display: grid;
  min-width: 0;
}

.said .quiet {
  font-size: 13px;
}
</style>
