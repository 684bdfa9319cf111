<script setup lang="ts">
import {
  chosenBy,
  extentsOf,
  orders,
  requestIn,
  wishes,
  type Compared,
  type Extents,
  type Order,
  type PlanRequest,
  type WayOut,
  type Wish,
} from '@rangoli/core';
import { computed, onBeforeUnmount, ref, shallowReactive, shallowRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import { searcher } from '../planner/planner.ts';
import { useWorkedOut } from '../planner/use-worked-out.ts';
import MeasureSize from '../parts/MeasureSize.vue';
import OpeningNote from '../parts/OpeningNote.vue';
import ToolsNote from '../parts/ToolsNote.vue';
import TopBar from '../parts/TopBar.vue';
import { usePartByPart } from '../parts/use-part-by-part.ts';
import { useOpenProject } from '../stores/open-project.ts';
import { useWaysOutTaken } from '../stores/ways-out.ts';
import RefusedCard from './RefusedCard.vue';
import StyleCard from './StyleCard.vue';

/** Every kind of box for this gift, side by side on the maker's own sheet. */
const props = defineProps<{ id: string }>();

const project = useOpenProject(() => props.id);
const router = useRouter();
const waysOut = useWaysOutTaken();

/** Whether a kind has been taken: nothing is compared for it any more. */
const isLeaving = shallowRef(false);
const request = computed<PlanRequest | undefined>((before) =>
  isLeaving.value ? before : project.document?.box,
);
/** All kinds of box; those for the request before, while the ones for this are worked out. */
const { workedOut: compared } = useWorkedOut(request, (wanted) =>
  searcher((tasks) => tasks.compareStyles(wanted)),
);
const all = computed((): readonly Compared[] => compared.value?.result ?? []);

const wishLabels: Readonly<Record<Wish, string>> = {
  'one sheet': 'fit one sheet',
  'no glue': 'need no glue',
  'all on marks': 'be all on my marks',
  'opens from the top': 'open from the top',
  'shows the gift': 'show the gift',
};
const wanted = ref<ReadonlySet<Wish>>(new Set());
const order = ref<Order>('as listed');

function toggle(wish: Wish): void {
  const next = new Set(wanted.value);
  if (!next.delete(wish)) next.add(wish);
  wanted.value = next;
}

const shown = computed(() => chosenBy(all.value, wanted.value, order.value));
const fitting = computed(() => shown.value.filter((each) => each.ok));
const refused = computed(() => shown.value.filter((each) => !each.ok));
/** How many of them are drawn. */
const drawn = usePartByPart(() => fitting.value.length, { atOnce: 2 });
const fittingCount = computed(() => all.value.filter(({ ok }) => ok).length);
const gift = computed(() => request.value && extentsOf(request.value.gift));
/** All sheets to one scale, so that paper is seen and not read. */
const scaleTo = computed(() => {
  const sheet = request.value?.papers[0].sheet;
  return sheet ? Math.max(sheet.width, sheet.height) : 1;
});

/** The largest gifts are looked for one kind after the other, when all kinds are seen. */
const largest = shallowReactive(new Map<string, Extents | undefined>());
let turn = 0;

watch(
  compared,
  async (now) => {
    const mine = ++turn;
    largest.clear();
    for (const { ok, choice, style } of now?.result ?? []) {
      if (!now || !ok) continue;
      const asked = requestIn(now.request, choice);
      const most = await searcher((tasks) => tasks.largestGift(asked));
      if (mine !== turn) return;
      largest.set(style.id, most);
    }
  },
  { immediate: true },
);
onBeforeUnmount(() => turn++);

/** Takes a kind of box, with what makes it possible where it isn’t as it was asked for. */
async function take(
  compared: Compared,
  { part, boxes }: Pick<WayOut, 'part' | 'boxes'> = { part: {} },
): Promise<void> {
  isLeaving.value = true;
  if (!compared.ok || request.value?.style.style !== compared.style.id)
    void waysOut.take({ kind: 'other kind', part: { style: compared.choice, ...part }, boxes });
  // Where that view does not come, this one goes on.
  await router.push({ name: 'box', params: { id: props.id } }).finally(() => {
    isLeaving.value = false;
  });
}
</script>

<template>
  <div class="view">
    <TopBar place="compare" :project="id">
      <strong v-if="project.document" class="box-name">{{ project.document.name }}</strong>
    </TopBar>
    <ToolsNote />
    <main v-if="request && gift">
      <header>
        <h1>Which box for this gift?</h1>
        <p class="quiet">
          <MeasureSize
            :lengths="[gift.across, gift.deep, gift.high]"
            :unit="request.unit"
            with-unit
          />, on {{ request.papers[0].name }} {{ request.papers[0].sheet.name }}
        </p>
        <p v-if="all.length > 0" class="count">{{ fittingCount }} of {{ all.length }} fit</p>
      </header>
      <div class="switches">
        <div role="group" aria-label="Must">
          <span>Must</span>
          <button
            v-for="wish in wishes"
            :key="wish"
            type="button"
            :aria-pressed="wanted.has(wish)"
            @click="toggle(wish)"
          >
            {{ wishLabels[wish] }}
          </button>
        </div>
        <div role="group" aria-label="Least first">
          <span>Least</span>
          <button
            v-for="each in orders"
            :key="each"
            type="button"
            :aria-pressed="order === each"
            @click="order = each"
          >
            {{ each }}
          </button>
        </div>
      </div>
      <ul v-if="fitting.length > 0" class="grid">
        <StyleCard
          v-for="each in fitting.slice(0, drawn)"
          :key="each.style.id"
          :compared="each"
          :request="request"
          :chosen="each.style.id === request.style.style"
          :largest="largest.get(each.style.id)"
          :scale-to="scaleTo"
          @take="take(each)"
        />
      </ul>
      <template v-if="refused.length > 0 && drawn >= fitting.length">
        <h2>{{ fitting.length > 0 ? 'These don’t fit as asked' : 'What would make them fit' }}</h2>
        <ul class="grid small">
          <RefusedCard
            v-for="each in refused"
            :key="each.style.id"
            :compared="each"
            :request="request"
            :chosen="each.style.id === request.style.style"
            @take="(way) => take(each, way)"
          />
        </ul>
      </template>
      <p v-if="all.length === 0" class="none" role="status">
        Planning every kind of box for this gift…
      </p>
      <p v-else-if="shown.length === 0" class="none">
        No kind of box meets all of these for this gift. Take one of them off.
      </p>
    </main>
    <OpeningNote v-else :state="project.openState" @retry="project.open(id)" />
  </div>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: baseline;
  padding: 12px 20px;
}

h1 {
  font: 700 21px/1.2 var(--figures);
}

.count {
  margin-left: auto;
  color: var(--ink-soft);
}

.switches {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  justify-content: space-between;
  padding: 10px 20px;
  border-block: 1px solid var(--rule);
  background: var(--ground);
}

.switches > div {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 8px;
  align-items: center;
}

.switches span {
  margin-right: 2px;
  color: var(--ink-soft);
}

.switches button {
  padding: 5px 13px;
  border: 1px solid var(--rule);
  border-radius: 16px;
  font: 500 13.5px var(--text);
  color: var(--ink);
  background: var(--paper);
  cursor: pointer;
}

.switches button:hover {
  border-color: var(--ink);
}

.switches button[aria-pressed='true'] {
  border-color: var(--ink);
  color: var(--on-ink);
  background: var(--ink);
}

.grid {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(236px, 100%), 1fr));
  gap: 1px;
  border-bottom: 1px solid var(--rule);
  background: var(--paper);
}

/* Lines between them, and none round a place that is left over. */
.grid > * {
  box-shadow: 0 0 0 1px var(--rule);
}

.grid.small {
  grid-template-columns: repeat(auto-fill, minmax(min(200px, 100%), 1fr));
}

h2 {
  padding: 16px 20px 8px;
  border-bottom: 1px solid var(--rule);
  font: 700 16px/1.2 var(--figures);
}

.none {
  padding: 60px 20px;
  text-align: center;
}
</style>
