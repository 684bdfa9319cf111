import { createRouter, createWebHistory } from 'vue-router';
import BoxView from './box/BoxView.vue';
import ShelfView from './shelf/ShelfView.vue';
import NowhereView from './shelf/NowhereView.vue';

/** The places of Rangoli by address. */
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'shelf', component: ShelfView },
    { path: '/box/:id', name: 'box', component: BoxView, props: true },
    {
      path: '/box/:id/compare',
      name: 'compare',
      component: () => import('./compare/CompareView.vue').then((view) => view.default),
      props: true,
    },
    {
      path: '/box/:id/limits',
      name: 'limits',
      component: () => import('./limits/LimitsView.vue').then((view) => view.default),
      props: true,
    },
    {
      path: '/box/:id/make',
      name: 'make',
      component: () => import('./make/MakeView.vue').then((view) => view.default),
      props: true,
    },
    {
      path: '/box/:id/print',
      name: 'print',
      component: () => import('./make/PrintView.vue').then((view) => view.default),
      props: true,
    },
    {
      path: '/kit',
      name: 'kit',
      component: () => import('./kit/KitView.vue').then((view) => view.default),
    },
    { path: '/:path(.*)*', name: 'nowhere', component: NowhereView },
  ],
});
