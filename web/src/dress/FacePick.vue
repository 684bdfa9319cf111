<script setup lang="ts">
import { computed, ref } from 'vue';
import Pick from '../parts/Pick.vue';
import { useDressing } from './dressing.ts';
import { usePointing } from './pointing.ts';

/** What can be put on the box or in it, and every face that is bare, in a list. */
const emit = defineEmits<{ chosen: [] }>();

const dressing = useDressing();
const pointing = usePointing();

interface Choice {
  readonly label: string;
  readonly take: () => void;
}

const choices = computed((): readonly Choice[] => [
  ...dressing.faces
    .filter(({ face }) => !dressing.wornOn(face))
    .map(({ said, face }) => ({
      label: `Panel: ${lowered(said)}`,
      take: () => {
        pointing.point(face);
        dressing.putOn({ which: 'face', face });
      },
    })),
  ...dressing.more.map((thing) => ({
    label: thing.label,
    take: () => {
      dressing.put(thing);
    },
  })),
  ...dressing.faces.flatMap(({ said, face }): readonly Choice[] => {
    const place = dressing.windowPlaceOn(face);
    if (!place) return [];
    const take = () => {
      pointing.point(face);
      dressing.openWindow(place);
    };
    return [{ label: `Window: ${lowered(said)}`, take }];
  }),
  ...dressing.faces.map(({ said, face }) => ({
    label: `Stamp: ${lowered(said)}`,
    take: () => {
      pointing.point(face);
      dressing.stamp(face);
    },
  })),
]);

function lowered(said: string): string {
  return `${said.charAt(0).toLowerCase()}${said.slice(1)}`;
}

/** How often something was taken: the list begins anew each time, since nothing in it stays chosen. */
const taken = ref(0);

function choose(wanted: string): void {
  choices.value.find(({ label }) => label === wanted)?.take();
  taken.value++;
  emit('chosen');
}
</script>

<template>
  <Pick
    :key="taken"
    label="Put something on or in"
    :value="undefined"
    placeholder="Put something on or in…"
    :options="choices.map(({ label }) => ({ value: label, label }))"
    @change="choose"
  />
</template>
