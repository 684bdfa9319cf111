import { planBox, projectDocumentSchema } from '@rangoli/core';
import type { ShelfContents } from '../api/projects.ts';
import BoxCard from '../shelf/BoxCard.vue';
import type { StoredBox } from './box-sight.ts';
import { renderSight } from './render-sight.ts';
import ShelfSight from './ShelfSight.vue';

/** The shelf as the server has it. */
export interface StoredShelf {
  /** The boxes that stand first, in their order: with the HTML of its card where that is drawn already. */
  readonly boxes: readonly (StoredBox & { readonly html?: string | undefined })[];
  /** How many boxes there are in all. */
  readonly total: number;
  readonly contents: ShelfContents;
}

const shelf = { name: 'shelf' } as const;

/**
 * The card of a box on the shelf as HTML: its pieces, what they become and what is cut, or why it can’t be made.
 *
 * @throws ZodError where it is no box.
 */
export async function renderCardSight({ id, document: stored }: StoredBox): Promise<string> {
  const document = projectDocumentSchema.parse(stored);
  const planned = planBox(document.box);
  const told = planned.ok ? { plan: planned.plan } : { why: planned.problems[0]?.message };
  return renderSight(BoxCard, { at: shelf, of: id, props: { id, document, ...told } });
}

/**
 * The shelf as HTML, to be looked at until the page’s scripts have come. It plans nothing.
 *
 * @throws ZodError where something on it is no box.
 */
export async function renderShelfSight({ boxes, total, contents }: StoredShelf): Promise<string> {
  const cards = boxes.map(({ id, document, html }) =>
    html === undefined ? { id, document: projectDocumentSchema.parse(document) } : { id, html },
  );
  return renderSight(ShelfSight, { at: shelf, of: 'shelf', props: { cards, total, contents } });
}
