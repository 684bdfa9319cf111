<script setup lang="ts">
import {
  inchFraction,
  millimetres,
  platformLimits,
  type InsertChoice,
  type Unit,
} from '@rangoli/core';
import { computed } from 'vue';
import CrossButton from '../parts/CrossButton.vue';
import MeasureField from '../parts/MeasureField.vue';
import Pick from '../parts/Pick.vue';
import { useDressing } from './dressing.ts';
import PaperPick from './PaperPick.vue';

/** An insert: how it holds the gift, how high it is, its card. */
const props = defineProps<{ inside: InsertChoice; unit: Unit; project: string }>();

const dressing = useDressing();

const ways = [
  { value: 'a platform', label: 'on a platform' },
  { value: 'openings', label: 'through openings' },
  { value: 'notches', label: 'on a card, notched for elastic' },
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
  <li class="insert-entry">
    <strong>Insert</strong>
    <CrossButton label="Take the insert out" @click="dressing.takeOff(inside)" />
    <p v-if="missing" class="none">{{ missing }}</p>
    <Pick
      class="whole"
      label="How the insert holds the gift"
      :value="inside.holds.by"
      :options="ways"
      @change="setWay"
    />
    <PaperPick class="whole" :worn="inside" label="Insert" />
    <MeasureField
      v-if="raised !== undefined"
      class="whole"
      :field="`${project} ${inside.id} raised`"
      label="Its top over the floor"
      fault-from="right"
      :length="raised"
      :unit="unit"
      :least="platformLimits.least"
      :most="platformLimits.most"
      @change="setRaised"
    />
  </li>
</template>

<style scoped>
.insert-entry {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 26px;
  gap: 3px 6px;
  align-items: center;
  padding: 5px 0 3px 8px;
  border-left: 3px solid var(--line);
  font-size: 13px;
}

.none,
.whole {
  grid-column: 1 / -1;
}

.none {
  margin: 0;
  color: var(--ink-soft);
}
</style>
