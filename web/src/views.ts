import type { Component } from 'vue';
import type { View } from './addresses.ts';

/** The views, each a script of its own that comes when it is opened. */
export const views = {
  shelf: () => import('./shelf/ShelfView.vue').then((view) => view.default),
  box: () => import('./box/BoxView.vue').then((view) => view.default),
  compare: () => import('./compare/CompareView.vue').then((view) => view.default),
  limits: () => import('./limits/LimitsView.vue').then((view) => view.default),
  make: () => import('./make/MakeView.vue').then((view) => view.default),
  print: () => import('./make/PrintView.vue').then((view) => view.default),
  kit: () => import('./kit/KitView.vue').then((view) => view.default),
  papers: () => import('./papers/PapersView.vue').then((view) => view.default),
  kept: () => import('./access/KeptView.vue').then((view) => view.default),
  nowhere: () => import('./shelf/NowhereView.vue').then((view) => view.default),
} satisfies Record<View, () => Promise<Component>>;
