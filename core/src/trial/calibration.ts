import { formatGap, type Tolerance } from '../length/index.ts';
import { learnedGap, paperFor, type Felt, type Paper } from '../paper/index.ts';
import type { Plan, PlannedPair } from '../planning/index.ts';
import type { PlanRequest } from '../request/index.ts';

/** A pair whose gap is a paper's own, so that a trial box can teach it. */
export type TaughtPair = PlannedPair & { readonly kind: keyof Paper['gaps'] };

/** What a trial box teaches. */
export interface Lesson {
  readonly papers: PlanRequest['papers'];
  /** What has changed and why, for the maker. */
  readonly sentence: string;
}

function isTaught(pair: PlannedPair): pair is TaughtPair {
  return pair.kind === 'lid' || pair.kind === 'drawer' || pair.kind === 'liner';
}

/** The pairs of a box that a maker can tell how they turned out. */
export function taughtPairs({ pairs }: Plan): readonly TaughtPair[] {
  return pairs.filter(isTaught);
}

function rangeInWords({ least, target, most }: Tolerance): string {
  return `${formatGap(target)}, between ${formatGap(least)} and ${formatGap(most)}`;
}

const plurals: Readonly<Record<TaughtPair['kind'], string>> = {
  lid: 'Lids',
  drawer: 'Drawers',
  liner: 'Liners',
};

/** The papers of a request after one of its pairs turned out like this on a trial box. */
export function lessonOf(
  plan: Plan,
  { papers }: PlanRequest,
  pair: TaughtPair,
  felt: Felt,
): Lesson {
  const { kind, gap } = pair;
  // What goes over something has its gap from its own paper; a liner may have it from its box's too.
  const taught = kind === 'liner' ? [pair.outer, pair.inner] : [pair.outer];
  const slots = new Set(
    plan.pieces
      .filter(({ id }) => taught.includes(id))
      .map(({ paper }) => Math.min(paper, papers.length - 1)),
  );
  const learn = (paper: Paper): Paper => ({
    ...paper,
    gaps: { ...paper.gaps, [kind]: learnedGap(paper.gaps[kind], gap, felt) },
  });
  const [first, ...others] = papers;
  const [slot = 0] = slots;
  const { name, gaps } = paperFor(papers, slot);
  const now = learnedGap(gaps[kind], gap, felt);
  const isSame = (['least', 'target', 'most'] as const).every(
    (part) => now[part] === gaps[kind][part],
  );
  const made = `this one was planned at ${formatGap(gap)} and came out ${felt}`;
  return {
    papers: [
      slots.has(0) ? learn(first) : first,
      ...others.map((paper, i) => (slots.has(i + 1) ? learn(paper) : paper)),
    ],
    sentence: isSame
      ? `${plurals[kind]} of ${name} stay planned at ${rangeInWords(now)}: ${made}.`
      : `${plurals[kind]} of ${name} are now planned to clear by ${rangeInWords(now)}. It was ${rangeInWords(gaps[kind])}; ${made}.`,
  };
}
