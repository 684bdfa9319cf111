<script setup lang="ts">
import { planChanges, svgPattern, type PlanRequest } from '@rangoli/core';
import { Download } from '@lucide/vue';
import { refDebounced, useTimeout } from '@vueuse/core';
import Button from 'primevue/button';
import { computed, defineAsyncComponent, onBeforeUnmount, shallowRef, useId, watch } from 'vue';
import { useRouter } from 'vue-router';
import { leaveFirstSight } from '../first-sight/leave-first-sight.ts';
import { usePlanned } from '../planner/use-planned.ts';
import OpeningNote from '../parts/OpeningNote.vue';
import QuietButton from '../parts/QuietButton.vue';
import ToolsNote from '../parts/ToolsNote.vue';
import TopBar from '../parts/TopBar.vue';
import { cameFromViewOf } from '../parts/trail.ts';
import { useAttempt } from '../parts/use-attempt.ts';
import { usePartByPart } from '../parts/use-part-by-part.ts';
import Choice from '../parts/Choice.vue';
import { useDrafts } from '../stores/drafts.ts';
import { useFirstSteps } from '../stores/first-steps.ts';
import { useProject } from '../stores/project.ts';
import { useWaysOutTaken } from '../stores/ways-out.ts';
import BoxDesk from './BoxDesk.vue';
import ConflictBar from './ConflictBar.vue';
import CutList from './CutList.vue';
import CuttingMat from './CuttingMat.vue';
import GiftPanel from './GiftPanel.vue';
import NameField from './NameField.vue';
import { fileName, saveFile } from './save-file.ts';
import { saveWords } from './save-words.ts';
import TurnButtons from './TurnButtons.vue';
import { usePrintsOnBox } from './use-prints-on-box.ts';
import VerdictBar from './VerdictBar.vue';

/** The box: what is asked, the mat, and the cut list. */
const props = defineProps<{ id: string }>();

const project = useProject();
const drafts = useDrafts();
const router = useRouter();
const steps = useFirstSteps();
const waysOut = useWaysOutTaken();

watch(
  () => props.id,
  (id) => {
    // Coming from another view of the same box, it is open already, unsaved changes and all.
    const isOpen = project.id === id && project.openState.kind === 'open';
    if (!isOpen || !cameFromViewOf(id)) void project.open(id);
  },
  { immediate: true },
);
onBeforeUnmount(() => project.flush());

/** After so many milliseconds all is there, whatever the plan does: its fields are the way out. */
const untilAllIsThere = 2000;
const isLate = useTimeout(untilAllIsThere);
/** What is cut comes first, then the mat, then what is asked, part after part. */
const there = usePartByPart(() => {
  const isReady = project.shown !== undefined || project.refused !== undefined || isLate.value;
  return isReady ? 5 : 0;
});
watch(
  () => there.value > 0,
  (isThere) => {
    if (isThere) leaveFirstSight();
  },
  { immediate: true, flush: 'post' },
);

const refusal = useId();
/** Whether the maker is telling what went wrong. */
const rescues = shallowRef(false);
/** What is seldom needed comes when it is. */
const RefusalNote = defineAsyncComponent(() => import('./RefusalNote.vue'));
const MadeNote = defineAsyncComponent(() => import('../rescue/MadeNote.vue'));
const FirstSteps = defineAsyncComponent(() => import('./FirstSteps.vue'));
const CountedNote = defineAsyncComponent(() => import('./CountedNote.vue'));
const BasisBar = defineAsyncComponent(() => import('./BasisBar.vue'));
const RescueDialog = defineAsyncComponent(() => import('../rescue/RescueDialog.vue'));
const names = computed(
  () => new Map(project.shown?.plan.pieces.map(({ id, name }) => [id, name]) ?? []),
);

/** The box that this one was made from: the same one, however often the document is written anew. */
const basis = computed<PlanRequest | undefined>((before) => {
  const now = project.document?.basis?.box;
  return JSON.stringify(now) === JSON.stringify(before) ? before : now;
});
const basisPlanned = usePlanned(() => basis.value);
const changes = computed(() => {
  const before = basisPlanned.value;
  if (!before?.result.ok || !project.shown) return undefined;
  return planChanges({ plan: before.result.plan, request: before.request }, project.shown);
});

const prints = usePrintsOnBox(() => project.shown);

const rulers = [
  { value: 'inch', label: 'inch' },
  { value: 'mm', label: 'mm' },
] as const;
/** Why the box can’t be made and what would do: on the mat, or in its place where there is none to show. */
const refusalNote = computed(
  () =>
    project.refused && {
      id: refusal,
      tabindex: '-1',
      refused: project.refused,
      project: props.id,
      onTake: waysOut.take,
      onAnew: () => project.forgetMade(),
    },
);
const hasDraft = computed(() => drafts.anyIn(project.id));
/** After so many milliseconds without a new plan it is said that the one before is shown. */
const untilLate = 400;
const wasPlanning = refDebounced(
  computed(() => project.isPlanning),
  untilLate,
);
const isPlanLate = computed(() => project.isPlanning && wasPlanning.value);
const stale = computed(() => hasDraft.value || project.refused !== undefined || isPlanLate.value);
const trouble = computed(() => {
  if (project.refused) return 'This can’t be made yet. The plan shown is the last one that could.';
  if (isPlanLate.value) return 'Planning it anew. The plan shown is the one before.';
  return hasDraft.value
    ? 'One entry can’t be taken yet. The plan shown goes by the last good one.'
    : undefined;
});

function exportPattern(): void {
  const shown = project.shown;
  const name = project.document?.name ?? 'box';
  if (shown) saveFile(fileName(name, 'svg'), 'image/svg+xml', svgPattern(name, shown.plan.pieces));
}

/** Brings what would do into sight, and the focus to it. */
function goToWays(): void {
  const ways = document.getElementById(refusal);
  ways?.scrollIntoView({ block: 'center' });
  ways?.focus({ preventScroll: true });
}

const { trouble: failure, attempt } = useAttempt();

async function putBack(): Promise<void> {
  await attempt(() => project.putBack());
}

async function keepBoth(): Promise<void> {
  const copy = await attempt(() => project.keepBoth());
  if (copy !== undefined) await router.push({ name: 'box', params: { id: copy } });
}
</script>

<template>
  <div class="view">
    <TopBar place="box" :project="id">
      <template v-if="project.document">
        <NameField
          :key="project.id"
          :name="project.document.name"
          :project="project.id"
          @change="(name) => project.change('name', (whole) => ({ ...whole, name }))"
        />
        <span
          class="saved quiet"
          :class="project.saveState.kind"
          :title="saveWords(project.saveState)"
          role="status"
          >{{ saveWords(project.saveState) }}</span
        >
        <QuietButton v-if="project.saveState.kind === 'refused'" @click="project.tryAgain()"
          >Try again</QuietButton
        >
        <QuietButton v-if="project.saveState.kind === 'gone'" @click="putBack"
          >Put it back on the shelf</QuietButton
        >
      </template>
      <template v-if="project.document" #tools>
        <TurnButtons />
      </template>
      <template v-if="project.document" #more>
        <Choice
          label="Figures in"
          :value="project.document.box.unit"
          :options="rulers"
          @change="project.readIn"
        />
        <Button
          size="small"
          severity="secondary"
          outlined
          :disabled="stale || !project.shown"
          @click="exportPattern"
          ><Download :size="16" />Pattern as SVG</Button
        >
      </template>
    </TopBar>
    <ConflictBar
      v-if="project.saveState.kind === 'conflict' && project.document"
      :clashes="project.saveState.clashes"
      :unit="project.document.box.unit"
      @mine="project.keepMine()"
      @theirs="project.takeTheirs()"
      @both="keepBoth"
    />
    <ToolsNote />
    <FirstSteps v-if="steps.at && there > 4 && project.shown" />
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <BoxDesk
      v-if="project.openState.kind === 'open' && project.document"
      :name="project.document.name"
      :data-step="steps.at"
    >
      <template v-if="there > 2" #asked>
        <GiftPanel :key="project.id" :request="project.document.box" :parts="there - 2" />
      </template>
      <template v-if="there > 1" #mat>
        <CuttingMat
          v-if="project.shown"
          :plan="project.shown.plan"
          :request="project.shown.request"
          :stale="stale"
        >
          <RefusalNote v-if="refusalNote" v-bind="refusalNote" />
        </CuttingMat>
        <section v-else class="mat-empty" aria-label="Pieces on the cutting mat">
          <RefusalNote v-if="refusalNote" v-bind="refusalNote" />
        </section>
      </template>
      <CutList
        v-if="project.shown && there > 0"
        data-first-step="cut list"
        :plan="project.shown.plan"
        :request="project.shown.request"
        :told="project.shown.told"
        :stale="stale"
        :prints="prints"
        :changes="changes"
      >
        <MadeNote
          v-if="project.shown.request.made.length > 0"
          :request="project.shown.request"
          :names="names"
          @forget="project.forgetMade()"
        />
        <BasisBar
          v-if="project.document.basis"
          :name="project.document.basis.name"
          :changes="changes"
          @done="project.change('basis', ({ basis: _, ...whole }) => whole)"
        />
      </CutList>
    </BoxDesk>
    <OpeningNote v-else :state="project.openState" @retry="project.open(id)" />
    <VerdictBar
      v-if="project.openState.kind === 'open' && project.shown"
      :verdicts="project.shown.told.verdicts"
      :trouble="trouble"
      :has-ways="project.refused !== undefined"
      @rescue="rescues = true"
      @ways="goToWays"
    />
    <CountedNote v-if="waysOut.counted" :counted="waysOut.counted" @close="waysOut.close()" />
    <RescueDialog v-if="rescues" :id="id" @close="rescues = false" />
  </div>
</template>

<style scoped>
.view {
  display: flex;
  flex-direction: column;
  height: 100dvh;
  min-height: 560px;
}

.saved {
  overflow: hidden;
  min-width: 0;
  font-size: 13px;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.failure {
  padding: 8px 16px;
  color: var(--vermilion);
  background: var(--vermilion-pale);
}

.saved.refused,
.saved.gone,
.saved.conflict {
  color: var(--vermilion);
}

.mat-empty {
  position: relative;
  min-height: 480px;
  background: var(--mat);
  grid-column: 2 / -1;
}

/* What is kept as it should be is told by the menu’s mark where there is little room. */
@media (max-width: 1399px) {
  .saved:not(.refused, .gone, .conflict, .unreachable) {
    position: absolute;
    clip-path: inset(50%);
  }
}

@media (max-width: 679px) {
  .saved.unreachable {
    position: absolute;
    clip-path: inset(50%);
  }
}

@media (max-width: 640px) {
  .view {
    height: auto;
  }
}
</style>
