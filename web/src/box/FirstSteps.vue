<script setup lang="ts">
import { computed, nextTick, useTemplateRef, watch } from 'vue';
import CrossButton from '../parts/CrossButton.vue';
import { useEscape } from '../parts/use-escape.ts';
import { useFocusKept } from '../parts/use-focus-kept.ts';
import { useFirstSteps, type FirstPart } from '../stores/first-steps.ts';

/** What the Box view is used for, part by part, to somebody who sees it for the first time. */
const steps = useFirstSteps();
useFocusKept(useTemplateRef<HTMLElement>('bar'));

const words: Readonly<Record<FirstPart, readonly [string, string]>> = {
  gift: ['Your gift', 'Type how wide, how deep and how high it is. All else follows.'],
  tools: [
    'Your paper and your tools',
    'Choose what is on your table. Every figure is then one that your tools can hit.',
  ],
  'cut list': [
    'Your cut list',
    'Cut these sizes and score at these marks. Make leads you through it, one step at a time.',
  ],
};
const shown = computed(() => (steps.at ? words[steps.at] : undefined));

useEscape(
  () => steps.at !== undefined,
  () => steps.leave(),
);

/** Where the parts lie below one another, the next one is brought into sight. */
watch(
  () => steps.at,
  async (part) => {
    await nextTick();
    document
      .querySelector(`[data-first-step="${part ?? ''}"]`)
      ?.scrollIntoView({ block: 'nearest' });
  },
);
</script>

<template>
  <section v-if="shown" ref="bar" class="first-steps" aria-label="First steps">
    <p aria-live="polite">
      <strong>{{ steps.number }} of {{ steps.of }}: {{ shown[0] }}.</strong> {{ shown[1] }}
    </p>
    <button type="button" class="next" @click="steps.next()">
      {{ steps.number === steps.of ? 'Begin' : 'Next' }}
    </button>
    <CrossButton label="Leave the first steps" @click="steps.leave()" />
  </section>
</template>

<style scoped>
.first-steps {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 7px 16px;
  font-size: 15px;
  background: var(--leaf-pale);
}

p {
  flex: 1;
}

.next {
  flex: none;
  padding: 6px 16px;
  border: 0;
  border-radius: var(--radius);
  font: 600 14px var(--text);
  color: var(--on-ink);
  background: var(--ink);
  cursor: pointer;
}
</style>
