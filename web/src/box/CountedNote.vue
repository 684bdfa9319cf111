<script setup lang="ts">
import UndoNote from '../parts/UndoNote.vue';
import { useProject } from '../stores/project.ts';
import type { Counted } from '../stores/ways-out.ts';

/** How many boxes are made since a way out put several in the place of one. */
defineProps<{ counted: Counted }>();
const emit = defineEmits<{ close: [] }>();

const project = useProject();
</script>

<template>
  <UndoNote class="counted" @undo="project.undo()" @close="emit('close')">{{
    counted.kind === 'counted'
      ? `Now ${counted.to} of these boxes are to be made, in place of ${counted.from}`
      : 'How many of these boxes are to be made could not be kept: set it in Make'
  }}</UndoNote>
</template>

<style scoped>
/* Above the bar of verdicts. */
.counted {
  bottom: 62px;
  width: max-content;
  max-width: calc(100% - 24px);
}
</style>
