<script setup lang="ts">
import { CircleCheck, HardDriveUpload } from '@lucide/vue';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { useKeeping } from '../stores/keeping.ts';

/** The bar over every view: the way back to the shelf, and the view's own tools. */
defineProps<{
  place: 'shelf' | 'box' | 'compare' | 'limits' | 'make' | 'kit' | 'papers' | 'kept';
  /** The open project, whose views the bar leads to. */
  project?: string;
}>();

const keeping = useKeeping();
/** How many changes the server does not have yet; told in every view, and in full where it leads to. */
const kept = computed(() => {
  const count = keeping.waiting.length;
  if (count > 0)
    return { title: 'Some changes are only on this device', figure: count, text: 'only here' };
  return keeping.isAway
    ? { title: 'The server doesn’t answer', figure: undefined, text: 'server away' }
    : { title: 'Everything is kept', figure: undefined, text: undefined };
});
</script>

<template>
  <header class="bar">
    <RouterLink to="/" class="brand"
      ><img src="/rangoli.svg" alt="" width="26" height="26" /><span>Rangoli</span></RouterLink
    >
    <nav aria-label="Views">
      <RouterLink to="/" :class="{ here: place === 'shelf' }">Shelf</RouterLink>
      <RouterLink to="/kit" :class="{ here: place === 'kit' }">Tools</RouterLink>
      <RouterLink to="/papers" :class="{ here: place === 'papers' }">Papers</RouterLink>
      <template v-if="project !== undefined">
        <RouterLink
          :to="{ name: 'box', params: { id: project } }"
          :class="{ here: place === 'box' }"
          >Box</RouterLink
        >
        <RouterLink
          :to="{ name: 'compare', params: { id: project } }"
          :class="{ here: place === 'compare' }"
          >Compare</RouterLink
        >
        <RouterLink
          :to="{ name: 'limits', params: { id: project } }"
          :class="{ here: place === 'limits' }"
          >What fits</RouterLink
        >
        <RouterLink
          :to="{ name: 'make', params: { id: project } }"
          :class="{ here: place === 'make' }"
          >Make</RouterLink
        >
      </template>
      <RouterLink
        to="/kept"
        class="kept"
        :class="{ here: place === 'kept', waits: kept.text !== undefined }"
        :title="kept.title"
        :aria-label="kept.title"
        ><HardDriveUpload v-if="kept.text" :size="17" aria-hidden="true" /><CircleCheck
          v-else
          :size="17"
          aria-hidden="true"
        />{{ kept.figure }}<span>{{ kept.text }}</span></RouterLink
      >
    </nav>
    <div class="middle"><slot /></div>
    <div class="tools"><slot name="tools" /></div>
  </header>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 18px;
  min-height: 52px;
  padding: 6px 16px;
  border-bottom: 1px solid var(--rule);
  background: var(--paper);
}

.brand {
  display: flex;
  align-items: center;
  gap: 9px;
  font: 700 20px var(--figures);
  color: var(--ink);
  text-decoration: none;
}

nav {
  display: flex;
  align-items: center;
  gap: 4px;
  font-weight: 600;
}

nav a,
nav span {
  padding: 5px 9px;
  border-radius: var(--radius);
  color: var(--ink-soft);
  text-decoration: none;
}

nav .here {
  color: var(--ink);
  background: var(--leaf-pale);
}

nav .kept span {
  padding: 0;
  color: inherit;
}

nav .kept {
  display: flex;
  gap: 6px;
  align-items: center;
  white-space: nowrap;
}

nav .waits {
  background: var(--turmeric-pale);
}

.middle {
  flex: 1;
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 12px;
  min-width: 0;
}

.tools {
  display: flex;
  flex: none;
  align-items: center;
  gap: 8px;
  white-space: nowrap;
}

.tools :deep(svg) {
  flex: none;
}

/* A choice fills its place; among tools it takes no more than it needs. */
.tools :deep(.p-selectbutton) {
  width: 112px;
}

@media (max-width: 1100px) {
  .bar {
    flex-wrap: wrap;
    gap: 8px 12px;
  }

  .middle {
    order: 5;
    flex-basis: 100%;
    justify-content: flex-start;
  }

  .tools {
    margin-left: auto;
  }

  .brand span {
    position: absolute;
    clip-path: inset(50%);
  }
}

@media (max-width: 920px) {
  .kept span {
    position: absolute;
    clip-path: inset(50%);
  }
}

@media (max-width: 560px) {
  nav {
    flex-wrap: wrap;
    gap: 0;
    font-size: 14px;
  }

  nav a {
    padding: 5px 8px;
  }
}
</style>
