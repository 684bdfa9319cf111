<script setup lang="ts">
import type { Gift, SeveralGift, Rows } from '@rangoli/core';
import { computed } from 'vue';
import Pick from '../parts/Pick.vue';

/** How many of the gift go in together, in rows each way, and how rounds lie. */
const props = defineProps<{ gift: Gift; rows: Rows }>();
const emit = defineEmits<{ rows: [rows: Rows]; packing: [packing: SeveralGift['packing']] }>();

const ways = [
  { key: 'across', label: 'across' },
  { key: 'deep', label: 'deep' },
  { key: 'high', label: 'high' },
] as const;
const most = 24;
const mayNest = computed(
  () => props.gift.shape === 'several' && props.gift.deep > 1 && props.gift.item.shape !== 'block',
);
const packings = [
  { value: 'in rows', label: 'In rows' },
  { value: 'nested', label: 'Nested' },
] as const;

function set(key: keyof Rows, event: Event): void {
  if (!(event.target instanceof HTMLInputElement)) return;
  const typed = Math.round(Number(event.target.value));
  const count = Number.isFinite(typed) ? Math.min(most, Math.max(1, typed)) : props.rows[key];
  event.target.value = String(count);
  if (count !== props.rows[key]) emit('rows', { ...props.rows, [key]: count });
}
</script>

<template>
  <div class="rows" role="group" aria-label="How many together">
    <span>How many</span>
    <label v-for="(way, i) in ways" :key="way.key">
      <template v-if="i > 0">× </template
      ><input
        type="number"
        min="1"
        :max="most"
        :value="rows[way.key]"
        :aria-label="`How many ${way.label}`"
        :title="way.label"
        @change="(event) => set(way.key, event)"
      />
    </label>
    <Pick
      v-if="mayNest && gift.shape === 'several'"
      label="Packing"
      class="packing"
      :value="gift.packing"
      :options="packings"
      @change="(packing) => emit('packing', packing)"
    />
  </div>
</template>

<style scoped>
.rows {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 6px;
  align-items: center;
  font-size: 12px;
  color: var(--ink-soft);
}

.rows > span {
  font-weight: 600;
}

input {
  width: 44px;
  padding: 3px 2px 3px 6px;
  border: 1px solid var(--rule);
  border-radius: 6px;
  font: inherit;
  color: var(--ink);
}

.packing {
  flex-basis: 100%;
}
</style>
