<script setup lang="ts">
import { cutUnit } from '@rangoli/core';
import type { Kit, PieceChange } from '@rangoli/core';
import MeasureSize from '../parts/MeasureSize.vue';
import MeasureText from '../parts/MeasureText.vue';

/** What a piece was in the box that this one was made from. */
defineProps<{ change: PieceChange | undefined; kit: Kit }>();
</script>

<template>
  <p v-if="change" class="was" :class="{ same: change.sameSize && change.sameScores }">
    <template v-if="!change.was">A piece that the other box did not have</template>
    <template v-else-if="change.sameSize && change.sameScores">The same as before</template>
    <template v-else>
      <template v-if="change.sameSize">size stays{{ ', ' }}</template>
      <template v-else
        >was
        <MeasureSize
          :lengths="[change.was.width, change.was.height]"
          :unit="cutUnit(kit)"
          with-unit
        />{{ ', ' }}</template
      ><template v-if="change.sameScores">scores stay</template
      ><template v-else
        >scores were at
        <template v-for="(reading, i) in change.was.readings" :key="i"
          >{{ i > 0 ? ', ' : '' }}<MeasureText :length="reading" :unit="kit.board.unit" /></template
      ></template>
    </template>
  </p>
</template>

<style scoped>
.was {
  margin: -2px 0 4px;
  font-size: 13px;
  color: var(--ink-soft);
}

.was.same {
  color: var(--leaf);
}
</style>
