<script setup lang="ts">
import QuietButton from './QuietButton.vue';
import UndoNote from './UndoNote.vue';
import Worded from './Worded.vue';

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
    <ul>
      <li v-for="each in removed" :key="each.id">
        <span class="said">
          <b><Worded :text="each.name" /></b>
          <span class="quiet"><Worded :text="each.facts" />.</span>
        </span>
        <QuietButton :aria-label="`Put it back: ${each.name}`" @click="emit('back', each.id)"
          >Put it back</QuietButton
        >
      </li>
    </ul>
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
