<script setup lang="ts">
/** What is set and where, with its ruler; the lines that it makes light up while it is pointed at. */
defineProps<{ headline: string; isLit: boolean }>();
const emit = defineEmits<{ light: []; unlight: [] }>();
</script>

<template>
  <div
    class="score"
    tabindex="0"
    :class="{ lit: isLit }"
    @pointerenter="emit('light')"
    @pointerleave="emit('unlight')"
    @focus="emit('light')"
    @blur="emit('unlight')"
  >
    <p class="headline">{{ headline }}</p>
    <slot />
    <p v-if="$slots.words" class="words"><slot name="words" /></p>
  </div>
</template>

<style scoped>
.score {
  padding: 6px 8px 5px;
  margin: 0 -8px;
  border-radius: var(--radius);
}

.score.lit {
  background: var(--turmeric-pale);
}

p {
  font-size: 13.5px;
  color: var(--ink-soft);
}

.headline {
  margin-bottom: 3px;
}

.words {
  margin-top: 3px;
}

.words :deep(> span + span::before) {
  content: ' · ';
}

.words :deep(.off) {
  color: var(--vermilion);
}
</style>
