<script setup lang="ts">
import type { Passage } from '@rangoli/core';
import Worded from '../parts/Worded.vue';

/** What is read from two metres, and the whole instruction under it; of its passages the one at hand is bright. */
defineProps<{
  figure: string;
  text: string;
  aside?: string;
  passages?: readonly Passage[];
  at?: number;
}>();
</script>

<template>
  <div class="head">
    <h1 :class="{ long: figure.length > 16 }"><Worded :text="figure" /></h1>
    <p v-if="aside" class="aside"><Worded :text="aside" /></p>
  </div>
  <p v-if="passages && passages.length > 1">
    <template v-for="(passage, i) in passages" :key="i"
      ><span :class="{ waiting: passage.at !== undefined && passage.at !== at }"
        ><Worded :text="passage.text" /></span
      >{{ ' ' }}</template
    >
  </p>
  <p v-else><Worded :text="text" /></p>
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

.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 28px;
}

.head .aside {
  margin: 0;
  font-size: 18px;
  color: #d3e2dd;
}

.waiting {
  color: #a9c4bd;
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

@media (min-width: 561px) and (max-height: 520px) {
  h1 {
    font-size: 40px;
  }

  h1.long {
    font-size: 26px;
  }

  p {
    margin-top: 4px;
    font-size: 16px;
  }
}
</style>
