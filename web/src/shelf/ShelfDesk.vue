<script setup lang="ts">
/** Where the parts of the shelf lie: its name, how many boxes there are and how they are sifted, over the boxes. */
defineProps<{
  /** How many boxes there are of what is looked for; undefined where that isn’t known. */
  total: number | undefined;
}>();
</script>

<template>
  <main>
    <div class="head">
      <h1>Shelf</h1>
      <p v-if="total" class="quiet">{{ total }} {{ total === 1 ? 'box' : 'boxes' }}</p>
      <slot name="filter" />
    </div>
    <slot />
  </main>
</template>

<style scoped>
main {
  max-width: 1320px;
  margin: 0 auto;
  padding: 22px 24px 80px;
}

.head {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 12px;
  margin-bottom: 14px;
}

h1 {
  font-size: 26px;
}
</style>
