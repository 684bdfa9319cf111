<script setup lang="ts">
import {
  faceLook,
  ownPrints,
  thicknessLimits,
  thicknessOf,
  weightOf,
  weightSchema,
  type KeptPaper,
  type Length,
  type PaperLesson,
  type Print,
  type Weight,
} from '@rangoli/core';
import InputNumber from 'primevue/inputnumber';
import { computed } from 'vue';
import ItemName from '../parts/ItemName.vue';
import PickField from '../parts/PickField.vue';
import ThicknessField from '../parts/ThicknessField.vue';
import PrintChoice from './PrintChoice.vue';
import SheetsField from './SheetsField.vue';
import TaughtFields from './TaughtFields.vue';

/** What a paper is, as its maker reads it off the pack or measures it. */
const props = defineProps<{ paper: KeptPaper; lesson: PaperLesson }>();
const emit = defineEmits<{
  change: [part: Partial<KeptPaper>];
  teach: [lesson: PaperLesson];
}>();

const prints = [
  { value: 'plain', label: 'no print' },
  { value: 'one face', label: 'on one face' },
  { value: 'both faces', label: 'on both faces' },
] as const;
const ways = [
  { value: 'any way', label: 'may lie any way' },
  { value: 'one way', label: 'has a way up' },
] as const;
const finishes = [
  { value: 'matt', label: 'matt' },
  { value: 'coated', label: 'coated' },
  { value: 'foil', label: 'foil' },
] as const;

/** No lighter or heavier card is so thin or so thick that it can be folded. */
const weights = computed(() => ({
  least: weightOf(thicknessLimits.least, props.paper.finish) ?? 30,
  most: weightOf(thicknessLimits.most, props.paper.finish) ?? 1000,
}));

/** What the paper weighs about, where the maker has not told. */
const about = computed(() => weightOf(props.paper.thickness, props.paper.finish));

/** The weight gives the thickness; who has measured it says so after. */
function setWeight(grams: number | null): void {
  if (grams === null) {
    emit('change', { weight: undefined });
    return;
  }
  const weight = weightSchema.safeParse(grams);
  if (weight.success)
    emit('change', {
      weight: weight.data,
      thickness: thicknessOf(weight.data, props.paper.finish),
    });
}

function setThickness(thickness: Length, weight: Weight | undefined): void {
  emit('change', { thickness, ...(weight !== undefined && { weight }) });
}

const back = computed(() => faceLook(props.paper, 'back'));

/** A print that is drawn with a way up tells so; of a picture its maker knows. */
function setFront(front: Print | undefined): void {
  const runs = front?.kind === 'own' ? { printRuns: ownPrints[front.print].runs } : {};
  emit('change', { front, ...runs });
}

function setBackPrint(print: Print | undefined): void {
  emit('change', { back: { ...props.paper.back, colour: back.value.colour, print } });
}

function setBackColour({ target }: Event): void {
  if (target instanceof HTMLInputElement)
    emit('change', { back: { ...props.paper.back, colour: target.value } });
}

function setColour(event: Event): void {
  if (event.target instanceof HTMLInputElement) emit('change', { colour: event.target.value });
}
</script>

<template>
  <div class="form">
    <ItemName :name="paper.name" what="paper" @change="(name) => emit('change', { name })" />
    <label>
      <span>Weight on the pack</span>
      <InputNumber
        :model-value="paper.weight ?? null"
        :placeholder="about === undefined ? '' : `about ${about} gsm`"
        suffix=" gsm"
        :min="weights.least"
        :max="weights.most"
        :use-grouping="false"
        size="small"
        fluid
        aria-label="Weight on the pack"
        @update:model-value="setWeight"
      />
    </label>
    <ThicknessField
      :field="`paper ${paper.id} thickness`"
      label="Thickness"
      :thickness="paper.thickness"
      :finish="paper.finish"
      @change="setThickness"
    />
    <label>
      <span>Colour</span>
      <input
        class="colour"
        type="color"
        aria-label="Colour"
        :value="paper.colour"
        @change="setColour"
      />
    </label>
    <PickField
      label="Print"
      :value="paper.print"
      :options="prints"
      @change="(print) => emit('change', { print })"
    />
    <PickField
      v-if="paper.print !== 'plain'"
      label="Its print"
      :value="paper.printRuns"
      :options="ways"
      @change="(printRuns) => emit('change', { printRuns })"
    />
    <label v-if="paper.print !== 'both faces'">
      <span>Colour of the back</span>
      <input
        class="colour"
        type="color"
        aria-label="Colour of the back"
        :value="back.colour"
        @change="setBackColour"
      />
    </label>
    <PickField
      label="Finish"
      :value="paper.finish"
      :options="finishes"
      @change="(finish) => emit('change', { finish })"
    />
    <PrintChoice
      v-if="paper.print !== 'plain'"
      face="front"
      :paper="paper.id"
      :colour="paper.colour"
      :print="paper.front"
      @change="setFront"
    />
    <template v-if="paper.print === 'both faces'">
      <label>
        <span>Colour of the back</span>
        <input
          class="colour"
          type="color"
          aria-label="Colour of the back"
          :value="back.colour"
          @change="setBackColour"
        />
      </label>
      <PrintChoice
        face="back"
        :paper="paper.id"
        :colour="back.colour"
        :print="back.print"
        @change="setBackPrint"
      />
    </template>
    <SheetsField
      :paper="paper.id"
      :sheets="paper.sheets"
      @change="(sheets) => emit('change', { sheets: [...sheets] })"
    />
    <TaughtFields :paper="paper" :lesson="lesson" @change="(lesson) => emit('teach', lesson)" />
  </div>
</template>

<style scoped>
.colour {
  display: block;
  width: 100%;
  height: 27px;
  padding: 2px 3px;
  border: 1px solid var(--rule);
  border-radius: var(--radius);
  background: var(--paper);
  cursor: pointer;
}
</style>
