<script setup lang="ts">
import type { Verdict } from '@rangoli/core';
import { onClickOutside, useMediaQuery } from '@vueuse/core';
import { computed, shallowRef, useId, useTemplateRef } from 'vue';
import { useEscape } from '../parts/use-escape.ts';
import Worded from '../parts/Worded.vue';

/** What makers check before they cut; or why the plan above is the last good one. */
const props = defineProps<{
  verdicts: readonly Verdict[];
  trouble: string | undefined;
  /** Whether what would do is told over the bar, where a phone doesn’t show it at once. */
  hasWays: boolean;
}>();
const emit = defineEmits<{ rescue: []; ways: [] }>();

/** Which verdict is told in full. */
const told = shallowRef<Verdict['about']>();
const detail = useId();
const bar = useTemplateRef<HTMLElement>('bar');
onClickOutside(bar, () => (told.value = undefined));
useEscape(
  () => told.value !== undefined,
  () => (told.value = undefined),
);

/** What its button asks. */
const whys: Readonly<Record<Verdict['about'], string>> = {
  gift: 'where?',
  fit: 'why?',
  marks: 'why?',
  paper: 'which?',
};

/** On a phone only what wants care is told at once. */
const isNarrow = useMediaQuery('(max-width: 679px)');
const showsAll = shallowRef(false);
const isBrief = computed(() => isNarrow.value && !showsAll.value);
const shown = computed(() =>
  isBrief.value
    ? props.verdicts.filter(({ state }) => state === 'care' || state === 'wrong')
    : props.verdicts,
);
</script>

<template>
  <footer ref="bar" class="bar" aria-label="Verdict">
    <p v-if="trouble" class="trouble" role="status"><i class="wrong" />{{ trouble }}</p>
    <ul v-else>
      <li v-if="shown.length === 0"><i class="holds" /><strong>All holds</strong></li>
      <li v-for="verdict in shown" :key="verdict.about" :class="verdict.about">
        <i v-if="verdict.state" :class="verdict.state" />
        <span
          >{{ verdict.text[0] }}<strong><Worded :text="verdict.text[1]" /></strong
          >{{ verdict.text[2] }}</span
        >
        <template v-if="verdict.detail">
          <button
            type="button"
            class="why"
            :aria-expanded="told === verdict.about"
            :aria-describedby="told === verdict.about ? detail : undefined"
            @click="told = told === verdict.about ? undefined : verdict.about"
          >
            {{ whys[verdict.about] }}
          </button>
          <span v-if="told === verdict.about" :id="detail" class="detail"
            ><Worded :text="verdict.detail"
          /></span>
        </template>
      </li>
    </ul>
    <button
      v-if="isNarrow && !trouble"
      type="button"
      class="rescue"
      :aria-expanded="showsAll"
      @click="showsAll = !showsAll"
    >
      {{ showsAll ? 'Less' : 'Show all' }}
    </button>
    <button v-if="isNarrow && hasWays" type="button" class="rescue" @click="emit('ways')">
      What would do?
    </button>
    <button v-else type="button" class="rescue" @click="emit('rescue')">Off by a bit?</button>
  </footer>
</template>

<style scoped>
.bar {
  position: relative;
  display: flex;
  align-items: center;
  min-height: 46px;
  padding: 6px 16px;
  font-size: 13.5px;
  color: #e9f1ee;
  background: var(--mat-deep);
}

button {
  flex: none;
  min-height: 24px;
  padding: 4px 8px;
  border: 0;
  font: 600 13.5px var(--text);
  color: inherit;
  text-decoration: underline;
  background: none;
  cursor: pointer;
}

.rescue {
  margin-left: 20px;
}

.rescue + .rescue {
  margin-left: 8px;
}

.why {
  padding: 0 2px;
  font-weight: 500;
  color: #b9cfc8;
}

.why:hover,
.why[aria-expanded='true'] {
  color: #ffffff;
}

ul {
  flex: 1;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}

li,
.trouble {
  display: flex;
  align-items: center;
  gap: 8px;
}

li {
  position: relative;
}

.paper {
  margin-left: auto;
}

i {
  flex: none;
  width: 9px;
  height: 9px;
  border-radius: 50%;
  background: var(--leaf-on-ink);
}

i.care {
  border-radius: 0;
  background: none;
  width: 0;
  height: 0;
  border: 6px solid transparent;
  border-top: 0;
  border-bottom: 10px solid #ff8d9d;
}

i.wrong {
  border-radius: 1px;
  background: #ff8d9d;
  transform: rotate(45deg);
}

strong {
  color: #ffffff;
}

.detail {
  position: absolute;
  z-index: 4;
  left: -8px;
  bottom: calc(100% + 14px);
  width: max-content;
  max-width: 340px;
  padding: 8px 12px;
  color: #ffffff;
  background: var(--mat-deep);
  border: 1px solid #5d7f78;
  border-radius: var(--radius);
}

.paper .detail {
  left: auto;
  right: 0;
}

/* As wide as the window, over the bar. */
@media (max-width: 679px) {
  li {
    position: static;
  }

  .detail,
  .paper .detail {
    right: 8px;
    bottom: calc(100% + 6px);
    left: 8px;
    width: auto;
    max-width: none;
  }
}
</style>
