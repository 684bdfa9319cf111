<script setup lang="ts">
import {
  cutUnit,
  inchFraction,
  lessonOf,
  millimetres,
  roundToGrid,
  taughtPairs,
  type Felt,
  type Length,
  type Plan,
  type PlanRequest,
  type TaughtPair,
} from '@rangoli/core';
import { computed, shallowRef } from 'vue';
import MeasureField from '../parts/MeasureField.vue';
import { searcher } from '../planner/planner.ts';
import { useWorkedOut } from '../planner/use-worked-out.ts';
import { usePapers } from '../stores/papers.ts';
import { useProject } from '../stores/project.ts';

/** How the finished box turned out: what the maker says is learned for the paper, and explained. */
const emit = defineEmits<{ learned: [] }>();

const project = useProject();
const kept = usePapers();
/** As the box was made: what is learned plans the next one. */
const made = project.shown;
const pairs = computed(() => (made ? taughtPairs(made.plan) : []));
const learned = shallowRef<{
  readonly pair?: string;
  readonly felt?: Felt;
  readonly sentence: string;
}>();

const unit = computed(() => (made ? cutUnit(made.request.kit) : 'inch'));
type Inside = Plan['clearInside'];
/** What the maker has measured so far; the rest is taken to be as planned. */
const measured = shallowRef<Partial<Inside>>({});
/** The inside as a ruler would read it. */
const inside = computed(() => {
  if (!made) return undefined;
  const step = unit.value === 'inch' ? inchFraction(1, 32) : millimetres(0.5);
  const { across, deep, high } = made.plan.clearInside;
  return {
    across: roundToGrid(across, step),
    deep: roundToGrid(deep, step),
    high: roundToGrid(high, step),
    ...measured.value,
  };
});
const ways = [
  { direction: 'across', label: 'Across' },
  { direction: 'deep', label: 'Deep' },
  { direction: 'high', label: 'High' },
] as const;
/** What the measured inside says about the card; nothing while it is as planned. */
const { workedOut, isWorking } = useWorkedOut(
  computed(() =>
    made && Object.keys(measured.value).length > 0
      ? { ...made, inside: { ...made.plan.clearInside, ...measured.value } }
      : undefined,
  ),
  ({ plan, request, inside: came }) => searcher((tasks) => tasks.insideLesson(plan, request, came)),
);
const lesson = computed(() => (isWorking.value ? undefined : workedOut.value?.result));

/** For this box, and for every one that is begun with these papers. */
function keep(papers: PlanRequest['papers']): void {
  if (!made) return;
  void kept.learn(made.request.papers, papers);
  project.changeBox('trial box', { papers });
  emit('learned');
}

function measure(direction: 'across' | 'deep' | 'high', length: Length): void {
  measured.value = { ...measured.value, [direction]: length };
}

function learnInside(): void {
  if (!lesson.value) return;
  learned.value = { sentence: lesson.value.sentence };
  keep(lesson.value.papers);
}

const questions: Readonly<Record<TaughtPair['kind'], string>> = {
  lid: 'How does the lid go on?',
  drawer: 'How does the drawer slide?',
  liner: 'How does the liner sit?',
};
const answers: readonly Felt[] = ['too tight', 'just right', 'too loose'];

function nameOf({ outer, inner }: TaughtPair): string {
  return `${outer} over ${inner}`;
}

function say(pair: TaughtPair, felt: Felt): void {
  if (!made) return;
  const { papers, sentence } = lessonOf(made.plan, made.request, pair, felt);
  learned.value = { pair: nameOf(pair), felt, sentence };
  keep(papers);
}
</script>

<template>
  <div v-if="made" class="trial">
    <div v-for="pair in pairs" :key="nameOf(pair)" class="pair">
      <b>{{ questions[pair.kind] }}</b>
      <span v-if="pairs.length > 1" class="which">{{ nameOf(pair) }}</span>
      <span class="answers">
        <button
          v-for="felt in answers"
          :key="felt"
          type="button"
          :aria-pressed="learned?.pair === nameOf(pair) && learned.felt === felt"
          @click="say(pair, felt)"
        >
          {{ felt }}
        </button>
      </span>
    </div>
    <div v-if="inside" class="pair">
      <b>What did the inside come to?</b>
      <span class="measures">
        <MeasureField
          v-for="way in ways"
          :key="way.direction"
          :field="`${project.id} inside.${way.direction}`"
          :label="way.label"
          :length="inside[way.direction]"
          :unit="unit"
          :least="millimetres(1)"
          :most="millimetres(1500)"
          @change="(length) => measure(way.direction, length)"
        />
        <button type="button" :disabled="!lesson" @click="learnInside">Learn from it</button>
      </span>
    </div>
    <p v-if="learned" role="status">{{ learned.sentence }} {{ kept.trouble }}</p>
  </div>
</template>

<style scoped>
.trial {
  display: flex;
  flex-direction: column;
  gap: 8px;
}

.pair {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
  font-size: 17px;
}

.which {
  font-size: 14px;
  color: #d3e2dd;
}

.answers {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

button {
  min-height: 42px;
  padding: 0 18px;
  border: 2px solid #7fa79e;
  border-radius: 21px;
  font: 600 16px var(--text);
  color: #ffffff;
  background: none;
  cursor: pointer;
}

.measures {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 8px;
}

.measures :deep(label),
.measures :deep(.label) {
  color: #d3e2dd;
}

button:disabled {
  opacity: 0.5;
}

button[aria-pressed='true'] {
  border-color: var(--turmeric);
  color: var(--line);
  background: var(--turmeric);
}

button:focus-visible {
  outline: 3px solid #ffffff;
  outline-offset: 2px;
}

p {
  max-width: 52rem;
  margin: 0;
  font-size: 15px;
  line-height: 1.35;
}
</style>
