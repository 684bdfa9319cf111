<script setup lang="ts">
import TurnAside from './TurnAside.vue';

/** A tool with the card on it, and beside it how the card is turned, where it is. */
defineProps<{
  turn: { readonly turn: string; readonly rest: string } | undefined;
  passes: number;
  at: number;
}>();
const emit = defineEmits<{ choose: [pass: number] }>();
</script>

<template>
  <div class="picture">
    <div class="drawing"><slot /></div>
    <TurnAside
      v-if="turn"
      v-bind="turn"
      :passes="passes"
      :at="at"
      @choose="(pass) => emit('choose', pass)"
    />
  </div>
</template>

<style scoped>
.picture {
  display: flex;
  gap: 22px;
  height: 100%;
}

.drawing {
  flex: 1;
  min-width: 0;
  min-height: 0;
}

@media (max-width: 560px) {
  .picture {
    flex-direction: column;
    height: auto;
  }

  .drawing {
    flex: none;
    height: max(300px, 50dvh);
  }
}
</style>
