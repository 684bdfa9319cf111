import {
  allStyles,
  evenRoom,
  genericBoards,
  genericCornerBoards,
  genericDiagonalBoards,
  genericTrimmers,
  kitOf,
  millimetres,
  planBox,
  styleChoiceSchema,
  usualRequest,
  type Plan,
  type PlanRequest,
  type StyleChoice,
  type StyleSummary,
} from '@rangoli/core';
import fc from 'fast-check';

const side = fc.integer({ min: 8, max: 90 }).map(millimetres);

/** A gift that most kinds of box can hold. */
export const anyBlock = fc.record({
  shape: fc.constant('block' as const),
  across: side,
  deep: side,
  high: fc.integer({ min: 5, max: 60 }).map(millimetres),
});

/** Any of the tools that are shipped, boards of one unit with trimmers of the other among them. */
export const anyKit = fc
  .record({
    trimmer: fc.constantFrom(...genericTrimmers),
    board: fc.constantFrom(...genericBoards),
    fence: fc.constantFrom('left' as const, 'right' as const),
    diagonalBoard: fc.constantFrom(undefined, ...genericDiagonalBoards),
    cornerBoard: fc.constantFrom(undefined, ...genericCornerBoards),
  })
  .map(({ trimmer, board, fence, diagonalBoard, cornerBoard }) => ({
    ...kitOf({ trimmer, board: { ...board, fence } }),
    ...(diagonalBoard && { diagonalBoard }),
    ...(cornerBoard && { cornerBoard }),
  }));

function anyChoiceOf(style: StyleSummary): fc.Arbitrary<StyleChoice> {
  const options = style.options.map((option): fc.Arbitrary<readonly [string, unknown]> => {
    const value: fc.Arbitrary<unknown> =
      option.kind === 'switch'
        ? fc.boolean()
        : option.kind === 'count'
          ? fc.integer({ min: option.least, max: option.most })
          : fc.constantFrom(...option.values.map((each) => each.value));
    return value.map((chosen) => [option.key, chosen] as const);
  });
  return fc
    .tuple(...options)
    .map((entries) =>
      styleChoiceSchema.parse({ style: style.id, options: Object.fromEntries(entries) }),
    );
}

/** A planned box with what was asked for. */
export interface PlannedBox {
  readonly request: PlanRequest;
  readonly plan: Plan;
}

/** Any kind of box that comes out, with any of its options, planned. */
export const anyBox: fc.Arbitrary<PlannedBox> = fc
  .record({
    gift: anyBlock,
    room: fc.integer({ min: 0, max: 5 }).map((room) => evenRoom(millimetres(room))),
    kit: anyKit,
    style: fc.constantFrom(...allStyles).chain(anyChoiceOf),
    unit: fc.constantFrom('inch' as const, 'mm' as const),
  })
  .map(({ gift, room, kit, style, unit }): PlannedBox | undefined => {
    const request = { ...usualRequest(gift, unit), room, kit, style };
    const result = planBox(request);
    return result.ok ? { request, plan: result.plan } : undefined;
  })
  .filter((box) => box !== undefined);

/** What no drawing and no text may hold: a number that is none, or something that is not there. */
export const holes = /NaN|undefined|Infinity|\[object/;
