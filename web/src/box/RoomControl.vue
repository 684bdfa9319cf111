<script setup lang="ts">
import {
  directedRoom,
  evenRoom,
  formatWithUnit,
  inchFraction,
  millimetres,
  roomLimit,
  roomStops,
  type Direction,
  type Length,
  type Room,
  type Unit,
} from '@rangoli/core';
import Slider from 'primevue/slider';
import { computed } from 'vue';
import MeasureField from '../parts/MeasureField.vue';
import MeasureText from '../parts/MeasureText.vue';
import { placeOfRoom, roomAt, roomSteps } from './room-scale.ts';

/** Room round the gift: one slider for all of it, and a field for each direction. */
const props = defineProps<{ room: Room; unit: Unit; project: string }>();
const emit = defineEmits<{ change: [room: Room, what: string] }>();

const isEven = computed(
  () =>
    props.room.across.target === props.room.deep.target &&
    props.room.deep.target === props.room.high.target,
);
const place = computed(() => Math.round(placeOfRoom(props.room.across.target)));
const ways: readonly { readonly direction: Direction; readonly label: string }[] = [
  { direction: 'across', label: 'Sides' },
  { direction: 'deep', label: 'Front, back' },
  { direction: 'high', label: 'Top' },
];
const step = computed(() => (props.unit === 'inch' ? inchFraction(1, 32) : millimetres(0.5)));

/** What the slider says for itself. */
const said = computed(() =>
  isEven.value
    ? `${formatWithUnit(props.room.across.target, props.unit)} each side`
    : `${formatWithUnit(props.room.across.target, props.unit)} at the sides`,
);

function slide(value: number | number[]): void {
  if (typeof value === 'number') emit('change', evenRoom(roomAt(value, props.unit)), 'room');
}

function set(direction: Direction, target: Length): void {
  emit('change', { ...props.room, [direction]: directedRoom(target) }, `room ${direction}`);
}
</script>

<template>
  <section aria-labelledby="room-heading">
    <h3 id="room-heading">
      <span>Room around it</span>
      <strong v-if="isEven"
        ><MeasureText :length="room.across.target" :unit="unit" with-unit /> each side</strong
      >
      <strong v-else>by direction</strong>
    </h3>
    <Slider
      :model-value="place"
      :min="0"
      :max="roomSteps"
      :step="5"
      aria-label="Room around the gift"
      :pt="{ handle: { 'aria-valuetext': said } }"
      @update:model-value="slide"
    />
    <div class="stops">
      <button
        v-for="stop in roomStops"
        :key="stop.name"
        type="button"
        @click="slide(placeOfRoom(stop.target))"
      >
        {{ stop.name }}
      </button>
    </div>
    <div class="ways">
      <MeasureField
        v-for="way in ways"
        :key="way.direction"
        :field="`${project} room.${way.direction}`"
        :label="way.label"
        :length="room[way.direction].target"
        :unit="unit"
        :least="millimetres(0)"
        :most="roomLimit"
        :step="step"
        :fault-from="way.direction === 'high' ? 'right' : 'left'"
        @change="(target) => set(way.direction, target)"
      />
    </div>
  </section>
</template>

<style scoped>
h3 {
  display: flex;
  justify-content: space-between;
  font: 600 13px var(--text);
  color: var(--ink-soft);
  margin-bottom: 10px;
}

h3 strong {
  color: var(--ink);
}

.p-slider {
  margin: 4px 12px 0;
}

.stops {
  display: flex;
  justify-content: space-between;
  margin-top: 12px;
}

.stops button {
  padding: 2px 0;
  border: 0;
  background: none;
  font-size: 12px;
  color: var(--ink-soft);
  cursor: pointer;
}

.stops button:hover {
  color: var(--ink);
  text-decoration: underline;
}

.ways {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
  margin-top: 2px;
}
</style>
