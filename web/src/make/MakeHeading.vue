<script setup lang="ts">
import Worded from '../parts/Worded.vue';

/** What is read from two metres, and the whole instruction under it. */
defineProps<{ figure: string; text: string }>();
</script>

<template>
  <h1 :class="{ long: figure.length > 16 }"><Worded :text="figure" /></h1>
  <p><Worded :text="text" /></p>
</template>

<style scoped>
h1 {
  margin: 0;
  font: 800 74px/1 var(--figures);
  font-feature-settings: 'frac';
}

h1.long {
  font-size: 44px;
}

p {
  max-width: 46rem;
  margin: 8px 0 0;
  font-size: 20px;
  line-height: 1.3;
}

@media (max-width: 920px) {
  h1 {
    font-size: 60px;
  }

  h1.long {
    font-size: 34px;
  }

  p {
    font-size: 18px;
  }
}

@media (max-width: 560px) {
  h1 {
    font-size: 48px;
  }

  h1.long {
    font-size: 28px;
  }

  p {
    font-size: 16px;
  }
}
</style>
