<script setup lang="ts">
import { CircleCheck, HardDriveUpload } from '@lucide/vue';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { useKeeping } from '../stores/keeping.ts';

/** How many changes the server does not have yet; told in every view, and in full where it leads to. */
defineProps<{ isHere: boolean }>();

const keeping = useKeeping();
const kept = computed(() => {
  const count = keeping.waiting.length;
  if (count > 0)
    return { title: 'Some changes are only on this device', figure: count, text: 'only here' };
  return keeping.isAway
    ? { title: 'The server doesn’t answer', figure: undefined, text: 'server away' }
    : { title: 'Everything is kept', figure: undefined, text: undefined };
});
</script>

<template>
  <RouterLink
    to="/kept"
    class="kept"
    :class="{ here: isHere, waits: kept.text !== undefined }"
    :title="kept.title"
    :aria-label="kept.title"
    ><HardDriveUpload v-if="kept.text" :size="17" aria-hidden="true" /><CircleCheck
      v-else
      :size="17"
      aria-hidden="true"
    />{{ kept.figure }}<span>{{ kept.text }}</span
    ><span class="in-full" aria-hidden="true">{{ kept.title }}</span></RouterLink
  >
</template>

<style scoped>
.kept {
  display: flex;
  gap: 6px;
  align-items: center;
  color: var(--ink-soft);
  text-decoration: none;
  white-space: nowrap;
}

/* Where there is room for a line it is told in full. */
.in-full {
  display: none;
}

.waits {
  background: var(--turmeric-pale);
}
</style>
