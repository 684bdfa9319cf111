<script setup lang="ts">
import { computed } from 'vue';
import Pick from '../parts/Pick.vue';
import { useDressing } from './dressing.ts';
import { usePointing } from './pointing.ts';

/** What can be put on the box or in it, and every face that is bare, in a list. */
const emit = defineEmits<{ chosen: [] }>();

const dressing = useDressing();
const pointing = usePointing();

const bare = computed(() => dressing.faces.filter(({ face }) => !dressing.wornOn(face)));
const choices = computed(() => [
  ...bare.value.map(({ said }) => ({ value: said, label: `Panel: ${lowered(said)}` })),
  ...dressing.more.map(({ label }) => ({ value: label, label })),
]);

function lowered(said: string): string {
  return `${said.charAt(0).toLowerCase()}${said.slice(1)}`;
}

function choose(label: string): void {
  const thing = dressing.more.find((each) => each.label === label);
  if (thing) dressing.put(thing);
  const found = bare.value.find(({ said }) => said === label);
  if (found) {
    pointing.point(found.face);
    dressing.putOn({ which: 'face', face: found.face });
  }
  emit('chosen');
}
</script>

<template>
  <Pick
    label="Put something on or in"
    :value="undefined"
    placeholder="Put something on or in…"
    :options="choices"
    @change="choose"
  />
</template>
