<script setup lang="ts">
import Select from 'primevue/select';
import { computed, ref } from 'vue';
import Worded from '../parts/Worded.vue';
import { useDressing } from './dressing.ts';
import { usePointing } from './pointing.ts';
import type { Thing } from './things.ts';

/** What can be put on the box or in it, and every face that is bare, in a list. */
const emit = defineEmits<{ chosen: [] }>();

const dressing = useDressing();
const pointing = usePointing();
dressing.lookForOpenings();

interface Choice {
  readonly label: string;
  readonly take: () => void;
}

interface Group {
  readonly title: string;
  readonly choices: readonly Choice[];
}

function wholeThings(goes: Thing['goes']): readonly Choice[] {
  return dressing.more
    .filter((thing) => thing.goes === goes)
    .map((thing) => ({
      label: thing.label,
      take: () => {
        dressing.put(thing);
      },
    }));
}

const panels = computed((): readonly Choice[] =>
  dressing.faces
    .filter(({ face }) => !dressing.wornOn(face))
    .map(({ said, face }) => ({
      label: `Panel: ${lowered(said)}`,
      take: () => {
        pointing.point(face);
        dressing.putOn({ which: 'face', face });
      },
    })),
);

const wires = computed((): readonly Choice[] =>
  dressing.wires.slice(0, 1).map((over) => ({
    label: 'Wire handle through two holes',
    take: () => {
      dressing.putWire(over);
    },
  })),
);

const windows = computed((): readonly Choice[] =>
  dressing.faces.flatMap(({ said, face }): readonly Choice[] => {
    const place = dressing.windowPlaceOn(face);
    if (!place) return [];
    const take = () => {
      pointing.point(face);
      dressing.openWindow(place);
    };
    return [{ label: `Window: ${lowered(said)}`, take }];
  }),
);

const stamps = computed((): readonly Choice[] =>
  dressing.faces.map(({ said, face }) => ({
    label: `Stamp: ${lowered(said)}`,
    take: () => {
      pointing.point(face);
      dressing.stamp(face);
    },
  })),
);

const covers = computed((): readonly Choice[] =>
  dressing.mayCoverBottom
    ? [
        {
          label: 'Cover for the flaps underneath',
          take: () => {
            dressing.coverBottom();
          },
        },
      ]
    : [],
);

const groups = computed((): Group[] =>
  [
    { title: 'In the box', choices: wholeThings('in') },
    { title: 'Round and over it', choices: [...wholeThings('round'), ...wires.value] },
    { title: 'On one of its faces', choices: [...covers.value, ...panels.value] },
    { title: 'Cut into a face', choices: windows.value },
    { title: 'Stamped, stuck or punched', choices: stamps.value },
  ].filter(({ choices }) => choices.length > 0),
);

function lowered(said: string): string {
  return `${said.charAt(0).toLowerCase()}${said.slice(1)}`;
}

/** What can be done is looked for only once the list is asked for. */
const isAsked = ref(false);

/** How often something was taken: the list begins anew each time, since nothing in it stays chosen. */
const taken = ref(0);

function choose(wanted: unknown): void {
  groups.value
    .flatMap(({ choices }) => choices)
    .find(({ label }) => label === wanted)
    ?.take();
  taken.value++;
  isAsked.value = false;
  emit('chosen');
}
</script>

<template>
  <Select
    :key="taken"
    :model-value="undefined"
    :options="isAsked ? groups : []"
    option-group-label="title"
    option-group-children="choices"
    option-label="label"
    option-value="label"
    size="small"
    scroll-height="24rem"
    fluid
    aria-label="Put something on or in"
    @focus="isAsked = true"
    @before-show="isAsked = true"
    @update:model-value="choose"
  >
    <template #value>Put something on or in…</template>
    <template #optiongroup="slot">{{ slot.option.title }}</template>
    <template #option="slot"><Worded :text="slot.option.label" /></template>
  </Select>
</template>
