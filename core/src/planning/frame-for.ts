import type { StyleAnswer } from '../forms/index.ts';
import { clearInsideNeeded, extentsOf, isRoundGift } from '../gift/index.ts';
import type { PlanRequest } from '../request/index.ts';
import { answerWith } from '../styles/index.ts';
import { depthRefusal, withFigures } from './figured-depths.ts';

/** The frame of the box that is asked for, or why this kind of box can't be made so. */
export function frameFor(request: PlanRequest): StyleAnswer {
  const { gift, room, papers, kit, lean, style, made } = request;
  const answer = answerWith(style, {
    inside: clearInsideNeeded(gift, room),
    gift: extentsOf(gift),
    round: isRoundGift(gift),
    papers,
    kit,
    lean,
    mayBeOblong: isAnyOblong(made),
    made,
  });
  if (!answer.ok) return answer;
  const refusal = depthRefusal(answer.frame, request);
  return refusal ? { ok: false, refusal } : { ok: true, frame: withFigures(answer.frame, request) };
}

/** Whether a piece that is made has come out otherwise across than down. */
function isAnyOblong(made: PlanRequest['made']): boolean {
  return made.some((one) =>
    made.some(
      (other) =>
        other.piece === one.piece &&
        (other.cut !== one.cut ||
          one.marks.some(({ mark, at }) =>
            other.marks.some((each) => each.mark === mark && each.at !== at),
          )),
    ),
  );
}
