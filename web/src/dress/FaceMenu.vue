<script setup lang="ts">
import { onClickOutside } from '@vueuse/core';
import Button from 'primevue/button';
import { computed, nextTick, useTemplateRef, watch } from 'vue';
import CrossButton from '../parts/CrossButton.vue';
import QuietButton from '../parts/QuietButton.vue';
import { useEscape } from '../parts/use-escape.ts';
import { useDressing } from './dressing.ts';
import FacePick from './FacePick.vue';
import { usePointing } from './pointing.ts';
import type { Thing } from './things.ts';

/** What may be done with the face that was pointed at, beside where it was. */
const props = defineProps<{ width: number; height: number }>();

const dressing = useDressing();
const pointing = usePointing();
const menu = useTemplateRef<HTMLElement>('menu');

const found = computed(() => pointing.pointed && dressing.faceOf(pointing.pointed.face));
const worn = computed(() => found.value && dressing.wornOn(found.value.face));
const isShown = computed(
  () => pointing.isChoosing || (pointing.pointed?.at !== undefined && found.value !== undefined),
);
const said = computed(() => (pointing.isChoosing ? 'Dress the box' : (found.value?.said ?? '')));

/** All walls of the piece, where the face is one of them and none of them wears anything yet. */
const walls = computed(() => {
  const face = found.value?.face;
  if (face?.role !== 'wall' || face.isOnLid) return undefined;
  const all = dressing.facesOf({
    addition: 'panel',
    id: 'all walls',
    on: { which: 'walls', piece: face.piece },
    layers: [],
    underCover: 'counted',
  });
  return all.length > 1 && all.every((each) => !dressing.wornOn(each.face)) ? all : undefined;
});

const place = computed(() => {
  const { x = props.width / 2 - 120, y = 20 } = pointing.pointed?.at ?? {};
  return {
    left: `${Math.max(8, Math.min(x + 10, props.width - 228))}px`,
    top: `${Math.max(8, Math.min(y + 10, props.height - 150))}px`,
  };
});

watch(
  isShown,
  async (shown) => {
    if (!shown) return;
    dressing.lookForOpenings();
    await nextTick();
    const action = menu.value?.querySelector<HTMLElement>('.p-button, [role=combobox]');
    action?.focus({ preventScroll: true });
  },
  { immediate: true },
);
// The list of faces opens outside of the menu.
onClickOutside(menu, () => pointing.leave(), { ignore: ['.p-select-overlay'] });
useEscape(
  () => isShown.value,
  () => pointing.leave(),
);

function putOn(): void {
  const face = found.value?.face;
  if (face) dressing.putOn({ which: 'face', face });
  pointing.leave();
}

function putOnWalls(): void {
  const piece = found.value?.face.piece;
  if (piece !== undefined) dressing.putOn({ which: 'walls', piece });
  pointing.leave();
}

/** What belongs to the face as a whole thing, and is not there yet. */
const more = computed(() => {
  const face = found.value?.face;
  return face ? dressing.more.filter(({ isAt }) => isAt(face)) : [];
});

function put(thing: Thing): void {
  dressing.put(thing);
  pointing.leave();
}

function stamp(): void {
  const face = found.value?.face;
  if (face) dressing.stamp(face);
  pointing.leave();
}

const windowPlace = computed(() => found.value && dressing.windowPlaceOn(found.value.face));

function openWindow(): void {
  if (windowPlace.value) dressing.openWindow(windowPlace.value);
  pointing.leave();
}

function addLayer(): void {
  if (worn.value) dressing.addLayer(worn.value);
  pointing.leave();
}

function takeOff(): void {
  if (worn.value) dressing.takeOff(worn.value);
  pointing.leave();
}
</script>

<template>
  <div v-if="isShown" ref="menu" class="face-menu" role="dialog" :aria-label="said" :style="place">
    <div class="said">
      <strong>{{ said }}</strong>
      <CrossButton label="Close" @click="pointing.leave()" />
    </div>
    <FacePick v-if="pointing.isChoosing" @chosen="pointing.leave()" />
    <template v-else-if="worn">
      <Button size="small" label="Layer on top" @click="addLayer" />
      <QuietButton @click="takeOff">Take the panel off</QuietButton>
    </template>
    <template v-else>
      <Button size="small" label="Panel on the outside" @click="putOn" />
      <QuietButton v-if="walls" @click="putOnWalls"
        >Panels on all {{ walls.length }} walls</QuietButton
      >
    </template>
    <template v-if="!pointing.isChoosing">
      <QuietButton v-if="windowPlace" @click="openWindow">Window</QuietButton>
      <QuietButton @click="stamp">Stamp, sticker or punch</QuietButton>
      <QuietButton v-for="thing in more" :key="thing.label" @click="put(thing)">{{
        thing.label
      }}</QuietButton>
    </template>
  </div>
</template>

<style scoped>
.face-menu {
  position: absolute;
  z-index: 3;
  display: grid;
  gap: 5px;
  width: 220px;
  padding: 8px 10px 10px;
  color: var(--ink);
  background: var(--paper);
  border-radius: var(--radius);
  box-shadow: 0 4px 18px rgb(20 48 45 / 38%);
}

.said {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 6px;
}
</style>
