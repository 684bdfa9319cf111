import fc from 'fast-check';
import {
  allStyles,
  commonSheets,
  evenRoom,
  genericBoards,
  genericCornerBoards,
  genericDiagonalBoards,
  genericTrimmers,
  inchFraction,
  kitOf,
  largeSheets,
  millimetres,
  nanometres,
  plus,
  stockPaper,
  planBox,
  styleChoiceSchema,
  usualRequest,
  type Gift,
  type GiftItem,
  type Kit,
  type Paper,
  type PlanRequest,
  type StyleChoice,
  type StyleSummary,
  type ToolKind,
} from '../index.ts';

const length = (least: number, most: number) =>
  fc.integer({ min: least * 1000, max: most * 1000 }).map((micron) => nanometres(micron * 1000));

/** Which measure stands upright; a maker may not mind. */
const upright = fc.constantFrom('high', 'deep', 'across', 'free');

/** One thing that a person would box, to the micron. */
const anyItem: fc.Arbitrary<GiftItem> = fc.oneof(
  {
    weight: 4,
    arbitrary: fc.record({
      shape: fc.constantFrom('block', 'block', 'lumpy'),
      across: length(5, 160),
      deep: length(5, 160),
      high: length(3, 90),
      up: upright,
    }),
  },
  {
    weight: 2,
    arbitrary: fc.record({
      shape: fc.constant('cylinder' as const),
      diameter: length(5, 90),
      length: length(5, 160),
      lies: fc.constantFrom('standing', 'lying', 'free'),
    }),
  },
  fc.record({ shape: fc.constant('ball' as const), diameter: length(5, 90) }),
  fc.record({
    shape: fc.constant('card' as const),
    across: length(30, 160),
    deep: length(30, 160),
    thick: length(0.2, 8),
  }),
  fc
    .record({
      diameter: length(20, 70),
      body: length(20, 80),
      shoulder: length(0, 20),
      neck: length(5, 30),
      share: fc.integer({ min: 3, max: 9 }),
    })
    .map(({ share, ...bottle }) => ({
      shape: 'bottle' as const,
      ...bottle,
      // One that lies is drawn by what is drawn already, so that no other draw becomes another.
      ...(share < 5 && { lies: share < 4 ? ('free' as const) : ('lying' as const) }),
      neckDiameter: nanometres(Math.max(3_000_000, Math.floor((bottle.diameter * share) / 10))),
    })),
);

/** Any gift: one thing, several alike, or different ones side by side. */
export const anyGift: fc.Arbitrary<Gift> = fc.oneof(
  { weight: 6, arbitrary: anyItem },
  fc.record({
    shape: fc.constant('several' as const),
    item: anyItem,
    across: fc.integer({ min: 1, max: 3 }),
    deep: fc.integer({ min: 1, max: 3 }),
    high: fc.integer({ min: 1, max: 2 }),
    packing: fc.constantFrom('in rows' as const, 'nested' as const),
  }),
  fc.record({
    shape: fc.constant('set' as const),
    items: fc.array(anyItem, { minLength: 1, maxLength: 3 }),
  }),
);

/** Any card from 0.15 to 0.6 mm, to the micron. */
export const anyPaper: fc.Arbitrary<Paper> = fc
  .record({ thickness: length(0.15, 0.6), printRuns: fc.constantFrom('any way', 'one way') })
  .map((paper) => ({
    ...stockPaper('dusk'),
    print: paper.printRuns === 'one way' ? 'one face' : 'plain',
    ...paper,
  }));

type ThreePapers = [Paper, Paper, Paper];

/** Three papers of the drawer, each by its own name. */
function named([first, second, third]: ThreePapers): ThreePapers {
  const as = (id: string, paper: Paper): Paper => {
    const { name } = stockPaper(id);
    return { ...paper, id, name };
  };
  return [as('dusk', first), as('sodium', second), as('comet', third)];
}

/** A style with any of its options. */
export function anyChoiceOf(style: StyleSummary): fc.Arbitrary<StyleChoice> {
  const options = style.options.map((option): fc.Arbitrary<[string, unknown]> => {
    const value: fc.Arbitrary<unknown> =
      option.kind === 'switch'
        ? fc.boolean()
        : option.kind === 'count'
          ? fc.integer({ min: option.least, max: option.most })
          : option.kind === 'depth'
            ? fc.oneof(
                {
                  weight: 6,
                  arbitrary: fc.constantFrom(...option.values.map(({ value }) => value)),
                },
                { weight: 1, arbitrary: length(4, 60) },
              )
            : fc.constantFrom(...option.values.map(({ value }) => value));
    return value.map((chosen): [string, unknown] => [option.key, chosen]);
  });
  return fc
    .tuple(...options)
    .map((entries) =>
      styleChoiceSchema.parse({ style: style.id, options: Object.fromEntries(entries) }),
    );
}

/** The same style without figures: its depths are chosen by their words alone. */
export function inWords(style: StyleSummary): StyleSummary {
  const options = style.options.map((option) =>
    option.kind === 'depth' ? ({ ...option, kind: 'choice' } as const) : option,
  );
  return { ...style, options };
}

/** Whether a depth of a style is asked for as a figure. */
export function hasFigure({ style, options }: StyleChoice): boolean {
  const asked = Object.entries<unknown>({ ...options });
  return allStyles
    .filter(({ id }) => id === style)
    .flatMap((summary) => summary.options)
    .some(
      ({ kind, key }) =>
        kind === 'depth' &&
        asked.some(([option, value]) => option === key && typeof value === 'number'),
    );
}

/** Every trimmer that is shipped with every board. */
export const shippedKits: readonly Kit[] = genericTrimmers.flatMap((trimmer) =>
  genericBoards.map((board) => kitOf({ trimmer, board })),
);
const plainKit = fc.constantFrom(...shippedKits);

/** A table crowded with tools, or one that lacks the usual ones. */
export const oddKit: fc.Arbitrary<Kit> = fc
  .record({
    kit: plainKit,
    shim: fc.constantFrom(undefined, millimetres(0.5), millimetres(1), inchFraction(1, 16)),
    fence: fc.constantFrom('left' as const, 'right' as const),
    grooveLength: fc.constantFrom(millimetres(110), millimetres(200), millimetres(300)),
    scoringTip: fc.boolean(),
    // From trimmers for cards and tags to those that take a whole sheet.
    cutLength: fc.constantFrom(millimetres(150), inchFraction(17, 2), millimetres(310)),
    tableWidth: fc.constantFrom(millimetres(80), millimetres(150)),
    arm: fc.constantFrom(millimetres(0), millimetres(60), millimetres(230)),
    diagonalBoard: fc.constantFrom(undefined, ...genericDiagonalBoards),
    cornerBoard: fc.constantFrom(undefined, ...genericCornerBoards),
    lineLength: fc.constantFrom(millimetres(20), millimetres(150)),
    without: fc.constantFrom<ToolKind[]>(
      [],
      [],
      [],
      ['boards'],
      ['trimmers'],
      ['boards', 'trimmers'],
    ),
  })
  .map(({ kit, shim, fence, grooveLength, diagonalBoard, cornerBoard, ...more }) => ({
    ...kit,
    board: { ...kit.board, fence, grooveLength, ...(shim !== undefined && { shim }) },
    trimmer: {
      ...kit.trimmer,
      scoringTip: more.scoringTip,
      cutLength: more.cutLength,
      tableWidth: more.tableWidth,
      widthWithArm: plus(more.tableWidth, more.arm),
    },
    ...(diagonalBoard && { diagonalBoard }),
    ...(cornerBoard && { cornerBoard: { ...cornerBoard, lineLength: more.lineLength } }),
    without: more.without,
  }));

/** Any kit, mixed units among them. */
export const anyKit = fc.oneof(
  { arbitrary: plainKit, weight: 3 },
  { arbitrary: oddKit, weight: 2 },
);

/** Any request in one of these styles, on any tools. */
export function requestsIn(
  styles: readonly StyleSummary[],
  kits: fc.Arbitrary<Kit> = anyKit,
): fc.Arbitrary<PlanRequest> {
  return fc
    .record({
      gift: anyGift,
      room: length(0, 8).map(evenRoom),
      papers: fc.tuple(anyPaper, anyPaper, anyPaper),
      kit: kits,
      style: fc.oneof(...styles.map(anyChoiceOf)),
      lean: fc.constantFrom('loose' as const, 'tight' as const),
      unit: fc.constantFrom('inch' as const, 'mm' as const),
    })
    .map(({ gift, room, papers, kit, style, lean, unit }) => ({
      ...usualRequest(gift, unit),
      room,
      // Papers that differ have names of their own.
      papers: named(papers),
      kit,
      style,
      lean,
    }));
}

/** What stands upright and is round, as a ring seat wants it. */
const roundGift: fc.Arbitrary<Gift> = fc.oneof(
  fc.record({
    shape: fc.constant('cylinder' as const),
    diameter: length(8, 90),
    length: length(5, 120),
    lies: fc.constantFrom('standing', 'free'),
  }),
  fc.record({ shape: fc.constant('ball' as const), diameter: length(8, 90) }),
);

const aMetre = { name: 'A metre', width: millimetres(1000), height: millimetres(1000) };

/** Mostly sheets that have room for anything; else such as are sold, whichever they are. */
const sheets = fc.oneof(
  { weight: 4, arbitrary: fc.constant([aMetre, aMetre, aMetre]) },
  {
    weight: 1,
    arbitrary: fc.array(fc.constantFrom(...commonSheets, ...largeSheets), {
      minLength: 3,
      maxLength: 3,
    }),
  },
);

/** How far between its limits each depth is asked for as a figure, or a little beyond them; most are left to a word. */
function figuresFor(style: StyleSummary): fc.Arbitrary<ReadonlyMap<string, number>> {
  const depths = style.options.filter(({ kind }) => kind === 'depth');
  const share = fc.integer({ min: -5, max: 105 }).map((hundredths) => hundredths / 100);
  return fc.tuple(...depths.map(() => fc.option(share, { freq: 2 }))).map(
    (shares) =>
      new Map(
        shares.flatMap((each, i) => {
          const key = depths[i]?.key;
          return each === null || key === undefined ? [] : [[key, each] as const];
        }),
      ),
  );
}

/** The same request with figures in place of words, between what the plan of the words says that they may be. */
function inFigures(request: PlanRequest, shares: ReadonlyMap<string, number>): PlanRequest {
  const planned = shares.size === 0 ? undefined : planBox(request);
  if (!planned?.ok) return request;
  const figures = planned.plan.depths.flatMap(({ option, least, most }) => {
    const share = shares.get(option);
    if (share === undefined) return [];
    // No figure is asked for that is less than a millimetre.
    const figure = Math.max(1_000_000, Math.round(least + share * (most - least)));
    return [[option, figure] as const];
  });
  const { style, options } = request.style;
  const asked = { style, options: { ...options, ...Object.fromEntries(figures) } };
  return { ...request, style: styleChoiceSchema.parse(asked) };
}

/**
 * Requests as they come at a table where somebody knows the kind of box and sees what its depths may be: for a gift
 * of the sort that it is for, and mostly with a sheet that is large enough.
 */
export function tableRequestsIn(style: StyleSummary): fc.Arbitrary<PlanRequest> {
  return fc
    .record({
      request: requestsIn([inWords(style)]),
      round: roundGift,
      sheets,
      figures: figuresFor(style),
    })
    .map(({ request, round, sheets: drawn, figures }) => {
      const [first, ...rest] = request.papers;
      const onSheet = (paper: Paper, nth: number): Paper => ({
        ...paper,
        sheet: drawn[nth] ?? paper.sheet,
      });
      const laid: PlanRequest = {
        ...request,
        ...(style.id === 'ring-seat' && { gift: round }),
        papers: [onSheet(first, 0), ...rest.map((paper, i) => onSheet(paper, i + 1))],
      };
      return inFigures(laid, figures);
    });
}

/** As large and as small as a measure may be, with few in between. */
const extreme = fc
  .oneof(
    fc.constantFrom(3, 4, 5, 8),
    fc.integer({ min: 5, max: 60 }),
    fc.integer({ min: 60, max: 900 }),
  )
  .map(millimetres);

/** Requests for blocks that are very flat, very narrow or very high, of card of any thickness on sheets of a metre. */
export function extremeRequestsIn(styles: readonly StyleSummary[]): fc.Arbitrary<PlanRequest> {
  return fc
    .record({
      request: requestsIn(styles),
      gift: fc.record({ across: extreme, deep: extreme, high: extreme }),
      room: fc.constantFrom(0, 0.5, 3, 25).map((each) => evenRoom(millimetres(each))),
      thickness: fc.constantFrom(0.1, 0.3, 0.8).map(millimetres),
    })
    .map(({ request, gift, room, thickness }) => {
      const [first, ...others] = request.papers;
      const asked = (paper: Paper) => ({ ...paper, thickness, sheet: aMetre });
      return {
        ...request,
        gift: { shape: 'block', ...gift },
        room,
        papers: [asked(first), ...others.map(asked)],
      };
    });
}

/** Any lidded box. */
export const anyLidded = requestsIn(allStyles.filter(({ id }) => id === 'lidded'));

/** Any box. */
export const anyRequest = requestsIn(allStyles);

/** The pocket sundial of the open night: 2 5/16 × 2 5/16 × 9/16 in. */
export const sundial: Gift = {
  shape: 'block',
  across: millimetres(58.7375),
  deep: millimetres(58.7375),
  high: millimetres(14.2875),
};

/** A box of a kind with its usual options, in inches. */
export function usualOf(id: string, gift: Gift = sundial): PlanRequest {
  const options = allStyles.find((each) => each.id === id)?.usual.options;
  const style = styleChoiceSchema.parse({ style: id, options });
  return { ...usualRequest(gift, 'inch'), style };
}
