import { greatestCommonDivisor } from './lattice.ts';
import type { IndexedChain } from './marks-index.ts';
import type { MarkTools } from './marks-problem.ts';
import { leastOffGrid } from './off-grid.ts';

/** A section of which only the range is known. */
export interface OpenSection {
  readonly least: number;
  readonly most: number;
  /** Whether it will be whole grooves. */
  readonly isOnPitch: boolean;
}

/**
 * How many scores of chains of the same sections surely are on no groove, as far as its sections are decided. The last answer
 * is kept: from one choice to the next most chains stay as they are.
 */
export class OffGridBound {
  readonly #chains: number;
  readonly #sections: readonly number[];
  readonly #cut: number | undefined;
  readonly #tools: MarkTools;
  readonly #open: (at: number) => OpenSection;
  readonly #sizes: (number | undefined)[];
  #known: number | undefined;

  constructor(
    { ids, sections, cut }: IndexedChain,
    tools: MarkTools,
    open: (at: number) => OpenSection,
  ) {
    this.#chains = ids.length;
    this.#sections = sections;
    this.#cut = cut;
    this.#tools = tools;
    this.#open = open;
    this.#sizes = sections.map(() => undefined);
  }

  /** For the sizes decided so far, by section. */
  of(values: readonly (number | undefined)[]): number {
    const sizes = this.#sizes;
    let isSame = this.#known !== undefined;
    for (let i = 0; i < sizes.length; i++) {
      const value = values[this.#sections[i] ?? 0];
      if (sizes[i] === value) continue;
      sizes[i] = value;
      isSame = false;
    }
    if (!isSame || this.#known === undefined) this.#known = this.#chains * this.#reckon();
    return this.#known;
  }

  /** For one of the chains; with one section open, it is tried out. */
  #reckon(): number {
    const { step, pitch } = this.#tools;
    const grooves = this.#tools;
    const sizes = this.#sizes;
    const at = sizes.indexOf(undefined);
    const isOnlyOpen = at >= 0 && !sizes.includes(undefined, at + 1);
    const open = isOnlyOpen ? this.#open(this.#sections[at] ?? 0) : undefined;
    if (!open || open.isOnPitch) return leastOffGrid({ sizes, grooves });
    let others = 0;
    for (const size of sizes) others += size ?? 0;
    if (this.#cut !== undefined) {
      sizes[at] = this.#cut - others;
      const off = leastOffGrid({ sizes, grooves });
      sizes[at] = undefined;
      return off;
    }
    let fewest = Infinity;
    const first = Math.ceil((open.least + others) / step) * step - others;
    // After so many steps the same remainders come again, and only further from the edge.
    const period = (pitch / greatestCommonDivisor(pitch, step)) * step;
    const last = Math.min(open.most, first + period - step);
    for (let value = first; value <= last && fewest > 0; value += step) {
      sizes[at] = value;
      fewest = Math.min(fewest, leastOffGrid({ sizes, grooves }));
    }
    sizes[at] = undefined;
    return fewest;
  }
}
