<script setup lang="ts">
import { type GiftItem, mostInSet } from '@rangoli/core';
import { Plus, X } from '@lucide/vue';

/** Different things that go into the box side by side: which is in hand, one more, one less, or a common one. */
defineProps<{
  items: readonly GiftItem[];
  at: number;
  /** What the shapes are called. */
  names: ReadonlyMap<string, string>;
}>();
const emit = defineEmits<{ choose: [at: number]; add: []; remove: [at: number]; common: [] }>();
</script>

<template>
  <div class="set" role="group" aria-label="Things side by side">
    <template v-if="items.length > 1">
      <span v-for="(item, i) in items" :key="i" class="thing" :class="{ here: i === at }">
        <button type="button" :aria-pressed="i === at" @click="emit('choose', i)">
          {{ i + 1 }} {{ names.get(item.shape) }}
        </button>
        <button
          v-if="i === at"
          type="button"
          class="remove"
          :aria-label="`Take out thing ${i + 1}`"
          title="Take it out"
          @click="emit('remove', i)"
        >
          <X :size="13" />
        </button>
      </span>
    </template>
    <button v-if="items.length < mostInSet" type="button" class="add" @click="emit('add')">
      <Plus :size="14" />{{ items.length > 1 ? 'Add another gift' : 'Add a second gift' }}
    </button>
    <button type="button" class="add common" @click="emit('common')">Common things</button>
  </div>
</template>

<style scoped>
.set {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 6px;
}

.thing {
  display: flex;
  align-items: center;
  border: 1px solid var(--rule);
  border-radius: 14px;
}

.thing.here {
  border-color: var(--ink);
  color: var(--on-ink);
  background: var(--ink);
}

button {
  padding: 2px 9px;
  border: 0;
  font: 500 12.5px var(--text);
  color: inherit;
  background: none;
  cursor: pointer;
}

.remove {
  padding: 2px 7px 2px 0;
  line-height: 0;
}

.add {
  /* As high as a finger needs, and no further from what it belongs to. */
  margin-block: -2px;
  display: flex;
  align-items: center;
  gap: 4px;
  padding: 2px 0;
  font-weight: 600;
  color: var(--ink-soft);
}

.common {
  margin-left: auto;
  text-decoration: underline;
}

.add:hover {
  color: var(--ink);
}
</style>
