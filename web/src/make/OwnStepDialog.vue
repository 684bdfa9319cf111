<script setup lang="ts">
import { longestOwnText, mostOwnSteps, type OwnStepChoice, type Step } from '@rangoli/core';
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import Textarea from 'primevue/textarea';
import { v4 as newId } from 'uuid';
import { computed, shallowRef } from 'vue';
import Choice from '../parts/Choice.vue';
import CrossButton from '../parts/CrossButton.vue';
import { useProject } from '../stores/project.ts';

/** A step or a note of the maker’s own is written before or after the step at hand, and kept with the box. */
const props = defineProps<{ step: Step }>();
const emit = defineEmits<{ close: [] }>();

const project = useProject();

const all = computed((): readonly OwnStepChoice[] => project.document?.box.ownSteps ?? []);
/** The step of the job that the one at hand belongs to. */
const own = computed(() => all.value.find(({ id }) => props.step.id === `own ${id}`));
const anchor = computed(() => own.value?.of ?? props.step.id);
const here = computed(() => all.value.filter(({ of }) => of === anchor.value));

const what = shallowRef<OwnStepChoice['what']>('note');
const place = shallowRef<OwnStepChoice['place']>('before');
const text = shallowRef('');
const isFull = computed(() => all.value.length >= mostOwnSteps);

const kinds = [
  { value: 'note', label: 'A note' },
  { value: 'step', label: 'A step' },
] as const;
const places = [
  { value: 'before', label: 'Before this step' },
  { value: 'after', label: 'After it' },
] as const;

function keep(): void {
  const said = text.value.trim();
  if (said === '' || isFull.value) return;
  const next = { id: newId(), what: what.value, place: place.value, of: anchor.value, text: said };
  project.changeBox(`own step ${next.id}`, { ownSteps: [...all.value, next] });
  emit('close');
}

function takeAway({ id }: OwnStepChoice): void {
  project.changeBox(`no own step ${id}`, { ownSteps: all.value.filter((each) => each.id !== id) });
}

/** What is asked first is at hand, and not the way out. */
function focusText(): void {
  document.getElementById('own-text')?.focus();
}
</script>

<template>
  <Dialog
    visible
    modal
    header="Your own step or note"
    :style="{ width: '520px', maxWidth: '94vw' }"
    @update:visible="(open) => !open && emit('close')"
    @show="focusText"
  >
    <ul v-if="here.length > 0" aria-label="What you wrote here">
      <li v-for="each in here" :key="each.id">
        <span
          ><b>{{ each.what === 'note' ? 'Note' : 'Step' }} {{ each.place }}:</b>
          {{ each.text }}</span
        >
        <CrossButton :label="`Remove: ${each.text}`" @click="takeAway(each)" />
      </li>
    </ul>
    <form @submit.prevent="keep">
      <Choice
        label="A note or a step"
        :value="what"
        :options="kinds"
        @change="(to) => (what = to)"
      />
      <Choice
        label="Where it stands"
        :value="place"
        :options="places"
        @change="(to) => (place = to)"
      />
      <label for="own-text">{{ what === 'note' ? 'What to remember' : 'What to do' }}</label>
      <Textarea
        id="own-text"
        v-model="text"
        rows="3"
        fluid
        :maxlength="longestOwnText"
        @keydown.ctrl.enter="keep"
      />
      <p v-if="isFull" role="alert">
        {{ mostOwnSteps }} steps and notes are the most that one box keeps. Take one away first.
      </p>
      <div class="actions">
        <Button type="button" severity="secondary" label="Cancel" @click="emit('close')" />
        <Button
          type="submit"
          :label="what === 'note' ? 'Keep the note' : 'Keep the step'"
          :disabled="text.trim() === '' || isFull"
        />
      </div>
    </form>
  </Dialog>
</template>

<style scoped>
form {
  display: grid;
  gap: 10px;
}

ul {
  display: grid;
  gap: 6px;
  margin: 0 0 14px;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  align-items: start;
}

label {
  font-weight: 600;
}

p {
  margin: 0;
}

.actions {
  display: flex;
  justify-content: flex-end;
  gap: 8px;
}
</style>
