<script setup lang="ts">
import {
  papersOf,
  cutUnit,
  allStyles,
  cutSizeOf,
  extentsOf,
  inchFraction,
  largestGift,
  largestOn,
  neatGiftThatFits,
  spareFor,
  stretchedAsFarAsItFits,
  millimetres,
  squareGifts,
  stretchedGift,
  type Gift,
  type Length,
} from '@rangoli/core';
import { refDebounced } from '@vueuse/core';
import Button from 'primevue/button';
import { computed, shallowRef } from 'vue';
import { RouterLink } from 'vue-router';
import BoxPicture from '../fold/BoxPicture.vue';
import MeasureSize from '../parts/MeasureSize.vue';
import MeasureText from '../parts/MeasureText.vue';
import Pick from '../parts/Pick.vue';
import OpeningNote from '../parts/OpeningNote.vue';
import ToolsNote from '../parts/ToolsNote.vue';
import TopBar from '../parts/TopBar.vue';
import { searcher } from '../planner/planner.ts';
import { useWorkedOut } from '../planner/use-worked-out.ts';
import { useOpenProject } from '../stores/open-project.ts';
import { usePapers } from '../stores/papers.ts';
import LimitsChart from './LimitsChart.vue';

/** How large a gift may be for this kind of box on this sheet, and how far today's gift could grow. */
const props = defineProps<{ id: string }>();

const project = useOpenProject(() => props.id);

const request = computed(() => project.document?.box);
/** The limits are looked for again once the hand rests. */
const { workedOut, isWorking } = useWorkedOut(refDebounced(request, 350), (wanted) =>
  searcher((tasks) => tasks.limitsOf(wanted)),
);
const limits = computed(() => workedOut.value?.result);

const size = computed(() => request.value && extentsOf(request.value.gift));
const mark = computed(() => (request.value?.unit === 'mm' ? millimetres(1) : inchFraction(1, 16)));
const styles = allStyles.map(({ id, name }) => ({ value: id, label: name }));
const papers = usePapers();
void papers.open();
const sheets = computed(() => (request.value ? papers.sheetsFor(request.value.papers[0]) : []));

function setStyle(id: string): void {
  const style = allStyles.find((each) => each.id === id);
  if (style) project.changeBox('kind of box', { style: style.usual });
}

/** The whole box is cut from this sheet. */
function setSheet(name: string): void {
  const sheet = sheets.value.find((each) => each.name === name);
  const now = request.value?.papers;
  if (!sheet || !now) return;
  const [first, ...rest] = now;
  project.changeBox('sheet', {
    papers: [{ ...first, sheet }, ...rest.map((paper) => ({ ...paper, sheet }))],
  });
}

/** Where the drag of the point began; all of it stretches that gift. */
const start = shallowRef<Gift>();
const isStopped = shallowRef(false);

function move(to: { across: Length; high: Length }): void {
  if (!request.value) return;
  start.value ??= request.value.gift;
  const found = stretchedAsFarAsItFits(request.value, start.value, to, mark.value);
  isStopped.value = found.isStopped;
  if (found.gift) project.changeBox('gift measures', { gift: found.gift });
}

function rest(): void {
  start.value = undefined;
  isStopped.value = false;
}

/** How much is left, on the ruler's marks. */
const spare = computed(() =>
  limits.value && size.value ? spareFor(limits.value.furthest, size.value, mark.value) : undefined,
);

function takeNeat(gift: Gift, what: string): void {
  if (request.value)
    project.changeBox(what, { gift: neatGiftThatFits(request.value, gift, mark.value) });
}

function takeLargestAlike(): void {
  if (!request.value || !size.value) return;
  const most = largestGift(request.value);
  if (!most) return;
  const by = most.across / size.value.across;
  takeNeat(stretchedGift(request.value.gift, by, by), 'largest like this');
}

const largestSquare = computed(() => limits.value && largestOn(limits.value.square));
function takeLargestSquare(): void {
  const most = largestSquare.value;
  if (most) takeNeat(squareGifts()(most.across, most.high), 'largest square');
}

const plan = computed(() => (project.problems.length === 0 ? project.shown?.plan : undefined));
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
          <h2 id="today">Today’s gift</h2>
          <p class="size">
            <MeasureSize
              :lengths="[size.across, size.deep, size.high]"
              :unit="request.unit"
              with-unit
            />
          </p>
          <p v-if="plan && spare && spare.across + spare.high === 0">
            This is as large as it can be here, in both ways.
          </p>
          <p v-else-if="plan && spare">
            Could be
            <strong><MeasureText :length="spare.across" :unit="request.unit" with-unit /></strong>
            wider with its proportions, or
            <strong><MeasureText :length="spare.high" :unit="request.unit" with-unit /></strong>
            taller.
          </p>
          <p v-else-if="project.problems.length > 0" class="wrong">
            {{ project.problems[0]?.message }}
          </p>
        </section>
        <div class="largest">
          <Button
            size="small"
            severity="secondary"
            outlined
            label="Largest in these proportions"
            @click="takeLargestAlike"
          />
          <Button
            size="small"
            severity="secondary"
            outlined
            label="Largest square box"
            :disabled="!largestSquare"
            @click="takeLargestSquare"
          />
        </div>
        <section v-if="plan" class="box" aria-label="The box for it">
          <BoxPicture :plan="plan" :papers="papersOf(request)" class="picture" />
          <ul>
            <li v-for="piece in plan.pieces" :key="piece.id">
              {{ piece.name }}
              <strong>
                <MeasureText :length="cutSizeOf(piece.grid).width" :unit="cutUnit(request.kit)" />
                ×
                <MeasureText :length="cutSizeOf(piece.grid).height" :unit="cutUnit(request.kit)" />
              </strong>
            </li>
          </ul>
          <RouterLink :to="{ name: 'box', params: { id } }">To the box</RouterLink>
        </section>
      </aside>
      <section class="chart" aria-label="How large a gift may be">
        <ul class="key">
          <li><i class="alike" />proportions of today’s gift</li>
          <li><i class="square" />square gifts</li>
          <li v-if="isStopped" class="stop" role="status">No further on this sheet</li>
          <li v-else-if="isWorking" class="quiet" role="status">Looking for the limits…</li>
        </ul>
        <p v-if="limits && limits.alike.length + limits.square.length === 0" class="none">
          No gift of any size can be boxed this way on {{ request.papers[0].sheet.name }}. Choose
          another kind of box or a larger sheet.
        </p>
        <LimitsChart
          v-else-if="limits"
          :limits="limits"
          :at="size"
          :unit="request.unit"
          @move="move"
          @rest="rest"
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

.largest {
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
  font-weight: 600;
  color: inherit;
}

.chart {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  padding: 16px 20px 12px;
}

.key {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 24px;
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
