<script setup lang="ts">
import { RouterLink } from 'vue-router';
import OpeningNote from '../parts/OpeningNote.vue';
import Worded from '../parts/Worded.vue';
import { useMaking } from '../stores/making.ts';
import { useProject } from '../stores/project.ts';

/** Stands where the steps of a box would be: why there are none, or none yet, with a way on. */
defineProps<{ id: string }>();

const project = useProject();
const making = useMaking();
</script>

<template>
  <OpeningNote
    v-if="project.openState.kind !== 'open'"
    :state="project.openState"
    @retry="project.open(id)"
  />
  <div v-else-if="project.problems[0]" class="state">
    <p><b>This box can’t be made yet.</b></p>
    <p><Worded :text="project.problems[0].message" /></p>
    <RouterLink :to="{ name: 'box', params: { id } }">Change the box</RouterLink>
  </div>
  <p v-else-if="making.isFaulty" class="state" role="alert">
    Rangoli could not put the steps in order. Reload the page, or
    <RouterLink :to="{ name: 'box', params: { id } }">change the box</RouterLink>.
  </p>
  <p v-else class="state quiet" role="status">Getting what is done so far…</p>
</template>

<style scoped>
.state {
  max-width: 40rem;
  margin: 12vh auto;
  padding: 0 20px;
  font-size: 17px;
}

.state a {
  font-weight: 600;
  color: inherit;
}
</style>
