import {
  dressAsItIs,
  dressFrame,
  lessEachWay,
  mayGoUnder,
  roomTaken,
  withRoomTaken,
  type DressAnswer,
  type RoomTaken,
} from '../additions/index.ts';
import type { StyleAnswer, StyleFrame } from '../forms/index.ts';
import {
  clearInsideNeeded,
  extentsOf,
  isRoundGift,
  type ClearInsideNeeded,
  type Direction,
} from '../gift/index.ts';
import { plus, zero } from '../length/index.ts';
import type { StagedSolver } from '../marks/index.ts';
import type { PlanRequest } from '../request/index.ts';
import { answerWith } from '../styles/index.ts';
import { solveAsWideAsFits } from './as-wide-as-fits.ts';
import { depthRefusal, withFigures } from './figured-depths.ts';

/** The frame of the box that is asked for without what it wears, or why this kind of box can't be made so. */
export function frameFor(request: PlanRequest): StyleAnswer {
  return bareFrame(request, isAnyOblong(request.made));
}

/** The same frame with what the box is to wear, or why it can't wear that. */
export function dressedFrame(
  frame: StyleFrame,
  request: PlanRequest,
  solver: StagedSolver,
): StyleAnswer {
  const dressed = dress(frame, request, solver);
  if (dressed.ok || dressed.refusal !== 'square') return asAnswer(dressed);
  // What is worn on two of its sides alone makes what goes over a square box oblong.
  const oblong = bareFrame(request, true);
  return oblong.ok ? asAnswer(dress(oblong.frame, request, solver)) : oblong;
}

/** Where what is worn lies under something is seen on the bare box; one that fits no sheet is not to be dressed. */
function dress(frame: StyleFrame, request: PlanRequest, solver: StagedSolver): DressAnswer {
  // Where no piece goes over another, or over what is worn, there is no room to be made.
  const isUncovered = frame.fits.every(({ outer, inner }) => outer === inner);
  if (isUncovered || !mayGoUnder(request.additions))
    return { ok: true, frame: dressAsItIs(frame, request) };
  const comesTo = (it: StyleFrame) => {
    const best = solveAsWideAsFits(it, request, solver).best();
    return best && ((id: string) => best.solution.sections.get(id) ?? zero);
  };
  const bare = comesTo(frame);
  return bare ? dressFrame(frame, request, bare, comesTo) : { ok: true, frame };
}

function asAnswer(dressed: DressAnswer): StyleAnswer {
  if (dressed.ok) return dressed;
  if (dressed.refusal !== 'square') return { ok: false, refusal: dressed.refusal };
  return {
    ok: false,
    refusal: {
      field: 'additions',
      message:
        'This box is as wide as it is deep, and can’t wear more on two of its sides than on the others. Put the same on all four.',
    },
  };
}

/** The frame of the box without what it wears. */
function bareFrame(request: PlanRequest, mayBeOblong: boolean): StyleAnswer {
  const { gift, room, papers, kit, lean, style, made, additions } = request;
  const taken = roomTaken(additions, gift);
  const answer = answerWith(style, {
    inside: withMore(clearInsideNeeded(gift, room), taken),
    gift: extentsOf(gift),
    round: isRoundGift(gift),
    papers,
    kit,
    lean,
    mayBeOblong,
    made,
  });
  if (!answer.ok) return answer;
  const refusal = depthRefusal(answer.frame, request);
  if (refusal) return { ok: false, refusal };
  return { ok: true, frame: withRoomTaken(withFigures(answer.frame, request), taken) };
}

/** The clear inside that leaves the gift its own when so much of it is taken. */
function withMore(inside: ClearInsideNeeded, taken: RoomTaken): ClearInsideNeeded {
  const needed = lessEachWay(taken);
  const more = (way: Direction) => ({
    least: plus(inside[way].least, needed[way]),
    target: plus(inside[way].target, needed[way]),
  });
  return { across: more('across'), deep: more('deep'), high: more('high') };
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
