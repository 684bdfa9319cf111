import fc from 'fast-check';
import { evenRoom, type Gift } from '../gift/index.ts';
import { millimetres, nanometres } from '../length/index.ts';
import { stockPaper, usualRequest, type PlanRequest } from '../request/index.ts';
import type { Paper } from '../paper/index.ts';
import { genericBoards, genericTrimmers } from '../tools/index.ts';

const length = (least: number, most: number) =>
  fc.integer({ min: least * 1000, max: most * 1000 }).map((micron) => nanometres(micron * 1000));

/** Any gift that a person would box, to the micron. */
export const anyGift: fc.Arbitrary<Gift> = fc.oneof(
  fc.record({
    shape: fc.constant('block' as const),
    across: length(5, 260),
    deep: length(5, 260),
    high: length(3, 90),
  }),
  fc.record({
    shape: fc.constant('cylinder' as const),
    diameter: length(5, 90),
    length: length(5, 200),
    lies: fc.constantFrom('standing' as const, 'lying' as const),
  }),
);

/** Any card from 0.15 to 0.6 mm, to the micron. */
export const anyPaper: fc.Arbitrary<Paper> = fc
  .record({ thickness: length(0.15, 0.6), printRuns: fc.constantFrom('any way', 'one way') })
  .map((paper) => ({ ...stockPaper('dusk'), ...paper }));

/** Any request over the shipped tools, mixed units among them. */
export const anyRequest: fc.Arbitrary<PlanRequest> = fc
  .record({
    gift: anyGift,
    room: length(0, 8).map(evenRoom),
    base: anyPaper,
    lid: anyPaper,
    trimmer: fc.constantFrom(...genericTrimmers),
    board: fc.constantFrom(...genericBoards),
    lidDepth: fc.constantFrom('shallow' as const, 'half' as const, 'full' as const),
    tabsOn: fc.constantFrom('sides' as const, 'front and back' as const),
    lean: fc.constantFrom('loose' as const, 'tight' as const),
    unit: fc.constantFrom('inch' as const, 'mm' as const),
  })
  .map(({ gift, room, base, lid, trimmer, board, lidDepth, tabsOn, lean, unit }) => ({
    ...usualRequest(gift, unit),
    room,
    papers: { base, lid },
    kit: { trimmer, board },
    style: { style: 'lidded', options: { lidDepth, tabsOn } },
    lean,
  }));

/** The pocket sundial of the open night: 2 5/16 × 2 5/16 × 9/16 in. */
export const sundial: Gift = {
  shape: 'block',
  across: millimetres(58.7375),
  deep: millimetres(58.7375),
  high: millimetres(14.2875),
};
