<script setup lang="ts">
import Button from 'primevue/button';
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { useAccess } from '../stores/access.ts';
import type { OpenState } from '../stores/project.ts';

/** Stands where the box would be: that it is being opened, or why it can't be, with a way on. */
defineProps<{ state: OpenState }>();
const emit = defineEmits<{ retry: [] }>();

const router = useRouter();
const access = useAccess();
const isSignedOut = computed(() => access.session?.isSignedIn === false);
</script>

<template>
  <main class="waiting">
    <p v-if="state.kind === 'opening'" class="quiet" role="status">
      Getting the box from the shelf…
    </p>
    <template v-else-if="state.kind === 'missing'">
      <h1>This box is not on the shelf</h1>
      <p>It may have been deleted, or the address is not whole.</p>
      <Button label="Back to the shelf" @click="router.push('/')" />
    </template>
    <template v-else-if="state.kind === 'failed'">
      <h1>The box can’t be opened</h1>
      <p>{{ state.message }}</p>
      <Button v-if="isSignedOut" label="Sign in" @click="access.isAsked = true" />
      <Button v-else label="Try again" @click="emit('retry')" />
    </template>
  </main>
</template>

<style scoped>
.waiting {
  flex: 1;
  display: grid;
  place-content: center;
  justify-items: center;
  gap: 12px;
  min-height: 60vh;
  padding: 0 20px;
  text-align: center;
}
</style>
