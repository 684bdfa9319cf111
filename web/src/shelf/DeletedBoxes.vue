<script setup lang="ts">
import Dialog from 'primevue/dialog';
import { onMounted, shallowRef } from 'vue';
import { listDeleted, restoreProject, type DeletedProject } from '../api/projects.ts';
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

async function putBack({ id }: DeletedProject): Promise<void> {
  await attempt(async () => {
    await restoreProject(id);
    deleted.value = deleted.value?.filter((each) => each.id !== id);
    emit('back');
  });
}

const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });
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
    <ul v-if="deleted">
      <li v-for="box in deleted" :key="box.id">
        <span class="said">
          <b>{{ box.name }}</b>
          <i class="quiet">deleted {{ day.format(new Date(box.deletedAt)) }}</i>
        </span>
        <QuietButton :aria-label="`Put it back: ${box.name}`" @click="putBack(box)"
          >Put it back</QuietButton
        >
      </li>
    </ul>
  </Dialog>
</template>

<style scoped>
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

.said i {
  font-style: normal;
  font-size: 13px;
}

.trouble {
  color: var(--vermilion);
}
</style>
