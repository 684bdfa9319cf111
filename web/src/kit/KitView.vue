<script setup lang="ts">
import { formatWithUnit, shippedToolbox, type ScoringBoard, type Trimmer } from '@rangoli/core';
import { useEventListener } from '@vueuse/core';
import { computed, nextTick, onBeforeUnmount, onMounted, shallowRef } from 'vue';
import TopBar from '../parts/TopBar.vue';
import { useToolbox, type ToolKind } from '../stores/toolbox.ts';
import BoardForm from './BoardForm.vue';
import ToolPicture from './ToolPicture.vue';
import ToolRow from './ToolRow.vue';
import TrimmerForm from './TrimmerForm.vue';

/** The maker's tools: told once, and from then on every figure is one that they can hit. */
const kit = useToolbox();
onMounted(() => void kit.open());
onBeforeUnmount(() => kit.flush());
useEventListener(window, 'pagehide', () => kit.flush());

const editing = shallowRef<string>();
const hasAny = computed(() =>
  [...kit.toolbox.boards, ...kit.toolbox.trimmers].some(({ owned }) => owned),
);

function boardFacts({ unit, pitch, reach, grooveLength, fence, markers, shim }: ScoringBoard) {
  return [
    `A groove every ${formatWithUnit(pitch, unit)}, up to ${formatWithUnit(reach, unit)}`,
    `grooves ${formatWithUnit(grooveLength, unit)} long`,
    `fence on the ${fence}`,
    markers === 0 ? 'no markers' : markers === 1 ? 'one marker' : `${markers} markers`,
    ...(shim === undefined ? [] : [`a shim of ${formatWithUnit(shim, unit)}`]),
  ].join(', ');
}

function trimmerFacts(trimmer: Trimmer) {
  const { unit, step, cutLength, tableWidth, widthWithArm, leastStrip, scoringTip } = trimmer;
  return [
    `A mark every ${formatWithUnit(step, unit)}, cuts of ${formatWithUnit(cutLength, unit)}`,
    `table ${formatWithUnit(tableWidth, unit)}, ${formatWithUnit(widthWithArm, unit)} with the arm out`,
    `holds strips of ${formatWithUnit(leastStrip, unit)}`,
    scoringTip ? 'with a scoring tip' : 'no scoring tip',
  ].join(', ');
}

const shipped = new Set(
  [...shippedToolbox.boards, ...shippedToolbox.trimmers].map(({ tool }) => tool.id),
);

/** The maker's own first. */
function ownFirst<Kept extends { readonly owned: boolean }>(kept: readonly Kept[]) {
  return [...kept].sort((a, b) => Number(b.owned) - Number(a.owned));
}

/** A copy is opened at once, its name ready to be typed. */
async function copy(kind: ToolKind, id: string): Promise<void> {
  const made = kit.copy(kind, id);
  editing.value = made;
  await nextTick();
  if (made === undefined) return;
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
              ? 'Boxes are planned for the tools that you have; what you change here changes the boxes that use it.'
              : 'Mark the ones on your table. Until then every box may choose from all of these.'
          }}
        </p>
        <p v-if="kit.trouble" role="alert" class="trouble">{{ kit.trouble }}</p>
      </div>
      <section aria-labelledby="boards">
        <h2 id="boards">Scoring boards</h2>
        <ul>
          <ToolRow
            v-for="{ owned, tool } in ownFirst(kit.toolbox.boards)"
            :id="tool.id"
            :key="tool.id"
            :name="tool.name"
            :facts="boardFacts(tool)"
            :owned="owned"
            :is-edited="editing === tool.id"
            :can-go="!shipped.has(tool.id)"
            @owned="(has) => kit.setOwned('boards', tool.id, has)"
            @edit="edit(tool.id)"
            @copy="copy('boards', tool.id)"
            @remove="kit.remove(tool.id)"
          >
            <template #picture>
              <ToolPicture
                kind="board"
                :unit="tool.unit"
                :pitch="tool.pitch"
                :reach="tool.reach"
                :length="tool.grooveLength"
                :fence="tool.fence"
              />
            </template>
            <BoardForm :board="tool" @change="kit.changeBoard" />
          </ToolRow>
        </ul>
      </section>
      <section aria-labelledby="trimmers">
        <h2 id="trimmers">Trimmers</h2>
        <ul>
          <ToolRow
            v-for="{ owned, tool } in ownFirst(kit.toolbox.trimmers)"
            :id="tool.id"
            :key="tool.id"
            :name="tool.name"
            :facts="trimmerFacts(tool)"
            :owned="owned"
            :is-edited="editing === tool.id"
            :can-go="!shipped.has(tool.id)"
            @owned="(has) => kit.setOwned('trimmers', tool.id, has)"
            @edit="edit(tool.id)"
            @copy="copy('trimmers', tool.id)"
            @remove="kit.remove(tool.id)"
          >
            <template #picture>
              <ToolPicture
                kind="trimmer"
                :unit="tool.unit"
                :pitch="tool.step"
                :reach="tool.widthWithArm"
                :length="tool.cutLength"
                :table="tool.tableWidth"
                fence="left"
              />
            </template>
            <TrimmerForm :trimmer="tool" @change="kit.changeTrimmer" />
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

h2 {
  margin: 22px 0 6px;
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

@media (max-width: 920px) {
  ul {
    grid-template-columns: 1fr;
  }
}
</style>
