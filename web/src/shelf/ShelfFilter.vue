<script setup lang="ts">
import { allStyles } from '@rangoli/core';
import InputText from 'primevue/inputtext';
import { computed } from 'vue';
import type { Counted, ShelfContents } from '../api/projects.ts';
import type { ShelfQuery } from '../api/shelf-paths.ts';
import Pick from '../parts/Pick.vue';

/** Looks for boxes on the shelf by name, kind and paper, and says in which order they stand. */
const props = defineProps<{ wish: ShelfQuery; contents: ShelfContents }>();
const emit = defineEmits<{ change: [part: Partial<ShelfQuery>] }>();

const orders = [
  { value: 'changed', label: 'Changed last' },
  { value: 'newest', label: 'Newest' },
  { value: 'name', label: 'By name' },
] as const;

/** In a list of things to choose this one stands for all of them. */
const everyOne = '';

function listed(all: string, of: readonly Counted[], nameOf: (value: string) => string) {
  const options = of.map(({ value, boxes }) => ({ value, label: `${nameOf(value)}, ${boxes}` }));
  return [
    { value: everyOne, label: all },
    ...options.sort((a, b) => a.label.localeCompare(b.label)),
  ];
}
const kinds = computed(() =>
  listed(
    'All kinds',
    props.contents.kinds,
    (id) => allStyles.find((style) => style.id === id)?.name ?? id,
  ),
);
const papers = computed(() => listed('All papers', props.contents.papers, (name) => name));
</script>

<template>
  <div class="filter" role="search">
    <InputText
      :model-value="wish.search"
      type="search"
      size="small"
      placeholder="Look for a name"
      aria-label="Look for a name"
      @update:model-value="(search) => emit('change', { search: search ?? '' })"
    />
    <Pick
      v-if="contents.kinds.length > 1 || wish.kind !== undefined"
      label="Kind of box"
      :value="wish.kind"
      placeholder="All kinds"
      :options="kinds"
      @change="(kind) => emit('change', { kind: kind === everyOne ? undefined : kind })"
    />
    <Pick
      v-if="contents.papers.length > 1 || wish.paper !== undefined"
      label="Paper"
      :value="wish.paper"
      placeholder="All papers"
      :options="papers"
      @change="(paper) => emit('change', { paper: paper === everyOne ? undefined : paper })"
    />
    <Pick
      label="Order"
      :value="wish.order"
      :options="orders"
      @change="(order) => emit('change', { order })"
    />
  </div>
</template>

<style scoped>
.filter {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  justify-content: flex-end;
  margin-left: auto;
}

.filter :deep(.p-select) {
  width: 156px;
}
</style>
