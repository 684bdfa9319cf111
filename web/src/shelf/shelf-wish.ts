import type { ShelfOrder } from '../api/projects.ts';

/** What of the shelf is looked for, and how it stands. */
export interface ShelfWish {
  readonly search: string;
  readonly order: ShelfOrder;
  /** Only boxes of this kind, of all kinds where there is none. */
  readonly kind?: string | undefined;
  /** Only boxes that are cut from the paper of this name. */
  readonly paper?: string | undefined;
}
