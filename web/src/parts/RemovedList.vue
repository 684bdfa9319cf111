<script setup lang="ts">
import PutBackList from './PutBackList.vue';
import UndoNote from './UndoNote.vue';

/** What was removed of a list, whenever and on whichever tablet, each to be put back; the last one at once. */
defineProps<{
  things: string;
  removed: readonly { readonly id: string; readonly name: string; readonly facts: string }[];
  /** What has been removed here just now. */
  latest: string | undefined;
}>();
const emit = defineEmits<{ back: [id: string]; close: [] }>();
</script>

<template>
  <details v-if="removed.length > 0">
    <summary>Removed {{ things }}</summary>
    <PutBackList :things="removed" @back="(id) => emit('back', id)" />
  </details>
  <template v-for="each in removed" :key="each.id">
    <UndoNote v-if="each.id === latest" @undo="emit('back', each.id)" @close="emit('close')"
      >Removed “{{ each.name }}”</UndoNote
    >
  </template>
</template>

<style scoped>
details {
  margin-top: 26px;
}

summary {
  font: 700 20px var(--figures);
  cursor: pointer;
}
</style>
