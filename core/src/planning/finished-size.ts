import { closedFaces, foldingBox } from '../fold/index.ts';
import {
  directions,
  giftLimits,
  type BlockGift,
  type Direction,
  type Extents,
  type Room,
} from '../gift/index.ts';
import {
  absolute,
  hair,
  inchFraction,
  largest,
  millimetres,
  minus,
  nanometres,
  smallest,
  times,
} from '../length/index.ts';
import { marksWindow } from '../forms/index.ts';
import { paperFor, type Papers } from '../paper/index.ts';
import {
  optionInQuestion,
  papersOf,
  type FinishedSize,
  type PlanRequest,
} from '../request/index.ts';
import { withOption } from '../styles/index.ts';
import { planBox, type PlanResult } from './plan-box.ts';
import type { Plan } from './plan.ts';

/** What the closed box measures outside, card and all: a handle counts too. */
export function outsideOf(plan: Plan, papers: Papers): Extents {
  const faces = closedFaces(
    foldingBox(plan.pieces, ({ paper }) => paperFor(papers, paper).thickness, plan.assembly),
  );
  const span = (axis: 'x' | 'y' | 'z') => {
    let [low, high] = [Infinity, -Infinity];
    for (const { ring, out, card } of faces) {
      // Half the card lies on either side of the fold lines.
      const half = (Math.abs(out[axis]) * card) / 2;
      for (const corner of ring) {
        low = Math.min(low, corner[axis] - half);
        high = Math.max(high, corner[axis] + half);
      }
    }
    return millimetres(high - low);
  };
  return { across: span('x'), deep: span('y'), high: span('z') };
}

/** No nearer than so much a size that is asked for can't be had on these marks. */
const apart = inchFraction(1, 16);

/** What the size that is asked for comes to, where no box on these marks comes near it; undefined where one does. */
export function missedSize(plan: Plan, request: PlanRequest): Extents | undefined {
  const { finished } = request;
  if (!finished) return undefined;
  const came = finished.of === 'inside' ? plan.clearInside : outsideOf(plan, papersOf(request));
  const isNear = directions.every((way) => absolute(minus(came[way], finished[way])) <= apart);
  return isNear ? undefined : came;
}

/** A block that leaves the room asked for in an inside of this size; never less than a gift may be. */
function blockIn(inside: Extents, room: Room): BlockGift {
  const left = (direction: Direction, sides: number) =>
    smallest(
      largest(minus(inside[direction], times(room[direction].target, sides)), giftLimits.least),
      giftLimits.most,
    );
  return {
    shape: 'block',
    across: left('across', 2),
    deep: left('deep', 2),
    high: left('high', 1),
  };
}

/** So often an inside is tried before the nearest of them is taken. */
const tries = 7;

/** How much the outside grows with the inside: a tower of four trays by four times as much. */
const slopes = { least: 0.6, most: 6 } as const;

/** What is reckoned for each direction, in nanometres. */
type EachWay = Readonly<Record<Direction, number>>;

function lengthsOf({ across, deep, high }: EachWay): Extents {
  const whole = (value: number) => nanometres(Math.round(value));
  return { across: whole(across), deep: whole(deep), high: whole(high) };
}

function eachWay(make: (direction: Direction) => number): EachWay {
  return { across: make('across'), deep: make('deep'), high: make('high') };
}

/**
 * The request for the gift that makes a box of the finished size that is asked for: its inside, or its outside as
 * near as the marks allow. A request that asks for none is given back as it is, and so is one of which something is
 * made already: that is planned round, whatever it then measures.
 */
export function withFinishedSize(request: PlanRequest): PlanRequest {
  const { finished, made } = request;
  if (!finished || made.length > 0) return request;
  if (finished.of === 'inside') return { ...request, gift: blockIn(finished, request.room) };
  return { ...request, gift: giftForOutside(request, finished) };
}

/** Plans a box whose depths are too much for it as if they were what they may be: that is told when it is planned. */
function planWithin(request: PlanRequest): PlanResult {
  const result = planBox(request);
  const [problem] = result.ok ? [] : result.problems;
  const option = problem && optionInQuestion(problem);
  if (option === undefined || problem?.nearest === undefined) return result;
  return planBox({ ...request, style: withOption(request.style, option, problem.nearest) });
}

/**
 * Looks for the inside whose box measures so much outside, by the secant method: between two marks the outside does
 * not move at all, so the nearest of what was tried is taken. Where no box can be made it is as near as is known.
 */
function giftForOutside(request: PlanRequest, asked: FinishedSize): BlockGift {
  let inside = eachWay((direction) => asked[direction]);
  let slope = eachWay(() => 1);
  let before: { inside: typeof inside; came: Extents } | undefined;
  let best: { gift: BlockGift; miss: number } | undefined;
  const near = marksWindow(request) / 8;
  for (let i = 0; i < tries; i++) {
    const gift = blockIn(lengthsOf(inside), request.room);
    const result = planWithin({ ...request, gift });
    if (!result.ok) {
      // Round the outside itself a tower may be too large for its sheet; else it was a step too far.
      const [large, was] = [inside, before?.inside];
      inside = eachWay((direction) =>
        was ? (large[direction] + was[direction]) / 2 : large[direction] * 0.7,
      );
      continue;
    }
    const came = outsideOf(result.plan, papersOf(request));
    const off = eachWay((direction) => asked[direction] - came[direction]);
    const miss = directions.reduce((sum, direction) => sum + Math.abs(off[direction]), 0);
    if (!best || miss < best.miss) best = { gift, miss };
    // On the mark that is nearest there is no nearer one.
    if (directions.every((direction) => Math.abs(off[direction]) <= near)) break;
    const was = before;
    const steep = slope;
    slope = eachWay((direction) => {
      const moved = was ? inside[direction] - was.inside[direction] : 0;
      const grew = was ? came[direction] - was.came[direction] : 0;
      if (Math.abs(moved) <= hair || grew === 0) return steep[direction];
      return Math.min(Math.max(grew / moved, slopes.least), slopes.most);
    });
    before = { inside, came };
    const now = inside;
    const rise = slope;
    inside = eachWay((direction) => now[direction] + off[direction] / rise[direction]);
  }
  return best?.gift ?? blockIn(asked, request.room);
}
