<script setup lang="ts">
/** Where the parts of the Box view lie: what is asked on the left, the mat in the middle, the cut list on the right. */
defineProps<{ name: string }>();
</script>

<template>
  <main class="desk" data-scrolls="desk">
    <h1 class="visually-hidden">{{ name }}</h1>
    <slot name="asked"><div class="waits" /></slot>
    <slot name="mat"><div class="waits mat-waits" /></slot>
    <slot />
  </main>
</template>

<style scoped>
.desk {
  flex: 1;
  display: grid;
  grid-template-columns: 276px minmax(0, 1fr) 344px;
  min-height: 0;
}

/* What a first step is about. */
.desk[data-step='gift'] :deep([data-first-step='gift']),
.desk[data-step='tools'] :deep([data-first-step='tools']),
.desk[data-step='cut list'] :deep([data-first-step='cut list']) {
  outline: 3px solid var(--turmeric);
  outline-offset: 2px;
  border-radius: var(--radius);
}

.desk[data-step='cut list'] :deep([data-first-step='cut list']) {
  outline-offset: -3px;
}

.waits {
  min-height: 100vh;
}

.mat-waits {
  background: var(--mat);
}

@media (max-width: 1100px) {
  .desk {
    grid-template-columns: 276px minmax(0, 1fr);
    grid-auto-rows: max-content;
    position: relative;
    overflow-y: auto;
  }

  .desk > :deep(.card) {
    grid-column: 1 / -1;
    overflow: visible;
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
  }

  .desk > :deep(.panel) {
    overflow: visible;
  }

  .desk > :deep(.mat) {
    min-height: 420px;
  }
}

@media (max-width: 640px) {
  .desk {
    display: flex;
    flex-direction: column;
  }

  .desk > :deep(.mat) {
    flex: none;
    grid-template-rows: 430px 290px;
    height: 720px;
  }
}
</style>
