<script setup lang="ts">
import {
  drawerOf,
  shippedToolbox,
  toolKindSchema,
  type KeptTool,
  type ToolKind,
} from '@rangoli/core';
import { Plus } from '@lucide/vue';
import ToggleSwitch from 'primevue/toggleswitch';
import InputText from 'primevue/inputtext';
import { computed, nextTick, onMounted, shallowRef, watch } from 'vue';
import KeptPage from '../parts/KeptPage.vue';
import KeptSection from '../parts/KeptSection.vue';
import QuietButton from '../parts/QuietButton.vue';
import RemovedList from '../parts/RemovedList.vue';
import { useBoxBeside } from '../stores/box-beside.ts';
import { useToolbox } from '../stores/toolbox.ts';
import { toolFacts, toolInWords } from './tool-facts.ts';
import PlanFor from './PlanFor.vue';
import ToolDrawing from './ToolDrawing.vue';
import ToolForm from './ToolForm.vue';
import ToolRow from './ToolRow.vue';

/** The maker's tools: told once, and from then on every figure is one that they can hit. */
const kit = useToolbox();
const beside = useBoxBeside();
onMounted(() => void kit.refresh());

interface Section {
  readonly title: string;
  readonly kinds: readonly ToolKind[];
  /** What it means to have none. */
  readonly none?: string;
}

const sections: readonly Section[] = [
  {
    title: 'Scoring boards',
    kinds: ['boards'],
    none: 'I have none: I score with the trimmer’s tip or along a ruler',
  },
  { title: 'Trimmers', kinds: ['trimmers'], none: 'I have none: I cut along a ruler' },
  { title: 'Punch boards', kinds: ['diagonalBoards', 'cornerBoards'] },
  { title: 'Rulers', kinds: ['rulers'], none: 'I have none' },
  { title: 'Punches', kinds: ['punches'], none: 'I have none: I cut by hand' },
  { title: 'Glue and tape', kinds: ['adhesives'], none: 'I have none' },
];

const editing = shallowRef<string>();
const hasAny = computed(() =>
  toolKindSchema.options.flatMap((kind) => drawerOf(kit.toolbox, kind)).some(({ owned }) => owned),
);

/** The places that the tools had when the list was opened, what is owned first: nothing moves under the hand that ticks. */
const places = shallowRef<ReadonlyMap<string, number>>(new Map());
watch(
  () => kit.isHere,
  (isHere) => {
    if (!isHere) return;
    const all = toolKindSchema.options.flatMap((kind) => drawerOf(kit.toolbox, kind));
    places.value = new Map(all.map(({ tool }, i) => [tool.id, i]));
  },
  { immediate: true },
);

const wanted = shallowRef('');

function isWanted(kept: KeptTool): boolean {
  const words = wanted.value.toLocaleLowerCase('en').split(/\s+/);
  const said = `${kept.tool.name} ${toolInWords(kept)}`.toLocaleLowerCase('en');
  return kept.tool.id === editing.value || words.every((word) => said.includes(word));
}

function toolsOf({ kinds }: Section): readonly KeptTool[] {
  // What was added since stands at the top, where it is seen.
  const placeOf = ({ tool }: KeptTool) => places.value.get(tool.id) ?? -1;
  return kinds
    .flatMap((kind) => drawerOf(kit.toolbox, kind))
    .filter(isWanted)
    .sort((a, b) => placeOf(a) - placeOf(b));
}

const shown = computed(() =>
  sections
    .map((section) => ({ section, tools: toolsOf(section) }))
    .filter(({ tools }) => wanted.value === '' || tools.length > 0),
);

function hasNone({ kinds }: Section): boolean {
  return kinds.every((kind) => kit.toolbox.without.includes(kind));
}

function setNone({ kinds }: Section, none: boolean): void {
  for (const kind of kinds) kit.setWithout(kind, none);
}

const shipped = new Set(
  toolKindSchema.options.flatMap((kind) =>
    drawerOf(shippedToolbox, kind).map(({ tool }) => tool.id),
  ),
);

const kindNames: Readonly<Record<ToolKind, string>> = {
  boards: 'a scoring board',
  trimmers: 'a trimmer',
  diagonalBoards: 'a diagonal board',
  cornerBoards: 'a corner board',
  rulers: 'a ruler',
  punches: 'a punch',
  adhesives: 'a tape or a glue',
};

/** A tool of the maker's own begins as one of its kind, to be told what it is like. */
function add(kind: ToolKind): void {
  const [first] = drawerOf(kit.toolbox, kind);
  if (first) void copy(first);
}

/** A copy is opened at once, its name ready to be typed. */
async function copy(kept: KeptTool): Promise<void> {
  const made = kit.copy(kept);
  editing.value = made;
  await nextTick();
  const row = document.getElementById(`tool-${made}`);
  row?.scrollIntoView({ block: 'center' });
  row?.querySelector<HTMLElement>('.name input')?.focus();
}

const removedNow = shallowRef<string>();
const removed = computed(() =>
  kit.removed.map(({ id, was }) => ({ id, name: was.tool.name, facts: `${toolInWords(was)}.` })),
);

function remove(kept: KeptTool): void {
  kit.remove(kept);
  removedNow.value = kept.tool.id;
}

function putBack(id: string): void {
  removedNow.value = undefined;
  kit.putBack(id);
}

function edit(id: string): void {
  editing.value = editing.value === id ? undefined : id;
}
</script>

<template>
  <KeptPage
    place="kit"
    things="tools"
    :is-here="kit.isHere"
    :trouble="kit.trouble"
    :clashes="kit.clashes"
    :beside="beside"
    @refresh="kit.refresh()"
    @settle="kit.settle"
  >
    <template #intro>
      {{
        hasAny
          ? 'Boxes are planned for the tools that you have. A box that is planned already asks before it takes what you change here.'
          : 'Mark the ones on your table. Until then every box may choose from all of these.'
      }}
    </template>
    <template #acts>
      <InputText
        v-model="wanted"
        type="search"
        size="small"
        placeholder="Look for a tool"
        aria-label="Look for a tool"
      />
    </template>
    <p v-if="shown.length === 0" class="quiet" role="status">No tool is called that.</p>
    <KeptSection
      v-for="{ section, tools } in shown"
      :key="section.title"
      :title="section.title"
      :is-dim="hasNone(section)"
    >
      <template #acts>
        <label v-if="section.none">
          <ToggleSwitch
            :model-value="hasNone(section)"
            @update:model-value="(none) => setNone(section, none)"
          />{{ section.none }}
        </label>
        <span class="adds">
          <QuietButton v-for="kind in section.kinds" :key="kind" @click="add(kind)">
            <Plus :size="15" aria-hidden="true" />Add {{ kindNames[kind] }}
          </QuietButton>
        </span>
      </template>
      <ToolRow
        v-for="kept in tools"
        :id="kept.tool.id"
        :key="kept.tool.id"
        :name="kept.tool.name"
        :facts="toolFacts(kept)"
        :owned="kept.owned"
        :is-edited="editing === kept.tool.id"
        :can-go="!shipped.has(kept.tool.id)"
        @owned="(has) => kit.setOwned(kept.kind, kept.tool.id, has)"
        @edit="edit(kept.tool.id)"
        @copy="copy(kept)"
        @remove="remove(kept)"
      >
        <template #picture><ToolDrawing :kept="kept" /></template>
        <template v-if="beside?.document" #beside>
          <PlanFor :kept="kept" :project="beside.id" :box="beside.document.box" />
        </template>
        <ToolForm :kept="kept" @change="(part) => kit.change(kept, part)" />
      </ToolRow>
    </KeptSection>
    <RemovedList
      things="tools"
      :removed="removed"
      :latest="removedNow"
      @back="putBack"
      @close="removedNow = undefined"
    />
  </KeptPage>
</template>

<style scoped>
label {
  display: flex;
  align-items: center;
  gap: 8px;
  font-size: 14px;
  color: var(--ink-soft);
}

.adds {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  margin-left: auto;
}
</style>
