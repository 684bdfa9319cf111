<script setup lang="ts">
/** How many pieces are through the step: a square for each, or a figure where there are many. */
defineProps<{ done: number; copies: number; counted: string }>();
</script>

<template>
  <div class="count" role="status">
    <span class="words">{{ counted }}</span>
    <span v-if="copies <= 12" class="squares" aria-hidden="true">
      <i v-for="i in copies" :key="i" :class="{ full: i <= done }" />
    </span>
    <span :class="copies <= 12 ? 'visually-hidden' : 'figures'">{{ done }} of {{ copies }}</span>
  </div>
</template>

<style scoped>
.count {
  flex: none;
  max-width: 100%;
  text-align: right;
}

.words {
  display: block;
  margin-bottom: 6px;
  font-size: 15px;
}

.squares {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: 6px;
}

i {
  width: 20px;
  height: 20px;
  border: 2px solid #7fa79e;
  border-radius: 5px;
}

.full {
  border-color: var(--leaf-on-ink);
  background: var(--leaf-on-ink);
}

.figures {
  font: 700 24px var(--figures);
}

@media (max-width: 560px) {
  .count {
    text-align: left;
  }

  .squares {
    justify-content: flex-start;
  }
}
</style>
