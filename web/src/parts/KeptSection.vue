<script setup lang="ts">
/** Kept things of one sort, in two columns. */
defineProps<{ title: string; isDim: boolean }>();
</script>

<template>
  <section :aria-label="title">
    <header>
      <h2>{{ title }}</h2>
      <slot name="acts" />
    </header>
    <ul :class="{ dim: isDim }">
      <slot />
    </ul>
  </section>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 22px;
  margin: 22px 0 6px;
}

h2 {
  margin: 0;
  font: 700 20px var(--figures);
}

ul {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 28px;
  margin: 0;
  padding: 0;
  list-style: none;
}

ul.dim {
  opacity: 0.45;
}

@media (max-width: 920px) {
  ul {
    grid-template-columns: 1fr;
  }
}
</style>
