<script setup lang="ts">
import {
  commonDrawers,
  extentsOf,
  sizeInWords,
  type CommonThing,
  type GiftItem,
  type Unit,
} from '@rangoli/core';
import Dialog from 'primevue/dialog';
import InputText from 'primevue/inputtext';
import { computed, shallowRef, useId } from 'vue';
import { shade } from '../parts/colour.ts';
import Worded from '../parts/Worded.vue';
import { drawGift } from './gift-solid.ts';

/** A drawer of things that are boxed often: taken out, one fills the fields of the gift with its usual size. */
const props = defineProps<{ unit: Unit }>();
const emit = defineEmits<{ take: [gift: GiftItem, name: string]; close: [] }>();

const search = useId();
const wanted = shallowRef('');

const drawers = computed(() => {
  const words = wanted.value.toLocaleLowerCase('en').split(/\s+/);
  return commonDrawers
    .map(({ name: drawer, things }) => ({
      drawer,
      things: things.filter(({ name }) =>
        words.every((word) => `${name} ${drawer}`.toLocaleLowerCase('en').includes(word)),
      ),
    }))
    .filter(({ things }) => things.length > 0);
});

const view = { width: 46, height: 34 };

function picture({ gift }: CommonThing) {
  const { faces, width, height } = drawGift(gift, view.width, view.height);
  return { faces, x: (view.width - width) / 2, y: (view.height - height) / 2 };
}

function size({ gift }: CommonThing): string {
  return sizeInWords(extentsOf(gift), props.unit);
}
</script>

<template>
  <Dialog
    visible
    modal
    header="Common things"
    :style="{ width: '760px', maxWidth: '94vw' }"
    @update:visible="(open) => !open && emit('close')"
  >
    <p class="quiet">
      Usual sizes. Yours may differ by a little: measure it, and change the figures.
    </p>
    <label :for="search" class="visually-hidden">Look for a thing</label>
    <InputText
      :id="search"
      v-model="wanted"
      type="search"
      size="small"
      placeholder="Look for a thing"
      autofocus
      fluid
    />
    <section v-for="{ drawer, things } in drawers" :key="drawer" :aria-label="drawer">
      <h3>{{ drawer }}</h3>
      <ul>
        <li v-for="thing in things" :key="thing.name">
          <button type="button" @click="emit('take', thing.gift, thing.name)">
            <svg :width="view.width" :height="view.height" aria-hidden="true">
              <g :transform="`translate(${picture(thing).x} ${picture(thing).y})`">
                <path
                  v-for="(face, i) in picture(thing).faces"
                  :key="i"
                  :d="face.path"
                  :fill="shade('#e8c65f', face.light)"
                />
              </g>
            </svg>
            <span class="said">
              <b><Worded :text="thing.name" /></b>
              <i><Worded :text="size(thing)" /></i>
            </span>
          </button>
        </li>
      </ul>
    </section>
    <p v-if="drawers.length === 0" role="status">
      Nothing of that name is in the drawer. Type its measures beside the drawing.
    </p>
  </Dialog>
</template>

<style scoped>
p {
  margin: 0 0 10px;
}

h3 {
  margin: 16px 0 6px;
  font: 700 15px var(--figures);
}

ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
  gap: 4px 12px;
  margin: 0;
  padding: 0;
  list-style: none;
}

button {
  display: flex;
  gap: 10px;
  align-items: center;
  width: 100%;
  min-height: 48px;
  padding: 5px 8px;
  border: 1px solid transparent;
  border-radius: var(--radius);
  font: inherit;
  color: var(--ink);
  text-align: left;
  background: none;
  cursor: pointer;
}

button:hover {
  border-color: var(--rule);
  background: var(--ground);
}

svg {
  flex: none;
}

path {
  stroke: var(--line);
  stroke-linejoin: round;
}

.said {
  display: grid;
}

b {
  font-size: 14px;
}

i {
  font-size: 13px;
  font-style: normal;
  color: var(--ink-soft);
}
</style>
