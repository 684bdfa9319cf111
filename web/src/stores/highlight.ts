import { isSameLine, type LineRef } from '@rangoli/core';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';

/** Scores of one piece that are lit together. */
export interface Highlight {
  readonly piece: string;
  readonly lines: readonly LineRef[];
}

/** The scores under the pointer or the keyboard's focus: lit on the strip and on the piece at once. */
export const useHighlight = defineStore('highlight', () => {
  const lit = shallowRef<Highlight>();

  function light(piece: string, lines: readonly LineRef[]): void {
    lit.value = { piece, lines };
  }

  function unlight(): void {
    lit.value = undefined;
  }

  function isLit(piece: string, line: LineRef): boolean {
    return lit.value?.piece === piece && lit.value.lines.some((each) => isSameLine(each, line));
  }

  /** Every lit line with its piece. */
  const lines = computed(() => {
    const { piece = '', lines: refs = [] } = lit.value ?? {};
    return refs.map((line) => ({ piece, line }));
  });

  return { lit, lines, light, unlight, isLit };
});
