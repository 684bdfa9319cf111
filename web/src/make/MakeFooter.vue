<script setup lang="ts">
/** The way back, what is left, and the buttons of what is shown: `big`, and `go` for the one to press. */
defineProps<{ left: string; canGoBack: boolean }>();
const emit = defineEmits<{ back: [] }>();
</script>

<template>
  <footer>
    <button type="button" class="big" :disabled="!canGoBack" @click="emit('back')">Back</button>
    <span class="left">{{ left }}</span>
    <slot />
  </footer>
</template>

<style scoped>
/* They stay at the foot of the bench, whatever is scrolled over them. */
footer {
  position: sticky;
  z-index: 2;
  bottom: 0;
  display: flex;
  align-items: center;
  gap: 12px;
  margin: auto -30px 0 -34px;
  padding: 6px 30px 18px 34px;
  background: var(--mat);
}

.left {
  flex: 1;
  font-size: 15px;
  color: #d3e2dd;
}

footer :deep(.big) {
  min-height: 52px;
  padding: 0 26px;
  border: 0;
  border-radius: 10px;
  font: 700 17px/52px var(--text);
  text-decoration: none;
  color: #ffffff;
  background: #2d5f59;
  cursor: pointer;
}

footer :deep(.big:disabled) {
  opacity: 0.45;
  cursor: default;
}

footer :deep(.go) {
  color: var(--line);
  background: var(--turmeric);
}

footer :deep(.big:focus-visible) {
  outline: 3px solid #ffffff;
  outline-offset: 2px;
}

@media (max-width: 920px) {
  footer {
    margin: auto -16px 0;
    padding: 6px 16px 14px;
  }
}

@media (max-width: 560px), (max-height: 520px) {
  footer {
    padding: 10px 16px;
  }
}

@media (min-width: 561px) and (max-height: 520px) {
  footer {
    padding: 6px 16px;
  }

  footer :deep(.big) {
    min-height: 44px;
    line-height: 44px;
  }
}

@media (max-width: 560px) {
  .left {
    display: none;
  }

  footer :deep(.big) {
    flex: 1;
    padding: 4px 8px;
    font-size: 16px;
    line-height: 1.2;
    text-align: center;
  }

  footer :deep(.go) {
    flex: 1.6;
  }
}
</style>
