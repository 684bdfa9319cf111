<script setup lang="ts">
import {
  papersOf,
  cutUnit,
  allStyles,
  cutSizeOf,
  extentsOf,
  inchFraction,
  largestOn,
  spareFor,
  millimetres,
  styleSummary,
} from '@rangoli/core';
import { refDebounced } from '@vueuse/core';
import Button from 'primevue/button';
import { computed, watch } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import { createProject } from '../api/projects.ts';
import BoxPicture from '../fold/BoxPicture.vue';
import { forAnotherGift } from '../keeping/boxes.ts';
import MeasureSize from '../parts/MeasureSize.vue';
import MeasureText from '../parts/MeasureText.vue';
import Pick from '../parts/Pick.vue';
import OpeningNote from '../parts/OpeningNote.vue';
import QuietButton from '../parts/QuietButton.vue';
import Worded from '../parts/Worded.vue';
import ToolsNote from '../parts/ToolsNote.vue';
import TopBar from '../parts/TopBar.vue';
import { useAttempt } from '../parts/use-attempt.ts';
import { searcher } from '../planner/planner.ts';
import { usePlanned } from '../planner/use-planned.ts';
import { useWorkedOut } from '../planner/use-worked-out.ts';
import { useOpenProject } from '../stores/open-project.ts';
import { usePapers } from '../stores/papers.ts';
import LimitsChart from './LimitsChart.vue';
import { useLook } from './use-look.ts';

/** How large a gift may be for this kind of box on this sheet, and how far today's gift could grow. */
const props = defineProps<{ id: string }>();

const project = useOpenProject(() => props.id);
const router = useRouter();

/** The box as it is. */
const own = computed(() => project.document?.box);
const mark = computed(() => (own.value?.unit === 'mm' ? millimetres(1) : inchFraction(1, 16)));
const look = useLook(own, mark);
const { request, isLook, isStopped } = look;
watch(() => props.id, look.lookAway);

/** The limits are looked for again once the hand rests. */
const { workedOut, isWorking } = useWorkedOut(refDebounced(request, 350), (wanted) =>
  searcher((tasks) => tasks.limitsOf(wanted)),
);
const limits = computed(() => workedOut.value?.result);

const planned = usePlanned(() => request.value);
const box = computed(() =>
  planned.value?.result.ok
    ? { plan: planned.value.result.plan, request: planned.value.request }
    : undefined,
);
const problem = computed(() =>
  planned.value?.result.ok === false ? planned.value.result.problems[0]?.message : undefined,
);

const size = computed(() => request.value && extentsOf(request.value.gift));
const ownSize = computed(() => own.value && extentsOf(own.value.gift));
const ownKind = computed(() => own.value && styleSummary(own.value.style.style).name);
const styles = allStyles.map(({ id, name }) => ({ value: id, label: name }));
const papers = usePapers();
void papers.open();
const sheets = computed(() => (own.value ? papers.sheetsFor(own.value.papers[0]) : []));

function setStyle(id: string): void {
  const style = allStyles.find((each) => each.id === id);
  if (style) look.lookAt({ style: style.usual });
}

/** The whole box is cut from this sheet. */
function setSheet(name: string): void {
  const sheet = sheets.value.find((each) => each.name === name);
  const now = request.value?.papers;
  if (!sheet || !now) return;
  const [first, ...rest] = now;
  look.lookAt({ papers: [{ ...first, sheet }, ...rest.map((paper) => ({ ...paper, sheet }))] });
}

/** How much is left, on the ruler's marks. */
const spare = computed(() =>
  limits.value && size.value ? spareFor(limits.value.furthest, size.value, mark.value) : undefined,
);

const largestSquare = computed(() => limits.value && largestOn(limits.value.square));

/** Takes what is looked at for the box itself. */
async function take(): Promise<void> {
  if (!request.value) return;
  const { gift, style, papers: chosen } = request.value;
  project.changeBox('what fits', { gift, style, papers: chosen });
  await router.push({ name: 'box', params: { id: props.id } });
}

const { trouble, attempt } = useAttempt();
async function begin(): Promise<void> {
  const [whole, box] = [project.document, request.value];
  if (!whole || !box) return;
  await attempt(async () => {
    const { id } = await createProject(forAnotherGift(whole, box));
    await router.push({ name: 'box', params: { id } });
  });
}
</script>

<template>
  <div class="view">
    <TopBar place="limits" :project="id">
      <strong v-if="project.document" class="box-name">{{ project.document.name }}</strong>
    </TopBar>
    <ToolsNote />
    <main v-if="request && size" class="desk">
      <aside aria-label="What is asked">
        <h1>What fits my sheet?</h1>
        <label
          >Kind of box<Pick
            label="Kind of box"
            :value="request.style.style"
            :options="styles"
            @change="setStyle"
        /></label>
        <label
          >Sheet<Pick
            label="Sheet"
            :value="request.papers[0].sheet.name"
            :options="sheets.map((sheet) => ({ value: sheet.name, label: sheet.name }))"
            @change="setSheet"
        /></label>
        <section aria-labelledby="today">
          <h2 id="today">{{ isLook ? 'You look at a gift of' : 'Today’s gift' }}</h2>
          <p class="size">
            <MeasureSize
              :lengths="[size.across, size.deep, size.high]"
              :unit="request.unit"
              with-unit
            />
          </p>
          <p v-if="box && spare && spare.across + spare.high === 0">
            It can be no larger here, either way.
          </p>
          <p v-else-if="box && spare">
            Could be
            <strong><MeasureText :length="spare.across" :unit="request.unit" with-unit /></strong>
            wider with its proportions, or
            <strong><MeasureText :length="spare.high" :unit="request.unit" with-unit /></strong>
            taller.
          </p>
          <p v-else-if="problem" class="wrong"><Worded :text="problem" /></p>
        </section>
        <section v-if="isLook && ownSize" class="look" aria-label="What becomes of it">
          <p>
            Your own box stays as it is: {{ ownKind }} for a gift of
            <MeasureSize
              :lengths="[ownSize.across, ownSize.deep, ownSize.high]"
              :unit="request.unit"
              with-unit
            />.
          </p>
          <Button size="small" label="Begin a new box with this" :disabled="!box" @click="begin" />
          <Button
            size="small"
            severity="secondary"
            outlined
            label="Change my box to this"
            :disabled="!box"
            @click="take"
          />
          <QuietButton @click="look.lookAway">Back to today’s gift</QuietButton>
          <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
        </section>
        <div class="largest">
          <Button
            size="small"
            severity="secondary"
            outlined
            label="Largest in these proportions"
            @click="look.lookAtLargestAlike"
          />
          <Button
            size="small"
            severity="secondary"
            outlined
            label="Largest square box"
            :disabled="!largestSquare"
            @click="largestSquare && look.lookAtLargestSquare(largestSquare)"
          />
        </div>
        <section v-if="box" class="box" aria-label="The box for it">
          <BoxPicture :plan="box.plan" :papers="papersOf(box.request)" class="picture" />
          <ul>
            <li v-for="(piece, at) in box.plan.pieces" :key="piece.id">
              {{ piece.name }}
              <strong>
                <MeasureSize
                  :lengths="[cutSizeOf(piece.grid).width, cutSizeOf(piece.grid).height]"
                  :unit="cutUnit(box.request.kit)"
                  :with-unit="at === 0"
                />
              </strong>
            </li>
          </ul>
          <RouterLink v-if="!isLook" :to="{ name: 'box', params: { id } }">To the box</RouterLink>
        </section>
      </aside>
      <section class="chart" aria-label="How large a gift may be">
        <div class="key">
          <ul>
            <li><i class="alike" />proportions of {{ isLook ? 'this' : 'today’s' }} gift</li>
            <li><i class="square" />square gifts</li>
          </ul>
          <p v-if="isStopped" class="stop" role="status">No further on this sheet</p>
          <p v-else-if="isWorking" class="quiet" role="status">Looking for the limits…</p>
        </div>
        <p v-if="limits && limits.alike.length + limits.square.length === 0" class="none">
          No gift of any size can be boxed this way on {{ request.papers[0].sheet.name }}. Choose
          another kind of box or a larger sheet.
        </p>
        <LimitsChart
          v-else-if="limits"
          :limits="limits"
          :at="size"
          :unit="request.unit"
          @move="look.move"
          @rest="look.rest"
        />
      </section>
    </main>
    <OpeningNote v-else :state="project.openState" @retry="project.open(id)" />
  </div>
</template>

<style scoped>
.view {
  display: flex;
  flex-direction: column;
}

.desk {
  flex: 1;
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr);
}

aside {
  display: flex;
  flex-direction: column;
  gap: 14px;
  padding: 16px 20px;
  border-right: 1px solid var(--rule);
}

h1 {
  font: 700 21px/1.2 var(--figures);
}

h2 {
  font: 600 13px var(--text);
  color: var(--ink-soft);
}

label {
  display: grid;
  gap: 3px;
  font-size: 13px;
  color: var(--ink-soft);
}

.size {
  margin: 2px 0 6px;
  font: 700 22px/1.2 var(--figures);
}

.wrong {
  color: var(--vermilion);
}

.largest,
.look {
  display: grid;
  gap: 8px;
}

.box {
  display: grid;
  gap: 6px;
  margin-top: auto;
}

.picture {
  width: 150px;
  height: 110px;
}

.box li {
  display: flex;
  justify-content: space-between;
  gap: 10px;
}

.box a {
  justify-self: start;
  padding: 3px 0;
  font-weight: 600;
  color: inherit;
}

.chart {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  padding: 16px 20px 12px;
}

.key,
.key ul {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 24px;
}

.key {
  min-height: 24px;
}

.key li {
  display: flex;
  align-items: center;
  gap: 8px;
}

.key i {
  width: 30px;
  border-top: 3px solid var(--leaf);
}

.key .square {
  border-top: 2px dashed var(--ink-soft);
}

.stop {
  margin-left: auto;
  font-weight: 600;
  color: var(--vermilion);
}

.key .quiet {
  margin-left: auto;
}

.none {
  padding: 60px 20px;
  text-align: center;
}

@media (max-width: 760px) {
  .desk {
    grid-template-columns: 1fr;
  }

  aside {
    border-right: 0;
    border-bottom: 1px solid var(--rule);
  }

  .chart {
    min-height: 460px;
  }
}
</style>
