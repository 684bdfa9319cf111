<script setup lang="ts">
import {
  half,
  inchFraction,
  millimetres,
  windowFilm,
  windowLimits,
  type Unit,
  type WindowChoice,
} from '@rangoli/core';
import { computed } from 'vue';
import MeasureField from '../parts/MeasureField.vue';
import Pick from '../parts/Pick.vue';
import { usePapers } from '../stores/papers.ts';
import { useDressing } from './dressing.ts';
import WornEntry from './WornEntry.vue';

/** A window: its shape and size, and what film is behind it. */
const props = defineProps<{ hole: WindowChoice; unit: Unit; project: string }>();

const dressing = useDressing();
const papers = usePapers();

const shapes = [
  { value: 'straight', label: 'like its face' },
  { value: 'round', label: 'round' },
] as const;
type Shape = (typeof shapes)[number]['value'];

const where = computed(() => dressing.faceOf(props.hole.on)?.said ?? 'No such face here');
const missing = computed(() => dressing.whyNoFace(props.hole));

/** As large as most punches and dies for round windows. */
const usuallyAcross = computed(() =>
  props.unit === 'inch' ? inchFraction(2, 1) : millimetres(50),
);
const usualFrame = computed(() =>
  half(props.unit === 'inch' ? inchFraction(1, 1) : millimetres(24)),
);

const open = 'open';
const films = computed(() => {
  const { film } = props.hole;
  const known = [windowFilm, ...(film && film.id !== windowFilm.id ? [film] : [])];
  const others = papers.atHand.filter(({ id }) => known.every((each) => each.id !== id));
  return [
    { value: open, label: 'nothing behind it' },
    ...[...known, ...others].map(({ id, name, colour }) => ({ value: id, label: name, colour })),
  ];
});

function setShape(shape: Shape): void {
  dressing.replace('shape', {
    ...props.hole,
    opening:
      shape === 'straight'
        ? { shape, frame: usualFrame.value }
        : { shape, across: usuallyAcross.value },
  });
}

function setFilm(id: string): void {
  const { film, ...rest } = props.hole;
  if (id === open) {
    dressing.replace('film', rest);
    return;
  }
  const kept = papers.atHand.find((each) => each.id === id);
  const chosen = id === windowFilm.id ? windowFilm : kept && papers.learned(kept, film?.sheet);
  if (chosen) dressing.replace('film', { ...rest, film: chosen });
}
</script>

<template>
  <WornEntry
    :worn="hole"
    :name="`Window: ${where.charAt(0).toLowerCase()}${where.slice(1)}`"
    removal="Take the window out"
    :missing="missing"
  >
    <div class="pair">
      <Pick
        label="Shape of the window"
        :value="hole.opening.shape"
        :options="shapes"
        @change="setShape"
      />
      <Pick
        label="Behind the window"
        :value="hole.film?.id ?? open"
        :options="films"
        @change="setFilm"
      />
    </div>
    <MeasureField
      v-if="hole.opening.shape === 'straight'"
      :key="`${hole.id} frame`"
      :field="`${project} ${hole.id} frame`"
      label="Card left round it"
      fault-from="right"
      :length="hole.opening.frame"
      :unit="unit"
      :least="windowLimits.leastFrame"
      :most="windowLimits.mostFrame"
      @change="
        (frame) => dressing.replace('frame', { ...hole, opening: { shape: 'straight', frame } })
      "
    />
    <MeasureField
      v-else
      :key="`${hole.id} across`"
      :field="`${project} ${hole.id} across`"
      label="Width of the hole"
      fault-from="right"
      :length="hole.opening.across"
      :unit="unit"
      :least="windowLimits.leastAcross"
      :most="windowLimits.mostAcross"
      @change="
        (across) => dressing.replace('across', { ...hole, opening: { shape: 'round', across } })
      "
    />
  </WornEntry>
</template>
