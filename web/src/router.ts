import { createRouter, createWebHistory } from 'vue-router';
import BoxView from './box/BoxView.vue';
import ShelfView from './shelf/ShelfView.vue';
import { keepTrail, scrollTo } from './parts/trail.ts';
import { startSearcher } from './planner/planner.ts';
import NowhereView from './shelf/NowhereView.vue';

/** Views that come when they are opened, and parts of views that come when they are asked for. */
const laterViews = {
  compare: () => import('./compare/CompareView.vue').then((view) => view.default),
  limits: () => import('./limits/LimitsView.vue').then((view) => view.default),
  make: () => import('./make/MakeView.vue').then((view) => view.default),
  print: () => import('./make/PrintView.vue').then((view) => view.default),
  kit: () => import('./kit/KitView.vue').then((view) => view.default),
  papers: () => import('./papers/PapersView.vue').then((view) => view.default),
  kept: () => import('./access/KeptView.vue').then((view) => view.default),
};
const laterParts = [
  () => import('./rescue/RescueDialog.vue'),
  () => import('./fold/fold-stage.ts'),
  () => import('./access/SignIn.vue'),
  () => import('./box/CommonThings.vue'),
  () => import('./box/StepByStep.vue'),
  () => import('./box/WhySize.vue'),
  () => import('./box/FirstSteps.vue'),
  () => import('./dress/DressControl.vue'),
  () => import('./dress/FaceMenu.vue'),
  () => import('./parts/ShortcutsDialog.vue'),
  () => import('./shelf/DeletedBoxes.vue'),
  () => import('./planner/tasks.ts'),
  startSearcher,
];

/**
 * Loads all views and parts ahead, one after the other, once the page has nothing else to do: an open page
 * goes on working when the server is away.
 */
export async function loadAhead(): Promise<void> {
  for (const load of [...Object.values(laterViews), ...laterParts])
    try {
      await load();
    } catch {
      // It is asked for again when it is opened.
    }
}

/** The places of Rangoli by address. */
export const router = createRouter({
  history: createWebHistory(),
  scrollBehavior: scrollTo,
  routes: [
    { path: '/', name: 'shelf', component: ShelfView },
    { path: '/box/:id', name: 'box', component: BoxView, props: true },
    { path: '/box/:id/compare', name: 'compare', component: laterViews.compare, props: true },
    { path: '/box/:id/limits', name: 'limits', component: laterViews.limits, props: true },
    { path: '/box/:id/make', name: 'make', component: laterViews.make, props: true },
    { path: '/box/:id/print', name: 'print', component: laterViews.print, props: true },
    { path: '/kit', name: 'kit', component: laterViews.kit },
    { path: '/papers', name: 'papers', component: laterViews.papers },
    { path: '/kept', name: 'kept', component: laterViews.kept },
    { path: '/:path(.*)*', name: 'nowhere', component: NowhereView },
  ],
});

keepTrail(router);
