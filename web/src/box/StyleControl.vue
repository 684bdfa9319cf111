<script setup lang="ts">
import {
  papersOf,
  formatGap,
  formatWithUnit,
  styleSummary,
  withOption,
  type Plan,
  type PlannedDepth,
  type PlanRequest,
} from '@rangoli/core';
import { refDebounced } from '@vueuse/core';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import BoxPicture from '../fold/BoxPicture.vue';
import Choice from '../parts/Choice.vue';
import Worded from '../parts/Worded.vue';
import OptionControl from './OptionControl.vue';

/** The kind of box and its options; how its parts fit, and the choice when no marks fit them well. */
const props = defineProps<{ request: PlanRequest; plan: Plan | undefined; project: string }>();
const emit = defineEmits<{
  style: [style: PlanRequest['style'], what: string];
  lean: [lean: PlanRequest['lean']];
}>();

const summary = computed(() => styleSummary(props.request.style.style));
const values = computed(
  (): Readonly<Record<string, string | number | boolean>> => props.request.style.options,
);
/** The small picture waits until a measure has come to rest. */
const pictured = refDebounced(
  computed(() => props.plan && { plan: props.plan, papers: papersOf(props.request) }),
  200,
);
const bad = computed(() => props.plan?.pairs.find(({ state }) => state !== 'holds'));
const choices = computed(() =>
  (bad.value?.choices ?? []).map(({ lean, state, gap }) => ({
    value: lean,
    label: `${state === 'tight' ? (gap > 0 ? 'Tight' : 'Jams') : 'Loose'}, ${formatGap(gap)}`,
  })),
);
const advice = computed(() => {
  if (!bad.value) return '';
  const { trimmer } = props.request.kit;
  const marks = formatWithUnit(trimmer.step, trimmer.unit);
  const finer = props.plan?.finerStep;
  const out =
    finer === undefined
      ? 'Try another paper.'
      : `A trimmer in ${formatWithUnit(finer, trimmer.unit)} steps has one that holds.`;
  const what = bad.value.kind === 'lid' ? 'slides well over this paper' : 'fits well here';
  return `No ${bad.value.outer} in ${marks} steps ${what}. ${out}`;
});

/** What a depth comes to on this box, and what it may be. */
function depthOf(key: string): PlannedDepth | undefined {
  return props.plan?.style.style === props.request.style.style
    ? props.plan.depths.find(({ option }) => option === key)
    : undefined;
}

/** The options that matter most are in sight, the others a click away. */
const atOnce = 2;

function set(key: string, value: string | number | boolean): void {
  emit('style', withOption(props.request.style, key, value), `option ${key}`);
}
</script>

<template>
  <section aria-labelledby="style-heading" class="style">
    <h3 id="style-heading" class="visually-hidden">Kind of box</h3>
    <RouterLink
      :to="{ name: 'compare', params: { id: project } }"
      class="kind"
      :title="`${summary.about}. Compare it with all other kinds for this gift.`"
    >
      <BoxPicture v-if="pictured" :plan="pictured.plan" :papers="pictured.papers" class="picture" />
      <span v-else class="picture" />
      <strong>{{ summary.name }}</strong>
      <span class="change">Change</span>
    </RouterLink>
    <div class="options">
      <OptionControl
        v-for="option in summary.options.slice(0, atOnce)"
        :key="`${summary.id} ${option.key}`"
        :option="option"
        :value="values[option.key] ?? ''"
        :field="`${project} ${summary.id} ${option.key}`"
        :unit="request.unit"
        :depth="depthOf(option.key)"
        @change="(value) => set(option.key, value)"
      />
    </div>
    <details v-if="summary.options.length > atOnce" class="more">
      <summary>More options</summary>
      <div class="options">
        <OptionControl
          v-for="option in summary.options.slice(atOnce)"
          :key="`${summary.id} ${option.key}`"
          :option="option"
          :value="values[option.key] ?? ''"
          :field="`${project} ${summary.id} ${option.key}`"
          :unit="request.unit"
          :depth="depthOf(option.key)"
          @change="(value) => set(option.key, value)"
        />
      </div>
    </details>
    <Choice
      v-if="choices.length > 1"
      label="Which fit"
      :value="request.lean"
      :options="choices"
      @change="(lean) => emit('lean', lean)"
    />
    <p v-if="advice" class="advice"><Worded :text="advice" /></p>
  </section>
</template>

<style scoped>
.style {
  display: grid;
  gap: 8px;
}

.kind {
  display: grid;
  grid-template-columns: 62px 1fr auto;
  gap: 10px;
  align-items: center;
  padding: 2px 10px 2px 6px;
  border: 1px solid var(--rule);
  border-radius: var(--radius);
  color: inherit;
  text-decoration: none;
}

.kind:hover {
  border-color: var(--ink);
}

.picture {
  width: 62px;
  height: 46px;
}

.kind strong {
  display: block;
  font: 700 15px/1.2 var(--figures);
}

.change {
  font-size: 12.5px;
  font-weight: 600;
  text-decoration: underline;
}

.options {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 8px;
}

.more summary {
  margin-block: -3px;
  font-size: 12.5px;
  color: var(--ink-soft);
  cursor: pointer;
}

.more .options {
  margin-top: 6px;
}

.advice {
  font-size: 12px;
  line-height: 1.35;
  color: var(--vermilion);
}
</style>
