<script setup lang="ts">
import Dialog from 'primevue/dialog';
import { computed, onMounted, shallowRef } from 'vue';
import { listDeleted, restoreProject, type DeletedProject } from '../api/projects.ts';
import PutBackList from '../parts/PutBackList.vue';
import QuietButton from '../parts/QuietButton.vue';
import { useAttempt } from '../parts/use-attempt.ts';

/** Boxes that were deleted, whenever and on whichever tablet: each can be put back. */
const emit = defineEmits<{ back: []; close: [] }>();

const deleted = shallowRef<readonly DeletedProject[]>();
const { trouble, attempt } = useAttempt();

async function load(): Promise<void> {
  await attempt(async () => {
    deleted.value = await listDeleted();
  });
}
onMounted(load);

async function putBack(id: string): Promise<void> {
  await attempt(async () => {
    await restoreProject(id);
    deleted.value = deleted.value?.filter((each) => each.id !== id);
    emit('back');
  });
}

const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });
const things = computed(() =>
  (deleted.value ?? []).map(({ id, name, deletedAt }) => ({
    id,
    name,
    facts: `deleted ${day.format(new Date(deletedAt))}`,
  })),
);
</script>

<template>
  <Dialog
    visible
    modal
    header="Deleted boxes"
    :style="{ width: '520px', maxWidth: '94vw' }"
    @update:visible="(open) => !open && emit('close')"
  >
    <p v-if="trouble" class="trouble" role="alert">
      {{ trouble }} <QuietButton @click="load">Try again</QuietButton>
    </p>
    <p v-else-if="!deleted" class="quiet" role="status">Looking for them…</p>
    <p v-else-if="deleted.length === 0" class="quiet" role="status">No box is deleted.</p>
    <PutBackList v-if="deleted" :things="things" @back="putBack" />
  </Dialog>
</template>

<style scoped>
.trouble {
  color: var(--vermilion);
}
</style>
