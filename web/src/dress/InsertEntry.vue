<script setup lang="ts">
import {
  inchFraction,
  millimetres,
  platformLimits,
  type InsertChoice,
  type Unit,
} from '@rangoli/core';
import { computed } from 'vue';
import MeasureField from '../parts/MeasureField.vue';
import Pick from '../parts/Pick.vue';
import { useDressing } from './dressing.ts';
import PaperPick from './PaperPick.vue';
import WornEntry from './WornEntry.vue';

/** An insert: how it holds the gift, how high it is, its card. */
const props = defineProps<{ inside: InsertChoice; unit: Unit; project: string }>();

const dressing = useDressing();

const ways = [
  { value: 'a platform', label: 'on a platform' },
  { value: 'openings', label: 'through openings' },
  { value: 'notches', label: 'on a card with notches' },
  { value: 'slits', label: 'on a card, by two slits' },
] as const;
type Way = (typeof ways)[number]['value'];

const raised = computed(() => {
  const { holds } = props.inside;
  return holds.by === 'a platform' || holds.by === 'openings' ? holds.raised : undefined;
});

const missing = computed(() => {
  if (dressing.whyMissing(props.inside) === undefined) return undefined;
  switch (props.inside.holds.by) {
    case 'openings':
      return 'It stands on a free flat floor, with card round every opening: here it is left out.';
    case 'slits':
      return 'The gift is too large for slits in this floor: the insert is left out.';
    default:
      return 'This kind of box has no free flat floor: the insert is left out.';
  }
});

function setWay(by: Way): void {
  const usual = props.unit === 'inch' ? inchFraction(3, 4) : millimetres(20);
  const holds =
    by === 'a platform' || by === 'openings' ? { by, raised: raised.value ?? usual } : { by };
  dressing.replace('holds', { ...props.inside, holds });
}

function setRaised(to: typeof platformLimits.least): void {
  const { holds } = props.inside;
  if (holds.by === 'a platform' || holds.by === 'openings')
    dressing.replace('raised', { ...props.inside, holds: { ...holds, raised: to } });
}
</script>

<template>
  <WornEntry :worn="inside" name="Insert" removal="Take the insert out" :missing="missing">
    <Pick
      label="How the insert holds the gift"
      :value="inside.holds.by"
      :options="ways"
      @change="setWay"
    />
    <PaperPick :worn="inside" label="Insert" />
    <MeasureField
      v-if="raised !== undefined"
      :field="`${project} ${inside.id} raised`"
      label="Height over the floor"
      fault-from="right"
      :length="raised"
      :unit="unit"
      :least="platformLimits.least"
      :most="platformLimits.most"
      @change="setRaised"
    />
  </WornEntry>
</template>
