<script setup lang="ts">
import {
  explainLengthFault,
  formatShown,
  formatWithUnit,
  inchFraction,
  millimetres,
  nanometres,
  parseLength,
  type Length,
  type Unit,
} from '@rangoli/core';
import InputText from 'primevue/inputtext';
import { computed, ref, useId, watch } from 'vue';
import { useDrafts } from '../stores/drafts.ts';
import type { TypedLength } from './typed-length.ts';

/**
 * A length that is typed, stepped with the arrow keys, or dragged by its unit. What can't be taken stays
 * as it was typed, with the reason beside it, and the last good length goes on standing.
 */
const props = defineProps<{
  /** The field's own name among all fields, under which its draft is kept. */
  field: string;
  label: string;
  length: Length;
  unit: Unit;
  least: Length;
  most: Length;
  /** What an arrow key adds; 1/16 in or 1 mm when left out. */
  step?: Length;
  hideLabel?: boolean;
  /** Reads what is typed, where it may be more than a length. */
  parse?: (text: string) => TypedLength;
  /** Which edge of the field the message hangs from. */
  faultFrom?: 'left' | 'right';
}>();
const emit = defineEmits<{ change: [length: Length, typed?: string] }>();

const id = useId();
const drafts = useDrafts();
const draft = drafts.of(props.field);
const editing = ref<string>();
const step = computed(
  () => props.step ?? (props.unit === 'inch' ? inchFraction(1, 16) : millimetres(1)),
);
const shown = computed(
  () => draft.value?.text ?? editing.value ?? formatShown(props.length, props.unit),
);
const showsOtherUnit = computed(() => /[a-z]/i.test(formatShown(props.length, props.unit)));

watch(
  () => [props.length, props.unit] as const,
  ([length]) => {
    if (editing.value !== undefined) {
      const typed = lengthIn(editing.value);
      if (typed.ok && typed.length === length) return;
    }
    editing.value = undefined;
    drafts.forget(props.field);
  },
);

function limitFault(length: Length): string | undefined {
  if (length < props.least)
    return `${props.label} must be at least ${formatWithUnit(props.least, props.unit)}.`;
  if (length > props.most)
    return `${props.label} can be at most ${formatWithUnit(props.most, props.unit)}.`;
  return undefined;
}

function lengthIn(text: string): TypedLength {
  if (props.parse) return props.parse(text);
  const parsed = parseLength(text, props.unit);
  if (parsed.ok) return parsed;
  // Nothing at all is a good answer where the least is nothing.
  if (parsed.fault === 'zero' && props.least <= 0) return { ok: true, length: nanometres(0) };
  return { ok: false, message: explainLengthFault(parsed.fault, props.unit) };
}

function read(text: string | undefined): void {
  const typed = text ?? '';
  const parsed = lengthIn(typed);
  const message = parsed.ok ? limitFault(parsed.length) : parsed.message;
  if (!parsed.ok || message !== undefined) {
    drafts.keep(props.field, { text: typed, message: message ?? '' });
    return;
  }
  drafts.forget(props.field);
  editing.value = typed;
  if (parsed.length !== props.length) emit('change', parsed.length, typed);
}

function moveBy(from: Length, steps: number): void {
  const moved = Math.round(from / step.value + steps) * step.value;
  const length = nanometres(Math.min(props.most, Math.max(props.least, moved)));
  drafts.forget(props.field);
  editing.value = undefined;
  if (length !== props.length) emit('change', length);
}

let dragFrom: { readonly x: number; readonly length: Length } | undefined;

function startDrag(event: PointerEvent): void {
  if (!(event.currentTarget instanceof Element)) return;
  event.currentTarget.setPointerCapture(event.pointerId);
  dragFrom = { x: event.clientX, length: props.length };
}

function drag(event: PointerEvent): void {
  if (dragFrom) moveBy(dragFrom.length, Math.round((event.clientX - dragFrom.x) / 6));
}

function endDrag(): void {
  dragFrom = undefined;
}
</script>

<template>
  <div class="field" :class="{ wrong: draft }">
    <label :for="id" :class="{ 'visually-hidden': hideLabel }">{{ label }}</label>
    <div class="entry">
      <InputText
        :id="id"
        :model-value="shown"
        :invalid="draft !== undefined"
        :aria-describedby="draft ? `${id}-fault` : undefined"
        autocomplete="off"
        spellcheck="false"
        size="small"
        fluid
        @update:model-value="read"
        @blur="editing = undefined"
        @keydown.up.prevent="moveBy(length, 1)"
        @keydown.down.prevent="moveBy(length, -1)"
      />
      <span
        v-if="!showsOtherUnit && !draft"
        class="grip"
        title="Drag to change"
        aria-hidden="true"
        @pointerdown.prevent="startDrag"
        @pointermove="drag"
        @pointerup="endDrag"
        @pointercancel="endDrag"
        >{{ unit === 'inch' ? 'in' : 'mm' }}</span
      >
    </div>
    <p v-if="draft" :id="`${id}-fault`" class="fault" :class="faultFrom" role="alert">
      {{ draft.message }}
    </p>
  </div>
</template>

<style scoped>
.field {
  position: relative;
  min-width: 0;
}

label {
  display: block;
  font-size: 12px;
  color: var(--ink-soft);
  margin-bottom: 2px;
}

.entry {
  position: relative;
}

.entry :deep(input) {
  padding-right: 24px;
  font-weight: 600;
}

.grip {
  position: absolute;
  inset: 1px 1px 1px auto;
  display: flex;
  align-items: center;
  padding: 0 6px 0 4px;
  font-size: 11px;
  color: var(--ink-soft);
  cursor: ew-resize;
  touch-action: none;
  user-select: none;
}

.grip:hover {
  color: var(--ink);
}

.fault {
  position: absolute;
  z-index: 5;
  left: 0;
  top: calc(100% + 3px);
  width: max-content;
  max-width: 176px;
  padding: 5px 8px;
  font-size: 12px;
  line-height: 1.3;
  color: var(--vermilion);
  background: var(--vermilion-pale);
  border: 1px solid var(--vermilion);
  border-radius: 6px;
}

.fault.right {
  left: auto;
  right: 0;
}
</style>
