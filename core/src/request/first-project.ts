import { evenRoom, roomStops, roundRoom, type Gift } from '../gift/index.ts';
import { millimetres, type Unit } from '../length/index.ts';
import { stockPapers, type Paper } from '../paper/index.ts';
import { firstStyle } from '../styles/index.ts';
import { genericBoards, genericTrimmers, kitOf, type Kit } from '../tools/index.ts';
import type { PlanRequest, ProjectDocument } from './request.ts';

function firstOf<Item>(items: readonly Item[]): Item {
  const [first] = items;
  if (first === undefined) throw new Error('Rangoli ships none of these');
  return first;
}

/** The tools that are assumed of somebody who reads this ruler. */
export function usualKit(unit: Unit): Kit {
  return kitOf({
    trimmer: firstOf(genericTrimmers.filter((trimmer) => trimmer.unit === unit)),
    board: firstOf(genericBoards.filter((board) => board.unit === unit)),
  });
}

/** A stock paper by its id; the first one when there is none. */
export function stockPaper(id: string): Paper {
  return stockPapers.find((paper) => paper.id === id) ?? firstOf(stockPapers);
}

const firstGift: Gift = {
  shape: 'block',
  across: millimetres(70),
  deep: millimetres(50),
  high: millimetres(30),
};

/** A box request with usual answers to everything but the gift. */
export function usualRequest(gift: Gift, unit: Unit): PlanRequest {
  const easy = roomStops.find(({ name }) => name === 'easy') ?? firstOf(roomStops);
  return {
    version: 1,
    unit,
    gift,
    room: evenRoom(roundRoom(easy.target, unit)),
    style: firstStyle,
    papers: [stockPaper('dusk'), stockPaper('sodium')],
    kit: usualKit(unit),
    lean: 'loose',
    made: [],
    additions: [],
    printTops: {},
    ownSteps: [],
  };
}

/** The project that “New box” starts. */
export function newProject(unit: Unit): ProjectDocument {
  return { version: 1, name: 'New box', box: usualRequest(firstGift, unit) };
}
