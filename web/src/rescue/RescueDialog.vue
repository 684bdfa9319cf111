<script setup lang="ts">
import {
  cutUnit,
  capitalised,
  countInWords,
  doneSoFar,
  millimetres,
  plural,
  type Mishap,
  type Side,
  type WayOn,
} from '@rangoli/core';
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed, shallowRef, useTemplateRef } from 'vue';
import { useRouter } from 'vue-router';
import { createProject } from '../api/projects.ts';
import { nameFrom } from '../keeping/boxes.ts';
import Choice from '../parts/Choice.vue';
import CountField from '../parts/CountField.vue';
import MeasureField from '../parts/MeasureField.vue';
import PickField from '../parts/PickField.vue';
import Worded from '../parts/Worded.vue';
import { planner } from '../planner/planner.ts';
import { useWorkedOut } from '../planner/use-worked-out.ts';
import { useOpenMaking } from '../stores/open-making.ts';
import { useProject } from '../stores/project.ts';
import { formFor, mishapOf, scoresOf, type MishapForm } from './mishap-form.ts';

/** What to do when something was cut, scored or torn otherwise than planned; it is there while it is open. */
const props = defineProps<{ id: string; piece?: string | undefined }>();
const emit = defineEmits<{ close: [] }>();

const project = useProject();
const making = useOpenMaking(() => props.id);
const router = useRouter();

const kinds = [
  { value: 'cut', label: 'Cut to another size' },
  { value: 'score', label: 'A score is off' },
  { value: 'torn', label: 'A tear' },
] as const;
const sides: readonly { value: Side; label: string }[] = [
  { value: 'left', label: 'on the left' },
  { value: 'right', label: 'on the right' },
  { value: 'top', label: 'at the top' },
  { value: 'bottom', label: 'at the bottom' },
];

const shown = computed(() => project.shown);
const unit = computed(() => (shown.value ? cutUnit(shown.value.request.kit) : 'inch'));
const form = shallowRef<MishapForm>();
/** How many pieces came out so; all of them until the maker says. */
const some = shallowRef<number>();
const trouble = shallowRef<string>();

function start(piece: string | undefined, kind: Mishap['kind']): void {
  const plan = shown.value?.plan;
  const found = plan?.pieces.find(({ id }) => id === piece) ?? plan?.pieces[0];
  if (plan && found) form.value = formFor(plan, found, kind, unit.value);
}
start(props.piece, 'cut');

function set(part: Partial<MishapForm>): void {
  if (form.value) form.value = { ...form.value, ...part };
}

const pieces = computed(
  () => shown.value?.plan.pieces.map(({ id, name }) => ({ value: id, label: name })) ?? [],
);
const name = computed(
  () => pieces.value.find(({ value }) => value === form.value?.piece)?.label ?? '',
);
const scores = computed(() =>
  form.value && shown.value ? scoresOf(shown.value.plan, form.value.piece, unit.value) : [],
);
const scoreOptions = computed(() =>
  scores.value.map(({ label }, place) => ({ value: `${place}`, label })),
);

function chooseScore(place: string): void {
  const score = Number(place);
  const chosen = scores.value[score];
  if (chosen) set({ score, at: chosen.reading });
}

/** How many of the piece there are in a box, and in the batch. */
const inBox = computed(
  () => shown.value?.plan.pieces.find(({ id }) => id === form.value?.piece)?.copies ?? 1,
);
const copies = computed(() => inBox.value * making.progress.boxes);
const affected = computed(() => Math.min(some.value ?? copies.value, copies.value));
const isSome = computed(() => affected.value < copies.value);
/** How many boxes they are the pieces of; undefined where one of them would have other pieces beside. */
const boxesOfTheirOwn = computed(() =>
  affected.value % inBox.value === 0 ? affected.value / inBox.value : undefined,
);

const mishapAsked = computed(() => {
  const planned = making.planned;
  const mishap = planned && form.value && mishapOf(planned.batch.plan, form.value);
  if (!mishap) return undefined;
  const { plan, request } = planned.batch;
  const done = doneSoFar(plan, planned.job, making.progress, request.made);
  return { plan, request, done, mishap };
});
/** While a new answer is worked out, the one before can be read and not be taken. */
const { workedOut, isWorking } = useWorkedOut(mishapAsked, ({ plan, request, done, mishap }) =>
  planner((tasks) => tasks.rescue(plan, request, done, mishap)),
);
const found = computed(() => workedOut.value?.result);

const goOnApart = computed(() => {
  const own = boxesOfTheirOwn.value ?? 0;
  const [these, rest] = [own, making.progress.boxes - own].map((count) => countInWords(count));
  return `Make ${these} like this apart, and ${rest} as planned`;
});

const headings: Readonly<Record<WayOn['kind'], readonly [string, string]>> = {
  'go on': ['Go on with it', 'Go on like this'],
  trim: ['Cut a little off', 'Cut it, and go on like this'],
  'another piece': ['Cut another piece again', 'Do it this way'],
};

/** The whole batch goes on so, or only what came out so, as a box of its own. */
async function take(way: WayOn): Promise<void> {
  const whole = project.document;
  if (!whole) return;
  const own = boxesOfTheirOwn.value;
  if (!isSome.value || own === undefined) {
    if (way.again !== undefined) making.cutAgain(way.again, copies.value);
    project.changeBox('rescue', { made: way.request.made, room: way.request.room });
    emit('close');
    return;
  }
  try {
    const { id } = await createProject({
      ...whole,
      name: nameFrom(whole.name, 'rescued'),
      box: way.request,
    });
    await making.giveAway(own, id);
    emit('close');
    await router.push({ name: 'make', params: { id } });
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'That did not work. Try again.';
  }
}

/** What is asked first is at hand, and not the way out: once open, a dialog goes to what is marked so. */
const questions = useTemplateRef<HTMLElement>('questions');
function focusFirst(): void {
  questions.value?.querySelector('input, button, [tabindex="0"]')?.setAttribute('autofocus', '');
}

function again(): void {
  if (form.value) making.cutAgain(form.value.piece, affected.value);
  emit('close');
}

const most = millimetres(1500);
const least = millimetres(1);
function field(part: string): string {
  return `${props.id} rescue.${part}`;
}
</script>

<template>
  <Dialog
    visible
    modal
    header="Off by a bit?"
    :style="{ width: '620px', maxWidth: '94vw' }"
    @update:visible="(open) => !open && emit('close')"
    @show="focusFirst"
  >
    <div v-if="form && shown" ref="questions" class="rescue">
      <Choice
        label="What happened"
        :value="form.kind"
        :options="kinds"
        @change="(kind) => set({ kind })"
      />
      <div class="fields">
        <PickField
          label="Piece"
          :value="form.piece"
          :options="pieces"
          @change="(piece) => start(piece, form?.kind ?? 'cut')"
        />
        <template v-if="form.kind === 'cut'">
          <MeasureField
            :field="field('width')"
            label="Width as cut"
            :length="form.width"
            :unit="unit"
            :least="least"
            :most="most"
            @change="(width) => set({ width })"
          />
          <MeasureField
            :field="field('height')"
            label="Height as cut"
            :length="form.height"
            :unit="unit"
            :least="least"
            :most="most"
            @change="(height) => set({ height })"
          />
        </template>
        <template v-else-if="form.kind === 'score'">
          <PickField
            label="Score"
            :value="`${form.score}`"
            :options="scoreOptions"
            @change="chooseScore"
          />
          <MeasureField
            :field="field('at')"
            label="Place as scored"
            :length="form.at"
            :unit="unit"
            :least="least"
            :most="most"
            @change="(at) => set({ at })"
          />
        </template>
        <template v-else>
          <PickField
            label="Torn edge"
            :value="form.edge"
            :options="sides"
            @change="(edge) => set({ edge })"
          />
          <MeasureField
            :field="field('depth')"
            label="Depth of the tear"
            :length="form.depth"
            :unit="unit"
            :least="least"
            :most="most"
            @change="(depth) => set({ depth })"
          />
        </template>
        <label v-if="copies > 1" class="count">
          <span>How many of {{ countInWords(copies) }}</span>
          <CountField
            label="How many came out like this"
            :count="affected"
            :least="1"
            :most="copies"
            size="small"
            @change="(count) => (some = count)"
          />
        </label>
      </div>
      <p v-if="!found" class="quiet">
        {{
          isWorking
            ? 'Looking for what can be done…'
            : 'Give its measures, and see what can be done.'
        }}
      </p>
      <div v-else class="ways" aria-live="polite">
        <section v-for="way in found.ways" :key="way.kind" :class="{ good: way.isGood }">
          <h2>
            {{ way.isGood ? 'It can be saved' : 'It can be used' }}:
            {{ headings[way.kind][0].toLowerCase() }}
          </h2>
          <ul>
            <li v-for="sentence in way.sentences" :key="sentence"><Worded :text="sentence" /></li>
          </ul>
          <p v-if="isSome && boxesOfTheirOwn === undefined" class="quiet">
            {{ capitalised(countInWords(inBox)) }} of them make one box. Only whole boxes can go on
            like this.
          </p>
          <Button
            v-else
            size="small"
            :severity="way.isGood ? 'primary' : 'secondary'"
            :outlined="!way.isGood"
            :label="isSome ? goOnApart : headings[way.kind][1]"
            :disabled="isWorking"
            @click="take(way)"
          />
        </section>
        <section>
          <h2 v-if="found.ways.length === 0">This one is lost</h2>
          <h2 v-else>Or cut it again</h2>
          <ul>
            <li v-if="found.why"><Worded :text="found.why" /></li>
            <li>
              <Worded :text="found.again" />
              <template v-if="affected > 1">
                {{ ' ' }}In all, {{ countInWords(affected) }}
                {{ plural(name).toLowerCase() }}.</template
              >
            </li>
          </ul>
          <Button
            size="small"
            severity="secondary"
            outlined
            :label="`Cut ${affected > 1 ? 'them' : 'it'} again`"
            @click="again"
          />
        </section>
      </div>
      <p v-if="trouble" role="alert" class="trouble">{{ trouble }}</p>
    </div>
  </Dialog>
</template>

<style scoped>
.rescue {
  display: flex;
  flex-direction: column;
  gap: 14px;
}

.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(120px, 1fr));
  gap: 10px 12px;
  align-items: end;
}

.fields > div > span:first-child,
.fields > label > span:first-child {
  display: block;
  margin-bottom: 2px;
  font-size: 12px;
  color: var(--ink-soft);
}

.ways {
  display: flex;
  flex-direction: column;
  gap: 14px;
}

section {
  padding-left: 12px;
  border-left: 4px solid var(--rule);
}

section.good {
  border-left-color: var(--leaf);
}

h2 {
  margin: 0 0 4px;
  font: 700 18px var(--figures);
}

ul {
  margin: 0 0 8px;
  padding: 0;
  font-size: 16px;
  list-style: none;
}

.trouble {
  color: var(--vermilion);
}
</style>
