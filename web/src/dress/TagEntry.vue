<script setup lang="ts">
import {
  inchFraction,
  millimetres,
  tagLimits,
  zero,
  type TagChoice,
  type Unit,
} from '@rangoli/core';
import { Plus } from '@lucide/vue';
import { computed } from 'vue';
import MeasureField from '../parts/MeasureField.vue';
import Pick from '../parts/Pick.vue';
import QuietButton from '../parts/QuietButton.vue';
import { useProject } from '../stores/project.ts';
import { useDressing } from './dressing.ts';
import LayerRow from './LayerRow.vue';
import WornEntry from './WornEntry.vue';

/** A tag: its shape and size, its layers, its hole. */
const props = defineProps<{ hung: TagChoice; unit: Unit; project: string }>();

const dressing = useDressing();
const open = useProject();

interface Shape {
  readonly value: TagChoice['shape'];
  readonly label: string;
}

/** An end is shaped by a punch of the maker’s alone. */
const shapes = computed((): readonly Shape[] => {
  const endPunch = open.document?.box.kit.punches.find(({ shape }) => shape === 'end');
  return [
    { value: 'straight', label: 'square corners' },
    { value: 'clipped', label: 'top corners cut off' },
    { value: 'rounded', label: 'rounded corners' },
    ...(endPunch ? [{ value: 'shaped end', label: `${endPunch.name}, top` } as const] : []),
    { value: 'round', label: 'round' },
  ];
});

/** What decides its width is the punch, where an end is shaped. */
const isPunched = computed(() => props.hung.shape === 'shaped end' && !props.hung.isFolded);
const opens = [
  { value: 'single', label: 'single' },
  { value: 'folded', label: 'opens like a card' },
] as const;
const holes = [
  { value: 'hole', label: 'on a thread' },
  { value: 'none', label: 'stuck on' },
] as const;
const stands = [
  { value: 'flat', label: 'glued flat' },
  { value: 'foam', label: 'on foam squares' },
] as const;

/** The uppermost layer is shown uppermost. */
const layers = computed(() => props.hung.layers.map((layer, at) => ({ layer, at })).reverse());
const limits = { least: zero, most: tagLimits.mostMargin };

function changeLayer(at: number, part: Partial<TagChoice['layers'][number]>): void {
  const changed = props.hung.layers.map((layer, i) => (i === at ? { ...layer, ...part } : layer));
  dressing.replace(`layer ${at} ${Object.keys(part).join()}`, { ...props.hung, layers: changed });
}

function addLayer(): void {
  const paper = dressing.paperOver(props.hung.layers.map((each) => each.paper.id));
  if (!paper) return;
  const margin = props.unit === 'inch' ? inchFraction(1, 8) : millimetres(3);
  const added = { margin, paper, standsOff: false };
  dressing.replace('layer', { ...props.hung, layers: [...props.hung.layers, added] });
}

function removeLayer(at: number): void {
  dressing.replace('fewer layers', {
    ...props.hung,
    layers: props.hung.layers.filter((_, i) => i !== at),
  });
}
</script>

<template>
  <WornEntry :worn="hung" name="Tag" removal="Take the tag off">
    <template #beside>
      <Pick
        label="Shape of the tag"
        :value="hung.shape"
        :options="shapes"
        @change="(shape) => dressing.replace('shape', { ...hung, shape })"
      />
    </template>
    <div class="pair">
      <MeasureField
        v-if="!isPunched"
        :field="`${project} ${hung.id} width`"
        :label="hung.shape === 'round' ? 'Tag across' : 'Tag width'"
        :length="hung.width"
        :unit="unit"
        :least="tagLimits.least"
        :most="tagLimits.most"
        @change="(width) => dressing.replace('width', { ...hung, width })"
      />
      <MeasureField
        v-if="hung.shape !== 'round'"
        :field="`${project} ${hung.id} height`"
        label="Tag height"
        fault-from="right"
        :length="hung.height"
        :unit="unit"
        :least="tagLimits.least"
        :most="tagLimits.most"
        @change="(height) => dressing.replace('height', { ...hung, height })"
      />
    </div>
    <div class="pair">
      <Pick
        v-if="hung.shape !== 'round'"
        label="Whether the tag opens"
        :value="hung.isFolded ? 'folded' : 'single'"
        :options="opens"
        @change="(way) => dressing.replace('opens', { ...hung, isFolded: way === 'folded' })"
      />
      <Pick
        label="How the tag is put on"
        :value="hung.hasHole ? 'hole' : 'none'"
        :options="holes"
        @change="(way) => dressing.replace('hole', { ...hung, hasHole: way === 'hole' })"
      />
    </div>
    <template v-for="{ layer, at } in layers" :key="at">
      <LayerRow
        of="Tag"
        :name="at === 0 ? 'The tag itself' : `Layer ${at + 1}`"
        :paper="layer.paper"
        :margin="at === 0 ? undefined : layer.margin"
        :limits="limits"
        :field="`${project} ${hung.id} ${at} margin`"
        :unit="unit"
        :may-go="at > 0"
        @paper="(paper) => changeLayer(at, { paper })"
        @margin="(margin) => changeLayer(at, { margin })"
        @remove="removeLayer(at)"
      />
      <Pick
        v-if="at > 0"
        :label="`Tag, layer ${at + 1}: how it is stuck`"
        :value="layer.standsOff ? 'foam' : 'flat'"
        :options="stands"
        @change="(way) => changeLayer(at, { standsOff: way === 'foam' })"
      />
    </template>
    <QuietButton v-if="hung.layers.length < tagLimits.mostLayers" class="row more" @click="addLayer"
      ><Plus :size="15" />Layer on top</QuietButton
    >
  </WornEntry>
</template>

<style scoped>
.more {
  justify-self: start;
  font-size: 13px;
}
</style>
