<script setup lang="ts">
import { commonSheets, mostSheets, type Sheet } from '@rangoli/core';
import { Plus, X } from '@lucide/vue';
import { computed, shallowRef } from 'vue';
import Pick from '../parts/Pick.vue';
import QuietButton from '../parts/QuietButton.vue';
import SheetSize from '../parts/SheetSize.vue';
import { useUsualUnit } from '../stores/usual-unit.ts';

/** The sizes of sheet that a paper comes in: one at least, of any size. */
const props = defineProps<{ paper: string; sheets: readonly Sheet[] }>();
const emit = defineEmits<{ change: [sheets: readonly Sheet[]] }>();

const unit = useUsualUnit();
/** A size that is typed before it is added; what is typed stays when it is. */
const typed = shallowRef<Sheet>();

const more = computed(() =>
  commonSheets
    .filter(({ name }) => props.sheets.every((sheet) => sheet.name !== name))
    .map(({ name }) => ({ value: name, label: name })),
);
const ownSize = 'a size of my own';

function has(sheet: Sheet): boolean {
  return props.sheets.some(({ width, height }) => width === sheet.width && height === sheet.height);
}

function add(sheet: Sheet): void {
  if (!has(sheet)) emit('change', [...props.sheets, sheet]);
  typed.value = undefined;
}

function choose(name: string): void {
  const common = commonSheets.find((each) => each.name === name);
  if (common) add(common);
  else typed.value = props.sheets[0];
}

function remove(name: string): void {
  emit(
    'change',
    props.sheets.filter((sheet) => sheet.name !== name),
  );
}
</script>

<template>
  <div class="sheets">
    <span>Comes in sheets of</span>
    <ul>
      <li v-for="sheet in sheets" :key="sheet.name">
        {{ sheet.name }}
        <button
          v-if="sheets.length > 1"
          type="button"
          :aria-label="`No sheets of ${sheet.name}`"
          @click="remove(sheet.name)"
        >
          <X :size="14" aria-hidden="true" />
        </button>
      </li>
      <li v-if="sheets.length < mostSheets && !typed" class="more">
        <Pick
          label="Add a size of sheet"
          :value="undefined"
          placeholder="Add a size…"
          :options="[...more, { value: ownSize, label: 'A size of my own…' }]"
          @change="choose"
        />
      </li>
    </ul>
    <div v-if="typed" class="own">
      <SheetSize
        :field="`paper ${paper} sheet`"
        label="New sheet"
        :sheet="typed"
        :unit="unit"
        @change="(sheet) => (typed = sheet)"
      />
      <QuietButton :disabled="has(typed)" @click="add(typed)">
        <Plus :size="15" aria-hidden="true" />Add {{ typed.name }}
      </QuietButton>
      <QuietButton @click="typed = undefined">Leave it</QuietButton>
    </div>
  </div>
</template>

<style scoped>
.sheets {
  grid-column: 1 / -1;
}

.sheets > span {
  display: block;
  margin-bottom: 4px;
  font-size: 12px;
  color: var(--ink-soft);
}

ul {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  align-items: center;
  gap: 2px;
  min-height: 32px;
  padding: 0 4px 0 10px;
  border: 1px solid var(--rule);
  border-radius: var(--radius);
  font-size: 14px;
  white-space: nowrap;
}

li:not(:has(button)) {
  padding-right: 10px;
}

li.more {
  width: 148px;
  padding: 0;
  border: 0;
}

.sheets li button {
  display: grid;
  place-items: center;
  width: 24px;
  height: 24px;
  padding: 0;
  border: 0;
  border-radius: 4px;
  color: var(--ink-soft);
  background: none;
  cursor: pointer;
}

.sheets li button:hover {
  color: var(--ink);
  background: var(--leaf-pale);
}

.own {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 8px;
  margin-top: 8px;
}

.own .size {
  width: 220px;
}
</style>
