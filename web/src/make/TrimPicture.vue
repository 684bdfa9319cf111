<script setup lang="ts">
import {
  papersOf,
  paperFor,
  type Plan,
  type PlanRequest,
  type CutOperation,
  type SheetUse,
} from '@rangoli/core';
import { computed } from 'vue';
import SheetPicture from './SheetPicture.vue';
import TrimmerDrawing from './TrimmerDrawing.vue';

/** A setting of the trimmer: the card under its blade, and where the cuts are on their sheets. */
const props = defineProps<{
  plan: Plan;
  request: PlanRequest;
  sheets: readonly SheetUse[];
  trim: CutOperation;
}>();

const colour = computed(() => {
  const piece = props.plan.pieces.find(({ id }) => id === props.trim.piece);
  return paperFor(papersOf(props.request), piece?.paper ?? 0).colour;
});
</script>

<template>
  <div class="picture">
    <TrimmerDrawing
      v-if="trim.tool === 'trimmer'"
      class="drawing"
      :trimmer="request.kit.trimmer"
      :trim="trim"
      :colour="colour"
    />
    <SheetPicture
      class="map"
      :class="{ alone: trim.tool === 'ruler' }"
      :plan="plan"
      :request="request"
      :sheets="sheets"
      :trim="trim"
    />
  </div>
</template>

<style scoped>
.picture {
  display: flex;
  gap: 26px;
  height: 100%;
}

.drawing {
  flex: 1;
}

.map {
  flex: none;
  width: 210px;
}

.map.alone {
  flex: 1;
}

@media (min-width: 561px) and (max-height: 520px) {
  .picture {
    gap: 14px;
  }

  .map {
    width: 120px;
  }
}

@media (max-width: 560px) {
  .picture {
    flex-direction: column;
    height: auto;
  }

  .drawing,
  .map {
    flex: none;
    width: auto;
    height: 260px;
  }

  /* The setting is read first, as large as the width allows. */
  .drawing {
    height: max(260px, min(50dvh, 100vw - 32px));
  }
}
</style>
