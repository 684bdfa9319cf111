<script setup lang="ts">
import { mostInRow, type Gift, type SeveralGift, type Rows } from '@rangoli/core';
import { computed, ref, watch } from 'vue';
import Pick from '../parts/Pick.vue';
import { useDrafts } from '../stores/drafts.ts';
import { rowsField, rowWays } from './rows-fields.ts';

/** How many of the gift go in together, in rows each way, and how rounds lie. */
const props = defineProps<{ gift: Gift; rows: Rows; project: string }>();
const emit = defineEmits<{ rows: [rows: Rows]; packing: [packing: SeveralGift['packing']] }>();

const mayNest = computed(
  () => props.gift.shape === 'several' && props.gift.deep > 1 && props.gift.item.shape !== 'block',
);
const packings = [
  { value: 'in rows', label: 'In rows' },
  { value: 'nested', label: 'Nested' },
] as const;

const drafts = useDrafts();
/**
 * What is being typed, until its field is left: this control is drawn anew whenever a plan or an answer of
 * the server comes, and an input's value is written anew with it.
 */
const typing = ref<{ readonly way: keyof Rows; readonly text: string }>();
const fields = rowWays.map((way) => {
  const field = rowsField(props.project, way);
  return { way, field, draft: drafts.of(field) };
});
// What was typed gives way to a count that is changed elsewhere, or taken back.
for (const { way, field } of fields)
  watch(
    () => props.rows[way],
    () => {
      drafts.forget(field);
      if (typing.value?.way === way) typing.value = undefined;
    },
  );
const fault = computed(() => fields.flatMap(({ draft }) => draft.value?.message ?? [])[0]);

/** What stands in the field of this way. */
function shown({ way, draft }: (typeof fields)[number]): string {
  if (typing.value?.way === way) return typing.value.text;
  return draft.value?.text ?? `${props.rows[way]}`;
}

function type({ way }: (typeof fields)[number], event: Event): void {
  if (event.target instanceof HTMLInputElement) typing.value = { way, text: event.target.value };
}

/** Takes a whole number that may be; anything else stays as it was typed, with what would do. */
function set({ way, field }: (typeof fields)[number], event: Event): void {
  if (!(event.target instanceof HTMLInputElement)) return;
  const text = event.target.value.trim();
  typing.value = undefined;
  const count = /^\d+$/.test(text) ? Number(text) : 0;
  if (count < 1 || count > mostInRow) {
    drafts.keep(field, {
      text,
      message: `How many ${way}: a whole number from 1 to ${mostInRow}. More of them go in another box.`,
    });
    return;
  }
  drafts.forget(field);
  if (count !== props.rows[way]) emit('rows', { ...props.rows, [way]: count });
}
</script>

<template>
  <div class="rows" role="group" aria-label="How many together">
    <span>How many</span>
    <label v-for="each in fields" :key="each.way" :class="{ fault: each.draft.value }">
      <input
        inputmode="numeric"
        maxlength="4"
        :value="shown(each)"
        :aria-label="`How many ${each.way}`"
        :aria-invalid="each.draft.value !== undefined"
        :aria-describedby="each.draft.value ? 'rows-fault' : undefined"
        @input="(event) => type(each, event)"
        @change="(event) => set(each, event)"
        @blur="typing = undefined"
      />{{ each.way }}
    </label>
    <p v-if="fault" id="rows-fault" class="message" role="alert">{{ fault }}</p>
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
  gap: 4px;
  align-items: center;
  font-size: 12px;
  color: var(--ink-soft);
}

.rows > span {
  font-weight: 600;
}

label {
  display: flex;
  align-items: center;
  gap: 2px;
  padding-right: 4px;
  border: 1px solid var(--rule);
  border-radius: 6px;
  font-size: 11px;
  letter-spacing: -0.01em;
  background: var(--paper);
}

label:focus-within {
  outline: 2px solid var(--leaf);
}

label.fault {
  border-color: var(--vermilion);
}

input {
  width: 23px;
  height: 24px;
  padding: 0 0 0 5px;
  border: 0;
  outline: none;
  font: 600 13px var(--text);
  color: var(--ink);
  background: none;
}

.message {
  flex-basis: 100%;
  margin: 0;
  color: var(--vermilion);
}

.packing {
  flex-basis: 100%;
}
</style>
