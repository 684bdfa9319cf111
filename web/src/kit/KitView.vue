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
import { computed, nextTick, onMounted, shallowRef } from 'vue';
import KeptPage from '../parts/KeptPage.vue';
import KeptSection from '../parts/KeptSection.vue';
import QuietButton from '../parts/QuietButton.vue';
import { useToolbox } from '../stores/toolbox.ts';
import { toolFacts } from './tool-facts.ts';
import ToolDrawing from './ToolDrawing.vue';
import ToolForm from './ToolForm.vue';
import ToolRow from './ToolRow.vue';

/** The maker's tools: told once, and from then on every figure is one that they can hit. */
const kit = useToolbox();
onMounted(() => void kit.refresh());

interface Section {
  readonly title: string;
  readonly kinds: readonly ToolKind[];
  /** Small tools stand closer together. */
  readonly isSmall?: true;
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
  { title: 'Punches', kinds: ['punches'], isSmall: true, none: 'I have none: I cut by hand' },
  { title: 'Glue and tape', kinds: ['adhesives'], isSmall: true, none: 'I have none' },
];

const editing = shallowRef<string>();
const hasAny = computed(() =>
  toolKindSchema.options.flatMap((kind) => drawerOf(kit.toolbox, kind)).some(({ owned }) => owned),
);

function toolsOf({ kinds }: Section): readonly KeptTool[] {
  return kinds.flatMap((kind) => drawerOf(kit.toolbox, kind));
}

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
    <KeptSection
      v-for="section in sections"
      :key="section.title"
      :title="section.title"
      :is-small="section.isSmall === true"
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
        v-for="kept in toolsOf(section)"
        :id="kept.tool.id"
        :key="kept.tool.id"
        :name="kept.tool.name"
        :facts="toolFacts(kept)"
        :owned="kept.owned"
        :is-edited="editing === kept.tool.id"
        :is-small="section.isSmall === true"
        :can-go="!shipped.has(kept.tool.id)"
        @owned="(has) => kit.setOwned(kept.kind, kept.tool.id, has)"
        @edit="edit(kept.tool.id)"
        @copy="copy(kept)"
        @remove="kit.remove(kept)"
      >
        <template #picture><ToolDrawing :kept="kept" /></template>
        <ToolForm :kept="kept" @change="(part) => kit.change(kept, part)" />
      </ToolRow>
    </KeptSection>
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
