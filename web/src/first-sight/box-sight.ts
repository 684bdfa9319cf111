import { projectDocumentSchema } from '@rangoli/core';
import { planAndTell } from '../planner/plan-and-tell.ts';
import BoxSight from './BoxSight.vue';
import { renderSight } from './render-sight.ts';

/** A box as the server has it. */
export interface StoredBox {
  readonly id: string;
  readonly document: unknown;
}

/**
 * The Box view of a box as HTML, to be read until the page’s scripts have come. Nothing where the box can’t be made, or
 * where its cut list must not be read without a note: the page tells that itself.
 *
 * @throws ZodError where it is no box.
 */
export async function renderBoxSight({ id, document }: StoredBox): Promise<string | undefined> {
  const { name, box: request, basis } = projectDocumentSchema.parse(document);
  if (basis || request.made.length > 0) return undefined;
  const planned = planAndTell(request);
  if (!planned.ok) return undefined;
  const { plan, told } = planned;
  const props = { id, name, planned: { plan, request }, told };
  return renderSight(BoxSight, { at: { name: 'box', params: { id } }, of: id, props });
}
