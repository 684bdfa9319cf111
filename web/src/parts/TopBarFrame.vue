<script setup lang="ts">
import { Menu } from '@lucide/vue';
import { onClickOutside } from '@vueuse/core';
import { computed, ref, useId, useTemplateRef, watch } from 'vue';
import { RouterLink, useRoute, type RouteLocationRaw } from 'vue-router';
import { beside } from './beside.ts';
import { focusMain } from './focus-main.ts';
import NavLinks from './NavLinks.vue';
import { useEscape } from './use-escape.ts';
import type { Place } from './use-title.ts';

/**
 * The bar over every view as it lies there, one row at every width: the way back to the shelf, the other views, the name
 * of the open box and the view’s own tools. What a narrow window has no room for is in its menu.
 */
const props = defineProps<{
  place: Place;
  /** The open project, whose views the bar leads to. */
  project?: string;
}>();

/** The maker’s tools and papers stand beside the box that they are gone to from. */
const places = computed(() => [
  { place: 'shelf', to: '/', said: 'Shelf' },
  { place: 'kit', to: toBeside('kit'), said: 'Tools' },
  { place: 'papers', to: toBeside('papers'), said: 'Papers' },
]);

function toBeside(place: 'kit' | 'papers'): RouteLocationRaw {
  return props.project === undefined ? { name: place } : beside(place, props.project);
}

const viewsOfBox = [
  { place: 'box', said: 'Box' },
  { place: 'compare', said: 'Compare' },
  { place: 'limits', said: 'What fits' },
  { place: 'make', said: 'Make' },
] as const;

const views = computed(() =>
  props.project === undefined
    ? []
    : viewsOfBox.map((each) => ({
        ...each,
        to: { name: each.place, params: { id: props.project } },
      })),
);
const here = computed(() => viewsOfBox.find(({ place }) => place === props.place)?.said ?? 'Menu');

const menu = useId();
const isOpen = ref(false);
const opener = useTemplateRef<HTMLElement>('opener');
onClickOutside(useTemplateRef<HTMLElement>('panel'), () => (isOpen.value = false), {
  ignore: [opener],
});
const route = useRoute();
watch(
  () => route.fullPath,
  () => (isOpen.value = false),
);

useEscape(
  () => isOpen.value,
  () => {
    isOpen.value = false;
    opener.value?.focus();
  },
);
</script>

<template>
  <header class="bar" :class="{ 'of-box': project !== undefined }">
    <button type="button" class="skip" @click="focusMain">Past the bar</button>
    <RouterLink to="/" class="brand"
      ><img src="/rangoli.svg" alt="" width="26" height="26" /><span>Rangoli</span></RouterLink
    >
    <button
      v-if="project !== undefined"
      ref="opener"
      type="button"
      class="opener"
      :aria-expanded="isOpen"
      :aria-controls="menu"
      @click="isOpen = !isOpen"
    >
      <Menu :size="19" aria-hidden="true" /><span class="now">{{ here }}</span
      ><span class="visually-hidden">, all views</span>
    </button>
    <div :id="menu" ref="panel" class="panel" :class="{ open: isOpen }">
      <NavLinks class="links places" label="Views" :links="places" :place="place">
        <slot name="kept" />
      </NavLinks>
      <NavLinks
        v-if="views.length > 0"
        class="links in-menu"
        label="Views of the box"
        :links="views"
        :place="place"
      />
      <div class="tools more"><slot name="more" /></div>
    </div>
    <NavLinks
      v-if="views.length > 0"
      class="views"
      label="Views of the box"
      :links="views"
      :place="place"
    />
    <div class="middle"><slot /></div>
    <div v-if="$slots.waits" class="waits-here"><slot name="waits" /></div>
    <div class="tools own"><slot name="tools" /></div>
  </header>
</template>

<style scoped>
.bar {
  position: relative;
  display: flex;
  align-items: center;
  gap: 14px;
  height: 52px;
  padding: 0 16px;
  border-bottom: 1px solid var(--rule);
  background: var(--paper);
}

.brand {
  display: flex;
  flex: none;
  align-items: center;
  gap: 9px;
  font: 700 20px var(--figures);
  color: var(--ink);
  text-decoration: none;
}

.skip {
  position: absolute;
  z-index: 70;
  left: 10px;
  clip-path: inset(50%);
  min-height: 36px;
  padding: 0 12px;
  border: 2px solid var(--ink);
  border-radius: var(--radius);
  font: 600 15px var(--text);
  background: var(--turmeric-pale);
}

.skip:focus-visible {
  clip-path: none;
}

.opener {
  display: none;
  flex: none;
  align-items: center;
  gap: 7px;
  min-height: 36px;
  padding: 0 9px;
  border: 1px solid var(--rule);
  border-radius: var(--radius);
  font: 600 15px var(--text);
  color: var(--ink);
  background: var(--paper);
  cursor: pointer;
}

.opener[aria-expanded='true'] {
  background: var(--leaf-pale);
}

/* In a wide window all of it stands in the row. */
.panel {
  display: contents;
}

.places {
  order: 1;
}

.views {
  order: 2;
}

.middle {
  order: 3;
}

.waits-here {
  display: none;
  order: 4;
}

.own {
  order: 5;
}

.more {
  order: 6;
}

.bar .in-menu {
  display: none;
}

.of-box .places {
  padding-right: 10px;
  border-right: 1px solid var(--rule);
}

.middle {
  flex: 1;
  display: flex;
  align-items: center;
  gap: 12px;
  min-width: 0;
}

/* The name of the box stands where it is edited in the Box view. */
.middle :slotted(.box-name) {
  overflow: hidden;
  min-width: 0;
  padding: 4px 9px;
  font: 700 16px var(--figures);
  text-overflow: ellipsis;
  white-space: nowrap;
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

@media (max-width: 1399px) {
  .of-box .brand span {
    position: absolute;
    clip-path: inset(50%);
  }
}

@media (max-width: 1239px) {
  .of-box .opener {
    display: flex;
  }

  .of-box .now {
    position: absolute;
    clip-path: inset(50%);
  }

  .of-box .waits-here {
    display: flex;
    flex: none;
  }

  .waits-here :deep(.kept) {
    padding: 5px 9px;
    border-radius: var(--radius);
  }

  .waits-here :deep(span) {
    position: absolute;
    clip-path: inset(50%);
  }

  .of-box .panel {
    position: absolute;
    z-index: 60;
    top: 100%;
    left: 8px;
    display: none;
    gap: 10px;
    min-width: 240px;
    max-width: calc(100vw - 16px);
    max-height: calc(100vh - 60px);
    padding: 12px;
    overflow: auto;
    border: 1px solid var(--rule);
    border-radius: 0 0 var(--radius) var(--radius);
    background: var(--paper);
    box-shadow: 0 10px 30px rgb(20 40 36 / 0.22);
  }

  .of-box .panel :deep(.kept span) {
    display: none;
  }

  .of-box .panel :deep(.kept .in-full) {
    position: static;
    display: inline;
    clip-path: none;
  }

  .of-box .panel.open {
    display: grid;
  }

  .of-box .panel .links {
    display: grid;
    gap: 2px;
    padding: 0;
    border: 0;
  }

  .of-box .panel .in-menu {
    display: none;
  }

  .of-box .panel :deep(a) {
    display: flex;
    align-items: center;
    min-height: 40px;
    padding: 0 12px;
  }

  .panel .more:not(:empty) {
    flex-wrap: wrap;
    padding-top: 10px;
    border-top: 1px solid var(--rule);
  }

  .bar {
    gap: 10px;
  }
}

@media (max-width: 679px) {
  .bar {
    gap: 8px;
    padding: 0 10px;
  }

  .brand span {
    position: absolute;
    clip-path: inset(50%);
  }

  .of-box .views {
    display: none;
  }

  .of-box .panel .in-menu {
    display: grid;
    order: -1;
    padding-bottom: 8px;
    border-bottom: 1px solid var(--rule);
  }

  .of-box .now {
    position: static;
    clip-path: none;
  }

  .places :deep(.kept span) {
    position: absolute;
    clip-path: inset(50%);
  }
}
</style>
