<script setup lang="ts">
import { formatWithUnit, shippedToolbox, type ScoringBoard, type Trimmer } from '@rangoli/core';
import { Copy, Pencil, Trash2 } from '@lucide/vue';
import ToggleSwitch from 'primevue/toggleswitch';
import { useEventListener } from '@vueuse/core';
import { computed, nextTick, onBeforeUnmount, onMounted, shallowRef } from 'vue';
import TopBar from '../parts/TopBar.vue';
import Worded from '../parts/Worded.vue';
import { useToolbox, type ToolKind } from '../stores/toolbox.ts';
import BoardForm from './BoardForm.vue';
import ToolPicture from './ToolPicture.vue';
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
          <li
            v-for="{ owned, tool } in ownFirst(kit.toolbox.boards)"
            :id="`tool-${tool.id}`"
            :key="tool.id"
            :class="{ owned }"
          >
            <ToolPicture
              kind="board"
              :unit="tool.unit"
              :pitch="tool.pitch"
              :reach="tool.reach"
              :length="tool.grooveLength"
              :fence="tool.fence"
            />
            <div class="said">
              <h3><Worded :text="tool.name" /></h3>
              <p><Worded :text="boardFacts(tool)" />.</p>
              <div class="acts">
                <label
                  ><ToggleSwitch
                    :model-value="owned"
                    @update:model-value="(has) => kit.setOwned('boards', tool.id, has)"
                  />I have it</label
                >
                <button type="button" :aria-expanded="editing === tool.id" @click="edit(tool.id)">
                  <Pencil :size="15" aria-hidden="true" />Edit
                </button>
                <button type="button" @click="copy('boards', tool.id)">
                  <Copy :size="15" aria-hidden="true" />Copy
                </button>
                <button v-if="!shipped.has(tool.id)" type="button" @click="kit.remove(tool.id)">
                  <Trash2 :size="15" aria-hidden="true" />Remove
                </button>
              </div>
              <BoardForm v-if="editing === tool.id" :board="tool" @change="kit.changeBoard" />
            </div>
          </li>
        </ul>
      </section>
      <section aria-labelledby="trimmers">
        <h2 id="trimmers">Trimmers</h2>
        <ul>
          <li
            v-for="{ owned, tool } in ownFirst(kit.toolbox.trimmers)"
            :id="`tool-${tool.id}`"
            :key="tool.id"
            :class="{ owned }"
          >
            <ToolPicture
              kind="trimmer"
              :unit="tool.unit"
              :pitch="tool.step"
              :reach="tool.widthWithArm"
              :length="tool.cutLength"
              :table="tool.tableWidth"
              fence="left"
            />
            <div class="said">
              <h3><Worded :text="tool.name" /></h3>
              <p><Worded :text="trimmerFacts(tool)" />.</p>
              <div class="acts">
                <label
                  ><ToggleSwitch
                    :model-value="owned"
                    @update:model-value="(has) => kit.setOwned('trimmers', tool.id, has)"
                  />I have it</label
                >
                <button type="button" :aria-expanded="editing === tool.id" @click="edit(tool.id)">
                  <Pencil :size="15" aria-hidden="true" />Edit
                </button>
                <button type="button" @click="copy('trimmers', tool.id)">
                  <Copy :size="15" aria-hidden="true" />Copy
                </button>
                <button v-if="!shipped.has(tool.id)" type="button" @click="kit.remove(tool.id)">
                  <Trash2 :size="15" aria-hidden="true" />Remove
                </button>
              </div>
              <TrimmerForm v-if="editing === tool.id" :trimmer="tool" @change="kit.changeTrimmer" />
            </div>
          </li>
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

li {
  display: grid;
  grid-template-columns: 190px 1fr;
  gap: 16px;
  align-items: start;
  padding: 12px 0;
  border-top: 1px solid var(--rule);
}

li > :deep(svg) {
  opacity: 0.62;
}

li.owned > :deep(svg) {
  opacity: 1;
}

h3 {
  margin: 0;
  font: 700 18px var(--figures);
}

.said p {
  margin: 3px 0 9px;
  font-size: 14px;
  color: var(--ink-soft);
}

.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 10px;
}

.acts label {
  display: flex;
  align-items: center;
  gap: 8px;
  margin-right: 6px;
  font-weight: 600;
}

.acts button {
  display: flex;
  align-items: center;
  gap: 5px;
  min-height: 30px;
  padding: 3px 9px;
  border: 0;
  border-radius: var(--radius);
  font: 600 14px var(--text);
  color: var(--ink);
  background: none;
  cursor: pointer;
}

.acts button:hover,
.acts button[aria-expanded='true'] {
  background: var(--leaf-pale);
}

.said :deep(.form) {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(128px, 1fr));
  gap: 10px 12px;
  align-items: end;
  margin-top: 12px;
}

.said :deep(.form > div > span),
.said :deep(.form > label > span) {
  display: block;
  margin-bottom: 2px;
  font-size: 12px;
  color: var(--ink-soft);
}

.said :deep(.form .name) {
  grid-column: span 2;
}

.said :deep(.form .name input) {
  width: 100%;
}

@media (max-width: 920px) {
  ul {
    grid-template-columns: 1fr;
  }
}

@media (max-width: 560px) {
  li {
    grid-template-columns: 1fr;
  }
}
</style>
