import { projectDocumentSchema } from '@rangoli/core';
import { createPinia } from 'pinia';
import { createSSRApp } from 'vue';
import { createMemoryHistory, createRouter } from 'vue-router';
import { renderToString } from 'vue/server-renderer';
import { addresses } from '../addresses.ts';
import { planAndTell } from '../planner/plan-and-tell.ts';
import FirstSight from './FirstSight.vue';

/** A box as the server has it. */
export interface StoredBox {
  readonly id: string;
  readonly document: unknown;
}

/** The bar’s links lead to the views by their names. */
const routes = Object.entries(addresses).map(([name, path]) => ({
  name,
  path,
  component: { render: () => null },
}));

/**
 * The Box view of a box as HTML, to be read until the page’s scripts have come. Nothing where the box can’t be made, or
 * where its cut list must not be read without a note: the page tells that itself.
 *
 * @throws ZodError where it is no box.
 */
export async function renderFirstSight({ id, document }: StoredBox): Promise<string | undefined> {
  const { name, box: request, basis } = projectDocumentSchema.parse(document);
  if (basis || request.made.length > 0) return undefined;
  const planned = planAndTell(request);
  if (!planned.ok) return undefined;
  const router = createRouter({ history: createMemoryHistory(), routes });
  await router.push({ name: 'box', params: { id } });
  const { plan, told } = planned;
  const app = createSSRApp(FirstSight, { id, name, planned: { plan, request }, told });
  // No name of an element is one of the page’s own.
  app.config.idPrefix = 'first-sight';
  return renderToString(app.use(createPinia()).use(router));
}

/** Has nothing done: that the script has come is all that is asked for. */
export function ready(): void {
  // Nothing is left to be made ready.
}
