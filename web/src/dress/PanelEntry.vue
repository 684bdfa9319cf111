<script setup lang="ts">
import { marginLimits, mostLayers, type PanelChoice, type Unit } from '@rangoli/core';
import { Plus } from '@lucide/vue';
import { computed } from 'vue';
import CrossButton from '../parts/CrossButton.vue';
import Pick from '../parts/Pick.vue';
import QuietButton from '../parts/QuietButton.vue';
import { whereWorn } from './dress-words.ts';
import { useDressing } from './dressing.ts';
import LayerRow from './LayerRow.vue';
import { usePointing } from './pointing.ts';

/** A panel that the box wears: its layers with their papers and margins, to be changed in place. */
const props = defineProps<{ panel: PanelChoice; unit: Unit; project: string }>();

const dressing = useDressing();
const pointing = usePointing();

const faces = computed(() => dressing.facesOf(props.panel));
const where = computed(() => whereWorn(props.panel, faces.value));
const isInHand = computed(() => faces.value.some(({ face }) => pointing.isInHand(face)));
const isCovered = computed(() => faces.value.some((face) => face.isCovered));
/** The uppermost layer is shown uppermost. */
const layers = computed(() => props.panel.layers.map((layer, at) => ({ layer, at })).reverse());

const covers = [
  { value: 'counted', label: 'goes under it, and it is made larger' },
  { value: 'ends', label: 'ends below it' },
] as const;

/** Why it is not on the box, where it is not. */
const missing = computed(() => {
  switch (dressing.whyMissing(props.panel)) {
    case 'no such face':
      return 'This kind of box has no such face: the panel is left off.';
    case 'worn already':
      return 'Another panel lies there already: this one is left off there.';
    default:
      return undefined;
  }
});

function layerName(at: number): string {
  if (props.panel.layers.length === 1) return 'Panel';
  return at === 0 ? 'On the box' : `Layer ${at + 1}`;
}
</script>

<template>
  <li
    class="panel-entry"
    :class="{ held: isInHand }"
    @pointerenter="pointing.hover(faces[0]?.face)"
    @pointerleave="pointing.hover(undefined)"
  >
    <div class="where">
      <strong>{{ where }}</strong>
      <CrossButton :label="`Take the panel off: ${where}`" @click="dressing.takeOff(panel)" />
    </div>
    <p v-if="missing" class="none">{{ missing }}</p>
    <LayerRow
      v-for="{ layer, at } in layers"
      :key="at"
      :of="where"
      :name="layerName(at)"
      :paper="layer.paper"
      :margin="layer.margin"
      :limits="marginLimits"
      :field="`${project} ${panel.id} ${at} margin`"
      :unit="unit"
      :may-go="panel.layers.length > 1"
      @paper="(paper) => dressing.changeLayer(panel, at, { paper })"
      @margin="(margin) => dressing.changeLayer(panel, at, { margin })"
      @remove="dressing.removeLayer(panel, at)"
    />
    <label v-if="isCovered" class="cover">
      <span>Where something goes over it, the panel</span>
      <Pick
        :label="`${where}: under what goes over it`"
        :value="panel.underCover"
        :options="covers"
        @change="(way) => dressing.setUnderCover(panel, way)"
      />
    </label>
    <QuietButton
      v-if="panel.layers.length < mostLayers"
      class="more"
      @click="dressing.addLayer(panel)"
      ><Plus :size="15" />Layer on top</QuietButton
    >
  </li>
</template>

<style scoped>
.panel-entry {
  display: grid;
  gap: 3px;
  padding: 5px 0 3px 8px;
  border-left: 3px solid var(--line);
}

.held {
  border-left-color: var(--turmeric);
}

.where {
  display: flex;
  align-items: center;
  justify-content: space-between;
  font-size: 13px;
}

.cover {
  display: grid;
  gap: 2px;
  font-size: 12px;
  color: var(--ink-soft);
}

.none {
  font-size: 13px;
  color: var(--ink-soft);
}

.more {
  justify-self: start;
  font-size: 13px;
}
</style>
