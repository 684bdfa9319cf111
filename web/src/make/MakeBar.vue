<script setup lang="ts">
import { mostBoxes } from '@rangoli/core';
import { Printer, Volume2 } from '@lucide/vue';
import { useWakeLock } from '@vueuse/core';
import { defineAsyncComponent, onMounted, toRef } from 'vue';
import { RouterLink } from 'vue-router';
import TopBar from '../parts/TopBar.vue';
import { useMaking } from '../stores/making.ts';
import { useReadAloud } from './use-read-aloud.ts';

/** Nobody waits for it. */
const CountField = defineAsyncComponent(() => import('../parts/CountField.vue'));

/** The bar over the bench: how many boxes, reading aloud, printing, the screen that stays on. */
const props = defineProps<{
  id: string;
  name: string | undefined;
  /** What is read aloud. */
  sentence: string;
}>();

const making = useMaking();
const aloud = useReadAloud(toRef(() => props.sentence));

// The screen stays on while there is glue on the fingers.
const lock = useWakeLock();
onMounted(() => {
  if (lock.isSupported.value) void lock.request('screen').catch(() => undefined);
});
</script>

<template>
  <TopBar place="make" :project="id">
    <strong class="box-name">{{ name }}</strong>
    <template #tools>
      <button
        v-if="aloud.isSupported.value"
        type="button"
        class="tool aloud"
        :aria-pressed="aloud.isOn.value"
        @click="aloud.isOn.value = !aloud.isOn.value"
      >
        <Volume2 :size="17" aria-hidden="true" /><span>Read aloud</span>
      </button>
    </template>
    <template #more>
      <label class="boxes"
        ><CountField
          label="How many boxes"
          :count="making.progress.boxes"
          :least="1"
          :most="mostBoxes"
          @change="making.setBoxes"
        />
        {{ making.progress.boxes === 1 ? 'box' : 'boxes' }}</label
      >
      <RouterLink class="tool" :to="{ name: 'print', params: { id } }"
        ><Printer :size="17" aria-hidden="true" />Print</RouterLink
      >
      <span v-if="lock.isActive.value" class="quiet">Screen stays on</span>
    </template>
  </TopBar>
</template>

<style scoped>
.boxes {
  display: flex;
  min-width: 150px;
  justify-content: flex-end;
  align-items: center;
  gap: 6px;
  font-size: 14px;
}

.tool {
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: 36px;
  padding: 0 12px;
  border: 1px solid var(--rule);
  border-radius: var(--radius);
  font: 600 14px var(--text);
  color: var(--ink);
  text-decoration: none;
  background: var(--paper);
  cursor: pointer;
}

.tool[aria-pressed='true'] {
  color: var(--on-ink);
  background: var(--ink);
}

@media (min-width: 1240px) and (max-width: 1399px) {
  .quiet {
    display: none;
  }
}

@media (max-width: 1399px) {
  .aloud span {
    position: absolute;
    clip-path: inset(50%);
  }
}
</style>
