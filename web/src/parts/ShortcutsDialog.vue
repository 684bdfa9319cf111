<script setup lang="ts">
import Dialog from 'primevue/dialog';
import { useFirstSteps } from '../stores/first-steps.ts';
import QuietButton from './QuietButton.vue';

/** What can be done by keys alone, view by view. */
const emit = defineEmits<{ close: [] }>();

interface Shortcut {
  readonly keys: readonly string[];
  readonly does: string;
}

const steps = useFirstSteps();
function showFirstSteps(): void {
  steps.again();
  emit('close');
}

const groups: readonly { readonly where: string; readonly shortcuts: readonly Shortcut[] }[] = [
  {
    where: 'Everywhere',
    shortcuts: [
      { keys: ['?'], does: 'Show these keys' },
      { keys: ['Esc'], does: 'Close what is open' },
      { keys: ['↑', '↓'], does: 'In a measure: one mark more or less' },
    ],
  },
  {
    where: 'Box',
    shortcuts: [
      { keys: ['Ctrl Z'], does: 'Undo the last change' },
      { keys: ['Ctrl Shift Z'], does: 'Redo it' },
      { keys: ['←', '→', '↑', '↓'], does: 'On the box in space: turn it' },
      { keys: ['←', '→'], does: 'On its slider: unfold it and fold it' },
    ],
  },
  {
    where: 'Make',
    shortcuts: [
      { keys: ['→'], does: 'To the next step' },
      { keys: ['←'], does: 'To the step before' },
      { keys: ['Space', 'Enter'], does: 'The next mark, and after the last one: done' },
      { keys: ['Ctrl Enter'], does: 'In a note of your own: keep it' },
    ],
  },
  {
    where: 'What fits',
    shortcuts: [{ keys: ['←', '→', '↑', '↓'], does: 'On the chart: a smaller or larger gift' }],
  },
];
</script>

<template>
  <Dialog
    visible
    modal
    header="Keys"
    :style="{ width: '520px', maxWidth: '94vw' }"
    @update:visible="(open) => !open && emit('close')"
  >
    <section v-for="{ where, shortcuts } in groups" :key="where">
      <h3>{{ where }}</h3>
      <dl>
        <template v-for="{ keys, does } in shortcuts" :key="does">
          <dt>
            <kbd v-for="key in keys" :key="key">{{ key }}</kbd>
          </dt>
          <dd>{{ does }}</dd>
        </template>
      </dl>
    </section>
    <QuietButton @click="showFirstSteps">Show the first steps again</QuietButton>
  </Dialog>
</template>

<style scoped>
h3 {
  margin: 12px 0 6px;
  font: 700 15px var(--figures);
}

section:first-child h3 {
  margin-top: 0;
}

dl {
  display: grid;
  grid-template-columns: minmax(120px, auto) 1fr;
  gap: 5px 14px;
  margin: 0;
}

dt {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  align-items: center;
}

dd {
  margin: 0;
}

kbd {
  min-width: 24px;
  padding: 1px 6px;
  border: 1px solid var(--rule);
  border-bottom-width: 2px;
  border-radius: 5px;
  font: 600 12.5px var(--text);
  text-align: center;
  background: var(--ground);
}
</style>
