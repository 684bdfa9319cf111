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
import ItemClashes from '../parts/ItemClashes.vue';
import QuietButton from '../parts/QuietButton.vue';
import TopBar from '../parts/TopBar.vue';
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
  <div class="view">
    <TopBar place="kit" />
    <main>
      <div class="head">
        <h1>My tools</h1>
        <p class="quiet">
          {{
            hasAny
              ? 'Boxes are planned for the tools that you have. A box that is planned already asks before it takes what you change here.'
              : 'Mark the ones on your table. Until then every box may choose from all of these.'
          }}
        </p>
        <p v-if="kit.trouble" role="alert" class="trouble">{{ kit.trouble }}</p>
      </div>
      <p v-if="!kit.isHere" class="quiet" role="status">
        {{
          kit.trouble
            ? 'Your tools are on the server. They are shown here as soon as it answers, so that nothing is written over them.'
            : 'Getting your tools…'
        }}
        <QuietButton v-if="kit.trouble" @click="kit.refresh()">Try again</QuietButton>
      </p>
      <ItemClashes v-else :clashes="kit.clashes" @settle="kit.settle" />
      <section
        v-for="section in kit.isHere ? sections : []"
        :key="section.title"
        :aria-label="section.title"
      >
        <header>
          <h2>{{ section.title }}</h2>
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
        </header>
        <ul :class="{ small: section.isSmall, none: hasNone(section) }">
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
        </ul>
      </section>
    </main>
  </div>
</template>

<style scoped>
main {
  max-width: 1180px;
  margin: 0 auto;
  padding: 18px 20px 60px;
}

.head {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 18px;
}

h1 {
  margin: 0;
  font: 700 30px var(--figures);
}

.head p {
  margin: 0;
}

.trouble {
  flex-basis: 100%;
  color: var(--vermilion);
}

section > header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 22px;
  margin: 22px 0 6px;
}

section > header label {
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

h2 {
  margin: 0;
  font: 700 20px var(--figures);
}

ul {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 28px;
  margin: 0;
  padding: 0;
  list-style: none;
}

ul.small {
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
}

ul.none {
  opacity: 0.45;
}

@media (max-width: 920px) {
  ul {
    grid-template-columns: 1fr;
  }
}
</style>
