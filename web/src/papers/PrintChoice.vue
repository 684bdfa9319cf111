<script setup lang="ts">
import {
  formatWithUnit,
  inchFraction,
  largest,
  millimetres,
  ownPrints,
  ownPrintSchema,
  repeatLimits,
  repeatOf,
  roundToGrid,
  type Length,
  type OwnPrintId,
  type Print,
} from '@rangoli/core';
import { computed, useId } from 'vue';
import MeasureField from '../parts/MeasureField.vue';
import { isDark } from '../parts/colour.ts';
import PrintSwatch from '../prints/PrintSwatch.vue';
import { useUsualUnit } from '../stores/usual-unit.ts';
import PictureUpload from './PictureUpload.vue';

/** What a face of a paper shows: one of Rangoli’s prints in a colour of its own, or a picture of the maker’s paper. */
const props = defineProps<{
  /** Which of the paper’s faces it is. */
  face: 'front' | 'back';
  paper: string;
  colour: string;
  print: Print | undefined;
}>();
const emit = defineEmits<{ change: [print: Print | undefined] }>();

const id = useId();
const unit = useUsualUnit();

const own = computed(() =>
  ownPrintSchema.options.map((each) => ({ id: each, name: ownPrints[each].name })),
);

/** A new print is drawn lighter or darker than its paper, or in the colour that the last one had. */
const ink = computed(() =>
  props.print?.kind === 'own' ? props.print.ink : isDark(props.colour) ? '#f0e6cc' : '#24365e',
);

function ownPrint(print: OwnPrintId): Print {
  return { kind: 'own', print, ink: ink.value, across: ownPrints[print].usually };
}

function isChosen(print: OwnPrintId): boolean {
  return props.print?.kind === 'own' && props.print.print === print;
}

function setInk(event: Event): void {
  if (event.target instanceof HTMLInputElement && props.print?.kind === 'own')
    emit('change', { ...props.print, ink: event.target.value });
}

function setAcross(across: Length): void {
  if (props.print) emit('change', { ...props.print, across });
}

/** How high a repeat comes out: nobody measures that nearer than to a mark. */
const repeat = computed(() => {
  if (!props.print) return '';
  const mark = unit.value === 'inch' ? inchFraction(1, 16) : millimetres(1);
  const high = largest(mark, roundToGrid(repeatOf(props.print).height, mark));
  return `It is about ${formatWithUnit(high, unit.value)} high.`;
});
</script>

<template>
  <fieldset>
    <legend>{{ face === 'front' ? 'The print' : 'The print on the back' }}</legend>
    <div class="swatches" role="group" :aria-label="`What the ${face} shows`">
      <button
        v-for="each in own"
        :key="each.id"
        type="button"
        :aria-pressed="isChosen(each.id)"
        @click="emit('change', ownPrint(each.id))"
      >
        <PrintSwatch :colour="colour" :print="ownPrint(each.id)" />
        {{ each.name }}
      </button>
      <PictureUpload
        :colour="colour"
        :print="print?.kind === 'picture' ? print : undefined"
        @change="(picture) => emit('change', picture)"
      />
    </div>
    <div v-if="print" class="more">
      <label v-if="print.kind === 'own'" :for="id">
        <span>Drawn in</span>
        <input :id="id" class="ink" type="color" :value="print.ink" @change="setInk" />
      </label>
      <MeasureField
        :field="`paper ${paper} ${face} repeat`"
        label="Width of one repeat"
        :length="print.across"
        :unit="unit"
        :least="repeatLimits.least"
        :most="repeatLimits.most"
        @change="setAcross"
      />
      <p>{{ repeat }}</p>
    </div>
  </fieldset>
</template>

<style scoped>
fieldset {
  grid-column: 1 / -1;
  min-width: 0;
  margin: 0;
  padding: 0;
  border: 0;
}

legend,
label > span {
  display: block;
  margin-bottom: 4px;
  padding: 0;
  font-size: 12px;
  color: var(--ink-soft);
}

.swatches {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.swatches :deep(button) {
  display: grid;
  gap: 3px;
  justify-items: center;
  width: 86px;
  padding: 4px 4px 5px;
  border: 1px solid var(--rule);
  border-radius: var(--radius);
  font: 12.5px/1.2 var(--text);
  color: var(--ink);
  background: var(--paper);
  cursor: pointer;
}

.swatches :deep(button[aria-pressed='true']) {
  border-color: var(--ink);
  outline: 2px solid var(--turmeric);
  outline-offset: 0;
  font-weight: 600;
}

.more {
  display: grid;
  grid-template-columns: 90px 150px 1fr;
  gap: 10px;
  align-items: end;
  margin-top: 8px;
}

.more p {
  margin: 0 0 5px;
  font-size: 13px;
  color: var(--ink-soft);
}

.ink {
  display: block;
  width: 100%;
  height: 29px;
  padding: 2px 3px;
  border: 1px solid var(--rule);
  border-radius: var(--radius);
  background: var(--paper);
  cursor: pointer;
}

@media (width <= 560px) {
  .more {
    grid-template-columns: 90px 1fr;
  }

  .more p {
    grid-column: 1 / -1;
  }
}
</style>
