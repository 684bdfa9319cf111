<script setup lang="ts">
import { computed } from 'vue';
import Pick from '../parts/Pick.vue';
import { useDressing } from './dressing.ts';
import { usePointing } from './pointing.ts';

/** Every face that is bare, in a list: a panel is put on the one that is chosen. */
const emit = defineEmits<{ chosen: [] }>();

const dressing = useDressing();
const pointing = usePointing();

const bare = computed(() => dressing.faces.filter(({ face }) => !dressing.wornOn(face)));
/** What lies on the floor, in the list among the faces. */
const plate = 'a stiffener';
const choices = computed(() => [
  ...bare.value.map(({ said }) => ({ value: said, label: said })),
  ...(dressing.isStiffened ? [] : [{ value: plate, label: 'A stiffener on the floor, inside' }]),
]);

function choose(label: string): void {
  if (label === plate) {
    dressing.stiffen();
    emit('chosen');
    return;
  }
  const found = bare.value.find(({ said }) => said === label);
  if (!found) return;
  pointing.point(found.face);
  dressing.putOn({ which: 'face', face: found.face });
  emit('chosen');
}
</script>

<template>
  <Pick
    label="Put a panel on"
    :value="undefined"
    placeholder="Put a panel on…"
    :options="choices"
    @change="choose"
  />
</template>
