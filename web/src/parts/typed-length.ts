import type { Length } from '@rangoli/core';

/** What a maker has typed where a length is wanted: the length, or what is wrong and the way out. */
export type TypedLength =
  { readonly ok: true; readonly length: Length } | { readonly ok: false; readonly message: string };
