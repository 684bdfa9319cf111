<script setup lang="ts">
import { RotateCw } from '@lucide/vue';

/** How the card is turned from one pass to the next, and the passes to choose one by hand. */
defineProps<{ turn: string; rest: string; passes: number; at: number }>();
const emit = defineEmits<{ choose: [pass: number] }>();
</script>

<template>
  <aside class="turn">
    <RotateCw :size="58" :stroke-width="2.2" aria-hidden="true" />
    <b>{{ turn }}</b>
    <span>{{ rest }}</span>
    <div class="passes" role="group" aria-label="Show one side">
      <button
        v-for="n in passes"
        :key="n"
        type="button"
        :aria-pressed="n - 1 === at"
        @click="emit('choose', n - 1)"
      >
        {{ n }}
      </button>
    </div>
  </aside>
</template>

<style scoped>
.turn {
  display: flex;
  flex: none;
  flex-direction: column;
  gap: 4px;
  width: 150px;
  padding-top: 26px;
  color: #d3e2dd;
}

.turn svg {
  flex: none;
}

.turn b {
  margin-top: 6px;
  font-size: 17px;
  color: #ffffff;
}

.passes {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 4px;
  margin-top: 8px;
}

.passes button {
  width: 34px;
  height: 34px;
  border: 2px solid #7fa79e;
  border-radius: 50%;
  font: 700 15px var(--figures);
  color: #ffffff;
  background: none;
  cursor: pointer;
}

.passes button[aria-pressed='true'] {
  border-color: var(--turmeric);
  color: var(--line);
  background: var(--turmeric);
}

.passes button:focus-visible {
  outline: 3px solid #ffffff;
  outline-offset: 2px;
}

@media (max-width: 560px) {
  .turn {
    flex-flow: row wrap;
    align-items: center;
    width: auto;
    padding: 0;
  }

  .turn svg {
    width: 30px;
    height: 30px;
  }

  .turn span {
    display: none;
  }

  .passes {
    margin: 0 0 0 auto;
  }
}
</style>
