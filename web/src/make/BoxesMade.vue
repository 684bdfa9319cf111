<script setup lang="ts">
import type { Papers, Plan } from '@rangoli/core';
import { RouterLink } from 'vue-router';
import FoldPicture from './FoldPicture.vue';
import MakeFooter from './MakeFooter.vue';
import MakeHeading from './MakeHeading.vue';
import TrialBox from './TrialBox.vue';

/** The end of the making: what was made, what it may teach, and the ways on. */
defineProps<{ figure: string; name: string; plan: Plan; papers: Papers }>();
const emit = defineEmits<{ learned: []; back: []; more: [] }>();
</script>

<template>
  <div class="made">
    <MakeHeading :figure="figure" :text="name" />
    <TrialBox @learned="emit('learned')" />
    <div class="drawing"><FoldPicture :plan="plan" :papers="papers" /></div>
    <MakeFooter left="" can-go-back @back="emit('back')">
      <button type="button" class="big" @click="emit('more')">Make more</button>
      <RouterLink class="big go" to="/">To the shelf</RouterLink>
    </MakeFooter>
  </div>
</template>

<style scoped>
.made {
  flex: 1;
  display: flex;
  flex-direction: column;
  gap: 10px;
  min-height: 0;
}

.drawing {
  flex: 1;
  min-width: 0;
  min-height: 0;
}

@media (max-width: 560px), (max-height: 520px) {
  .drawing {
    flex: none;
    height: 300px;
  }
}
</style>
