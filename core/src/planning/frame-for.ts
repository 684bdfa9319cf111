import type { StyleAnswer } from '../forms/index.ts';
import { clearInsideNeeded, extentsOf, isRoundGift } from '../gift/index.ts';
import type { PlanRequest } from '../request/index.ts';
import { answerWith } from '../styles/index.ts';

/** The frame of the box that is asked for, or why this kind of box can't be made so. */
export function frameFor({ gift, room, papers, kit, lean, style, made }: PlanRequest): StyleAnswer {
  return answerWith(style, {
    inside: clearInsideNeeded(gift, room),
    gift: extentsOf(gift),
    round: isRoundGift(gift),
    papers,
    kit,
    lean,
    mayBeOblong: isAnyOblong(made),
    made,
  });
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
