/** The orders in which the shelf may stand. */
export type ShelfOrder = 'changed' | 'name' | 'newest';

/** What of the shelf is asked for. */
export interface ShelfQuery {
  readonly search: string;
  readonly order: ShelfOrder;
  /** Only boxes of this kind. */
  readonly kind?: string | undefined;
  /** Only boxes that are cut from the paper of this name. */
  readonly paper?: string | undefined;
  /** Where it goes on: `next` of the part before. */
  readonly after?: string | undefined;
}

/** The shelf as it is opened. */
export const wholeShelf: ShelfQuery = { search: '', order: 'changed' };

/** Where a part of the shelf is asked for. */
export function shelfPath({ search, order, ...more }: ShelfQuery): string {
  const words = new URLSearchParams({ order, ...(search !== '' && { search }) });
  for (const each of ['kind', 'paper', 'after'] as const) {
    const value = more[each];
    if (value !== undefined) words.set(each, value);
  }
  return `/projects?${words.toString()}`;
}

/** Where it is asked what there is on the shelf. */
export const contentsPath = '/projects/contents';
