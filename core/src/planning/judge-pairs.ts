import { judgeGap, judgePair, type GapState } from '../gaps/index.ts';
import type { Lean } from '../marks/index.ts';
import type { SettledFit } from '../forms/index.ts';
import { half, nanometres, zero, type Length } from '../length/index.ts';
import type { PairChoice, PlannedPair } from './plan.ts';
import {
  cutSizeIn,
  pairName,
  solveFrameAgain,
  type SolvedFrame,
  type SolverBrief,
} from './put-to-solver.ts';

function membersOf(box: SolvedFrame, pair: string): readonly SettledFit[] {
  return box.fits.filter((fit) => pairName(fit) === pair);
}

function pairNames(box: SolvedFrame): readonly string[] {
  return [...new Set(box.fits.map(pairName))];
}

const worstFirst: readonly GapState[] = ['tight', 'loose', 'holds'];

/**
 * How the members of a pair fit, and the closest gap of those that decide it. What holds it sideways doesn't
 * hold it in height: a hand feels each for itself.
 */
function judge(members: readonly SettledFit[]): { readonly state: GapState; readonly gap: Length } {
  const felt = (['sideways', 'in height'] as const).flatMap((how) => {
    const own = members.filter(({ direction }) => (direction === 'high') === (how === 'in height'));
    if (own.length === 0) return [];
    const state = judgePair(own.map(({ came, gap }) => ({ gap: came, range: gap })));
    return [{ state, gap: closest(own) }];
  });
  const [worst] = felt.sort((a, b) => worstFirst.indexOf(a.state) - worstFirst.indexOf(b.state));
  return worst ?? { state: 'holds', gap: zero };
}

function closest(members: readonly SettledFit[]): Length {
  return nanometres(Math.min(...members.map(({ came }) => came)));
}

/** The worst state of any pair of a box. */
export function worstState(box: SolvedFrame): GapState {
  const states = pairNames(box).map((pair) => judge(membersOf(box, pair)).state);
  return worstFirst.find((state) => states.includes(state)) ?? 'holds';
}

function choiceFrom(box: SolvedFrame, pair: string, lean: Lean): PairChoice {
  const members = membersOf(box, pair);
  const size = cutSizeIn(box.solution, members[0]?.outer ?? '');
  return { lean, ...judge(members), ...size };
}

/** A box as it is asked for, and how it would be if it leaned to the other side: undefined where it can't. */
export interface BothLeans {
  readonly box: SolvedFrame;
  readonly otherwise: () => SolvedFrame | undefined;
}

/** How every pair of a box fits, with the nearest choices on either side for those that don't. */
export function judgePairs(
  { box, otherwise }: BothLeans,
  brief: SolverBrief,
): { readonly pairs: readonly PlannedPair[]; readonly finerStep?: Length } {
  const holds = worstState(box) === 'holds';
  const boxes = holds
    ? []
    : (['tight', 'loose'] as const).flatMap((lean) => {
        const leant = lean === brief.lean ? box : otherwise();
        return leant ? [{ lean, box: leant }] : [];
      });
  const finerStep = holds ? undefined : finerStepThatHolds(box, brief);
  return {
    pairs: pairNames(box).flatMap((pair): readonly PlannedPair[] => {
      const members = membersOf(box, pair);
      const [first] = members;
      if (!first) return [];
      const { state, gap: decisive } = judge(members);
      return [
        {
          kind: first.kind,
          outer: first.outer,
          inner: first.inner,
          state,
          gap: decisive,
          fits: members.map(({ direction, came, gap, rule }) => ({
            direction,
            gap: came,
            state: judgeGap(came, gap),
            range: gap,
            ...(rule && { rule }),
          })),
          choices:
            state === 'holds' ? [] : boxes.map((each) => choiceFrom(each.box, pair, each.lean)),
        },
      ];
    }),
    ...(finerStep !== undefined && { finerStep }),
  };
}

function finerStepThatHolds(solved: SolvedFrame, brief: SolverBrief): Length | undefined {
  const { trimmer } = brief.kit;
  if (trimmer.step % 2 !== 0) return undefined;
  const finer = half(trimmer.step);
  const kit = { ...brief.kit, trimmer: { ...trimmer, step: finer } };
  const box = solveFrameAgain(solved, { ...brief, kit }, 'holding');
  return box && worstState(box) === 'holds' ? finer : undefined;
}
