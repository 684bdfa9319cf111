import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';

/** Scores of one piece that are lit together, by the names of their grid lines. */
export interface Highlight {
  readonly piece: string;
  readonly lines: readonly string[];
}

/** The scores under the pointer or the keyboard's focus: lit on the strip and on the piece at once. */
export const useHighlight = defineStore('highlight', () => {
  const lit = shallowRef<Highlight>();

  function light(piece: string, lines: readonly string[]): void {
    lit.value = { piece, lines };
  }

  function unlight(): void {
    lit.value = undefined;
  }

  function isLit(piece: string, line: string): boolean {
    return lit.value?.piece === piece && lit.value.lines.includes(line);
  }

  /** Every lit line with its piece. */
  const lines = computed(() => {
    const { piece = '', lines: names = [] } = lit.value ?? {};
    return names.map((line) => ({ piece, line }));
  });

  return { lit, lines, light, unlight, isLit };
});
