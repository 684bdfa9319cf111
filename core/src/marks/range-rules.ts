import type { FitPair, IndexedChain, ProblemIndex } from './marks-index.ts';

/** Two sections that hold one another: `outer` − `times` · `inner` lies between `least` and `most`. */
export interface Tie {
  readonly outer: number;
  readonly inner: number;
  readonly times: number;
  readonly least: number;
  readonly most: number;
}

/** A chain that a sheet limits, each section with how often it stands there. */
export interface LimitedChain {
  readonly members: readonly Member[];
  readonly longest: number;
}

interface Member {
  readonly at: number;
  readonly times: number;
}

/** Sections that come to a length already made. */
export interface SettledSpan {
  readonly members: readonly Member[];
  readonly is: number;
}

/** What keeps sections in their ranges. */
export interface RuleSet {
  readonly smaller: readonly Tie[];
  /** Between what differences the gaps of a pair are all in their ranges. */
  readonly fits: readonly Tie[];
  readonly chains: readonly LimitedChain[];
  readonly spans: readonly SettledSpan[];
}

/** What keeps the sections of a problem in their ranges; the same for every search over it. */
export interface RangeRules {
  readonly all: RuleSet;
  /** By section: the rules that it takes part in. */
  readonly of: readonly RuleSet[];
}

function membersOf(sections: readonly number[]): readonly Member[] {
  return [...new Set(sections)].map((at) => ({
    at,
    times: sections.filter((each) => each === at).length,
  }));
}

function limitedChain({ sections, longest }: IndexedChain): LimitedChain {
  return { members: membersOf(sections), longest };
}

function tieOf(pair: FitPair, pairs: readonly FitPair[]): readonly Tie[] {
  const { outerAt: outer, innerAt: inner, innerTimes: times, fits, group } = pair;
  if (outer === inner) return [];
  const tightest = Math.max(...fits.map(({ layers, gap }) => layers + gap.least));
  const slack = Math.min(...fits.map(({ layers, gap, slack }) => layers + gap.most + slack));
  // Where no other pair can hold the two together, this one must.
  const isAlone = pairs.every((other) => other === pair || other.group !== group);
  const held = Math.max(...fits.map(({ layers, gap }) => layers + gap.most));
  return [{ outer, inner, times, least: tightest, most: isAlone ? Math.min(slack, held) : slack }];
}

function holds(at: number): (tie: Tie) => boolean {
  return ({ outer, inner }) => outer === at || inner === at;
}

function counts(at: number): (sum: { readonly members: readonly Member[] }) => boolean {
  return ({ members }) => members.some((member) => member.at === at);
}

/** The rules of a problem, gathered once. */
export function rangeRules({ smaller, pairs, chains, spans, ties }: ProblemIndex): RangeRules {
  const all: RuleSet = {
    smaller: smaller.map(({ less, more, moreTimes, by }) => ({
      outer: less,
      inner: more,
      times: moreTimes,
      least: -Infinity,
      most: -by,
    })),
    fits: pairs.flatMap((pair) => tieOf(pair, pairs)),
    chains: chains.filter(({ longest }) => longest !== Infinity).map(limitedChain),
    spans: spans.map(({ sections, is }) => ({ members: membersOf(sections), is })),
  };
  return {
    all,
    of: ties.map((_, at) => ({
      smaller: all.smaller.filter(holds(at)),
      fits: all.fits.filter(holds(at)),
      chains: all.chains.filter(counts(at)),
      spans: all.spans.filter(counts(at)),
    })),
  };
}
