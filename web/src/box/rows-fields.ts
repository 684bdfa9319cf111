import type { Rows } from '@rangoli/core';

/** The ways in which things stand in rows. */
export const rowWays = ['across', 'deep', 'high'] as const satisfies readonly (keyof Rows)[];

/** What the field of a count is called among what was typed and can't be taken yet. */
export function rowsField(project: string, way: keyof Rows): string {
  return `${project} rows ${way}`;
}
