<script setup lang="ts">
import {
  formatLength,
  formatWithUnit,
  cutUnit,
  inchFraction,
  kitFor,
  millimetres,
  roundDown,
  scoringMeans,
  toolsAtHand,
  type Kit,
  type Length,
  type PlanRequest,
  type PunchBoard,
  type Unit,
} from '@rangoli/core';
import { refDebounced } from '@vueuse/core';
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { beside } from '../parts/beside.ts';
import PickField from '../parts/PickField.vue';
import Worded from '../parts/Worded.vue';
import { planner, searcher } from '../planner/planner.ts';
import { useWorkedOut } from '../planner/use-worked-out.ts';
import { useToolbox } from '../stores/toolbox.ts';

/** The tools that the box is planned for, out of those that the maker has. */
const props = defineProps<{
  request: PlanRequest;
  kit: Kit;
  unit: Unit;
  punchBoard: PunchBoard | undefined;
  project: string;
}>();
const emit = defineEmits<{ change: [kit: Kit] }>();

const router = useRouter();
const box = useToolbox();
void box.open();

interface Named {
  readonly id: string;
  readonly name: string;
  readonly unit: Unit;
}

/** The last of each list leads to where the tools are told. */
const myTools = { value: 'my tools', label: 'My tools…' } as const;
function goToTools(): void {
  void router.push(beside('kit', props.project));
}

/** The maker's own whatever their ruler; of what is only shipped those in the box's unit. */
function named(kept: readonly { owned: boolean; tool: Named }[], chosen: Named) {
  const hasOwn = kept.some(({ owned }) => owned);
  const tools = toolsAtHand(kept).filter(({ unit }) => hasOwn || unit === props.unit);
  const all = tools.some(({ id }) => id === chosen.id) ? tools : [...tools, chosen];
  return [...all.map(({ id, name }) => ({ value: id, label: name })), myTools];
}

const trimmers = computed(() => named(box.toolbox.trimmers, props.kit.trimmer));
const boards = computed(() => named(box.toolbox.boards, props.kit.board));

function setTrimmer(id: string): void {
  if (id === myTools.value) goToTools();
  const found = box.toolbox.trimmers.find(({ tool }) => tool.id === id);
  if (found) emit('change', { ...props.kit, trimmer: found.tool });
}

function setBoard(id: string): void {
  if (id === myTools.value) goToTools();
  const found = box.toolbox.boards.find(({ tool }) => tool.id === id);
  if (found) emit('change', { ...props.kit, board: found.tool });
}

/** Figures are shown in a unit that none of the tools is marked in: those that are can be had in one go. */
const inUnit = computed(() => {
  const { kit, unit } = props;
  if (cutUnit(kit) === unit || scoringMeans(kit)?.unit === unit) return undefined;
  const other = kitFor(box.toolbox, unit);
  return cutUnit(other) === unit && scoringMeans(other)?.unit === unit ? other : undefined;
});

/** Slanting lines go along a ruler, or on a punch board where the style has one. */
const byRuler = 'ruler';
const drawer = computed(() =>
  props.punchBoard === 'diagonal' ? box.toolbox.diagonalBoards : box.toolbox.cornerBoards,
);
const chosen = computed(() =>
  props.punchBoard === 'diagonal' ? props.kit.diagonalBoard : props.kit.cornerBoard,
);
const punchBoards = computed(() => [
  { value: byRuler, label: 'along a ruler' },
  ...toolsAtHand<Named>(drawer.value).map(({ id, name }) => ({ value: id, label: name })),
  myTools,
]);

function setPunchBoard(id: string): void {
  if (id === myTools.value) {
    goToTools();
    return;
  }
  const { diagonalBoard, cornerBoard, ...kit } = props.kit;
  const diagonal = box.toolbox.diagonalBoards.find(({ tool }) => tool.id === id)?.tool;
  const corner = box.toolbox.cornerBoards.find(({ tool }) => tool.id === id)?.tool;
  emit('change', {
    ...kit,
    ...(props.punchBoard === 'diagonal'
      ? { ...(diagonal && { diagonalBoard: diagonal }), ...(cornerBoard && { cornerBoard }) }
      : { ...(corner && { cornerBoard: corner }), ...(diagonalBoard && { diagonalBoard }) }),
  });
}

/** Worked out once the maker's hand rests. */
const { workedOut } = useWorkedOut(
  refDebounced(
    computed(() => (chosen.value ? props.request : undefined)),
    350,
  ),
  async (request) => ({
    planned: await planner((tasks) => tasks.planBox(request)),
    largest: await searcher((tasks) => tasks.largestEachWay(request)),
  }),
);

/** What the box comes to on the board's marks, and the largest. */
const onBoard = computed(() => {
  if (!workedOut.value) return undefined;
  const { planned, largest } = workedOut.value.result;
  if (!planned.ok) return undefined;
  if (planned.plan.pieces.every((piece) => !piece.punchBoard))
    return 'None of its marks make this box: its lines go along a ruler.';
  if (!largest) return undefined;
  const { unit } = workedOut.value.request;
  const fine = unit === 'inch' ? inchFraction(1, 32) : millimetres(0.5);
  const coarse = unit === 'inch' ? inchFraction(1, 16) : millimetres(1);
  const { across, deep, high } = planned.plan.clearInside;
  const inside = [across, deep]
    .map((length) => formatLength(roundDown(length, fine), unit))
    .join(' × ');
  const said = (length: Length) => formatWithUnit(roundDown(length, coarse), unit);
  return `The inside comes to ${inside} × ${formatWithUnit(roundDown(high, fine), unit)}. Its largest: a gift ${said(largest.across)} wide at this height, or ${said(largest.high)} high.`;
});
</script>

<template>
  <section aria-labelledby="tools-heading" class="tools">
    <h3 id="tools-heading" class="visually-hidden">Tools</h3>
    <PickField label="Trimmer" :value="kit.trimmer.id" :options="trimmers" @change="setTrimmer" />
    <PickField label="Scoring board" :value="kit.board.id" :options="boards" @change="setBoard" />
    <p v-if="inUnit" class="wide in-unit">
      Your tools are marked in {{ unit === 'mm' ? 'inches' : 'mm' }}, so that is how you cut.
      <button type="button" @click="emit('change', inUnit)">
        Use tools in {{ unit === 'mm' ? 'mm' : 'inches' }}
      </button>
    </p>
    <div v-if="punchBoard" class="wide">
      <PickField
        label="Slanting lines"
        :value="chosen?.id ?? byRuler"
        :options="punchBoards"
        @change="setPunchBoard"
      />
      <p v-if="chosen && onBoard" class="quiet on-board"><Worded :text="onBoard" /></p>
    </div>
  </section>
</template>

<style scoped>
.tools {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}

.tools > div {
  min-width: 0;
}

.in-unit {
  margin: 0;
  font-size: 13px;
  color: var(--ink-soft);
}

.in-unit button {
  min-height: 24px;
  padding: 0;
  border: 0;
  font: 600 13px var(--text);
  color: var(--ink);
  text-decoration: underline;
  background: none;
  cursor: pointer;
}

.on-board {
  margin: 4px 0 0;
  font-size: 13px;
}

.tools > .wide {
  grid-column: 1 / -1;
}
</style>
