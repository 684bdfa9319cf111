import type { StyleAnswer, StyleFrame } from '../forms/index.ts';
import type { StagedSolver } from '../marks/index.ts';
import type { PlanRequest, Problem } from '../request/index.ts';
import { solveAsWideAsFits } from './as-wide-as-fits.ts';
import { dressedFrame, frameFor } from './frame-for.ts';
import { kitProblems } from './kit-problems.ts';
import type { FrameInStages } from './put-to-solver.ts';

/** A gift one way up, with the frame of its box, and what it comes to as far as that is asked for. */
export type Begun =
  | {
      readonly ok: true;
      readonly request: PlanRequest;
      /** The box without what it wears, which takes less card than with it. */
      readonly bare: StyleFrame;
      readonly dressed: () => Dressed;
    }
  | { readonly ok: false; readonly request: PlanRequest; readonly problems: readonly Problem[] };

/** A frame with all that the box wears, and its lengths, which are chosen as far as they are asked for. */
export type Dressed =
  | { readonly ok: true; readonly frame: StyleFrame; readonly lengths: FrameInStages }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** Begins a box round a gift that stands one way up. */
export function begin(request: PlanRequest, solver: StagedSolver): Begun {
  const answer = frameFor(request);
  if (!answer.ok) return { ok: false, request, problems: [answer.refusal] };
  const { frame } = answer;
  const lacking = kitProblems(frame, request);
  if (lacking.length > 0) return { ok: false, request, problems: lacking };
  let dressed: Dressed | undefined;
  return {
    ok: true,
    request,
    bare: frame,
    dressed: () => (dressed ??= withLengths(frame, request, solver)),
  };
}

function withLengths(bare: StyleFrame, request: PlanRequest, solver: StagedSolver): Dressed {
  const answer: StyleAnswer =
    request.additions.length === 0
      ? { ok: true, frame: bare }
      : dressedFrame(bare, request, solver);
  if (!answer.ok) return { ok: false, problems: [answer.refusal] };
  const { frame } = answer;
  return { ok: true, frame, lengths: solveAsWideAsFits(frame, request, solver) };
}
