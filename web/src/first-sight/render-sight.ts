import { createPinia } from 'pinia';
import PrimeVue from 'primevue/config';
import { createSSRApp, type Component } from 'vue';
import { createMemoryHistory, createRouter, type RouteLocationRaw } from 'vue-router';
import { renderToString } from 'vue/server-renderer';
import { addresses } from '../addresses.ts';

/** Links lead to the views by their names. */
const routes = Object.entries(addresses).map(([name, path]) => ({
  name,
  path,
  component: { render: () => null },
}));

/** What is rendered. */
export interface Sight {
  /** The view in which it stands. */
  readonly at: RouteLocationRaw;
  /** What it is of: elements of two sights in one page have names of their own. */
  readonly of: string;
  readonly props: Record<string, unknown>;
}

/** A component as HTML. */
export async function renderSight(component: Component, { at, of, props }: Sight): Promise<string> {
  const router = createRouter({ history: createMemoryHistory(), routes });
  await router.push(at);
  const app = createSSRApp(component, props);
  // No name of an element is one of the page’s own either.
  app.config.idPrefix = `first-sight-${of}`;
  return renderToString(app.use(createPinia()).use(router).use(PrimeVue, { theme: 'none' }));
}
