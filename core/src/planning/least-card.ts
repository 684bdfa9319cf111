import type { StyleFrame } from '../forms/index.ts';
import { plus, smallest, zero } from '../length/index.ts';
import { paperFor, type Papers } from '../paper/index.ts';

/** How many sheets a box takes, and how much of them is used, in sheets. */
export interface CardUse {
  readonly sheets: number;
  readonly used: number;
}

/** Below zero when the first takes fewer sheets, or uses less of as many. */
export function compareCard(one: CardUse, other: CardUse): number {
  return one.sheets - other.sheets || one.used - other.used;
}

/**
 * What a frame takes at the least, whatever its lengths come to: of each paper as many sheets as its pieces are
 * large with every section at its least.
 */
export function leastCard({ sections, rough = [], pieces }: StyleFrame, papers: Papers): CardUse {
  // What only has to hold a shape is cut down to it in the end.
  const isRough = new Set(rough.map(({ section }) => section));
  const least = new Map(
    sections.map(({ id, least: usual, scant = usual }) => [
      id,
      isRough.has(id) ? zero : smallest(usual, scant),
    ]),
  );
  const long = (ids: readonly string[]) => plus(...ids.map((id) => least.get(id) ?? zero));
  const byPaper = new Map<string, number>();
  for (const { across, down, copies, paper } of pieces) {
    const { id, sheet } = paperFor(papers, paper);
    const used = (copies * long(across) * long(down)) / (sheet.width * sheet.height);
    byPaper.set(id, (byPaper.get(id) ?? 0) + used);
  }
  const uses = [...byPaper.values()];
  return {
    sheets: uses.reduce((sum, used) => sum + Math.max(1, Math.ceil(used)), 0),
    used: uses.reduce((sum, used) => sum + used, 0),
  };
}
