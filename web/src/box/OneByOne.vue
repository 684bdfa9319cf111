<script setup lang="ts">
import type { Piece } from '@rangoli/core';
import { usePreferredReducedMotion } from '@vueuse/core';
import { computed, shallowRef, useTemplateRef } from 'vue';

/** Pieces one after the other, each as large as a narrow mat lets it be: swiped, or chosen by name. */
const props = defineProps<{ pieces: readonly Piece[] }>();

/** How high the row of names is, in pixels. */
const high = 48;

const strip = useTemplateRef<HTMLElement>('strip');
const passed = shallowRef(0);
/** A box that is changed may come to have fewer pieces. */
const here = computed(() => Math.min(passed.value, props.pieces.length - 1));
const motion = usePreferredReducedMotion();

function look(): void {
  const { scrollLeft = 0, clientWidth = 1 } = strip.value ?? {};
  passed.value = Math.round(scrollLeft / Math.max(1, clientWidth));
}

function show(at: number): void {
  const element = strip.value;
  if (!element) return;
  const behavior = motion.value === 'reduce' ? 'auto' : 'smooth';
  element.scrollTo({ left: at * element.clientWidth, behavior });
}
</script>

<template>
  <div class="one-by-one">
    <div ref="strip" class="strip" tabindex="0" role="group" aria-label="Pieces" @scroll="look">
      <div v-for="piece in pieces" :key="piece.id" class="one">
        <slot :piece="piece" :high="high" />
      </div>
    </div>
    <div class="names" role="group" aria-label="Which piece" :style="{ height: `${high}px` }">
      <button
        v-for="(piece, at) in pieces"
        :key="piece.id"
        type="button"
        :aria-pressed="at === here"
        @click="show(at)"
      >
        {{ piece.name }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.one-by-one {
  display: flex;
  flex-direction: column;
}

.strip {
  flex: 1;
  display: flex;
  min-height: 0;
  overflow: auto hidden;
  scroll-snap-type: x mandatory;
  scrollbar-width: none;
}

.one {
  flex: 0 0 100%;
  scroll-snap-align: start;
  scroll-snap-stop: always;
}

.names {
  display: flex;
  align-items: center;
  gap: 6px;
  padding: 0 12px;
  overflow: auto hidden;
}

button {
  flex: none;
  min-height: 36px;
  padding: 0 12px;
  border: 1px solid #5d857b;
  border-radius: 18px;
  font: 600 14px var(--text);
  color: #e6efec;
  background: transparent;
  cursor: pointer;
}

button[aria-pressed='true'] {
  color: var(--line);
  border-color: #ffffff;
  background: #ffffff;
}
</style>
