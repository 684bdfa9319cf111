import { createRouter, createWebHistory } from 'vue-router';
import { addresses } from './addresses.ts';
import { keepTrail, scrollTo } from './parts/trail.ts';
import { startSearcher } from './planner/planner.ts';
import { views } from './views.ts';

/** Parts of views that come when they are asked for. */
const laterParts = [
  () => import('./rescue/RescueDialog.vue'),
  () => import('./fold/fold-stage.ts'),
  () => import('./access/SignIn.vue'),
  () => import('./box/CommonThings.vue'),
  () => import('./box/CountedNote.vue'),
  () => import('./box/RefusalNote.vue'),
  () => import('./box/StepByStep.vue'),
  () => import('./box/WhySize.vue'),
  () => import('./box/FirstSteps.vue'),
  () => import('./dress/DressControl.vue'),
  () => import('./make/BoxesMade.vue'),
  () => import('./make/OwnStepDialog.vue'),
  () => import('./parts/CountField.vue'),
  () => import('./dress/FaceMenu.vue'),
  () => import('./parts/ShortcutsDialog.vue'),
  () => import('./shelf/DeletedBoxes.vue'),
  startSearcher,
];

/**
 * Loads all views and parts ahead, one after the other, once the page has nothing else to do: an open page
 * goes on working when the server is away.
 */
export async function loadAhead(): Promise<void> {
  for (const load of [...Object.values(views), ...laterParts])
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
    { path: addresses.shelf, name: 'shelf', component: views.shelf },
    { path: addresses.box, name: 'box', component: views.box, props: true },
    { path: addresses.compare, name: 'compare', component: views.compare, props: true },
    { path: addresses.limits, name: 'limits', component: views.limits, props: true },
    { path: addresses.make, name: 'make', component: views.make, props: true },
    { path: addresses.print, name: 'print', component: views.print, props: true },
    { path: addresses.kit, name: 'kit', component: views.kit },
    { path: addresses.papers, name: 'papers', component: views.papers },
    { path: addresses.kept, name: 'kept', component: views.kept },
    { path: addresses.nowhere, name: 'nowhere', component: views.nowhere },
  ],
});

keepTrail(router);
