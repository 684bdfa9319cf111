import {
  allStyles,
  evenRoom,
  genericBoards,
  genericDiagonalBoards,
  genericTrimmers,
  inches,
  inchFraction,
  kitOf,
  millimetres,
  newPanel,
  stockPaper,
  usualRequest,
  withLayer,
  withOption,
  type AdditionChoice,
  type PanelChoice,
  type Gift,
  type Kit,
  type Length,
  type Paper,
  type ProjectDocument,
  type StyleChoice,
  type StyleId,
  type BandChoice,
} from '@rangoli/core';

interface DemoBox {
  readonly name: string;
  readonly gift: Gift;
  readonly style: StyleId;
  /** Stock papers by id, in the style's order. */
  readonly papers: readonly [string, ...string[]];
  readonly room?: Length;
  readonly options?: Readonly<Record<string, string | number | boolean>>;
  /** Made with the finer trimmer and board. */
  readonly fineTools?: true;
  /** Made on a diagonal punch board. */
  readonly punchBoard?: true;
  /** What it wears: where, and of which papers from the box outwards. */
  readonly wears?: readonly {
    readonly on: PanelChoice['on'];
    readonly papers: readonly [string, ...string[]];
  }[];
  /** The paper that it and its lid are lined with. */
  readonly lined?: string;
  /** The paper of the strips that stand between its things. */
  readonly divided?: string;
  /** The band that goes round it. */
  readonly band?: { readonly round: BandChoice['round']; readonly paper: string };
}

/** What a demo box wears, each layer of a panel as far in as is usual. */
function additionsFor({ wears = [], lined, divided, band }: DemoBox): AdditionChoice[] {
  const liner: AdditionChoice[] =
    lined === undefined
      ? []
      : [{ addition: 'liner', id: 'liner-1', lines: 'box and lid', paper: stockPaper(lined) }];
  const between: AdditionChoice[] =
    divided === undefined
      ? []
      : [{ addition: 'dividers', id: 'dividers-1', paper: stockPaper(divided) }];
  const round: AdditionChoice[] = band
    ? [
        {
          addition: 'band',
          id: 'band-1',
          round: band.round,
          width: inchFraction(5, 4),
          closing: 'seam',
          paper: stockPaper(band.paper),
        },
      ]
    : [];
  const panels = wears.reduce<AdditionChoice[]>((worn, { on, papers: [first, ...others] }) => {
    const lowest = newPanel({
      id: `panel-${worn.length + 1}`,
      on,
      paper: stockPaper(first),
      unit: 'inch',
    });
    const panel = others.reduce(
      (below, paper) => withLayer(below, stockPaper(paper), 'inch'),
      lowest,
    );
    return [...worn, panel];
  }, []);
  return [...liner, ...between, ...panels, ...round];
}

function fineKit(): Kit {
  const [trimmer] = genericTrimmers.filter(({ step }) => step === inchFraction(1, 32));
  const [board] = genericBoards.filter(({ pitch }) => pitch === inchFraction(1, 16));
  if (!trimmer || !board) throw new Error('No fine tools are shipped');
  return kitOf({ trimmer, board });
}

function withPunchBoard(kit: Kit): Kit {
  const [diagonalBoard] = genericDiagonalBoards;
  return { ...kit, ...(diagonalBoard && { diagonalBoard }) };
}

/** The observatory's open night, from the last made box to the first on the shelf. */
const openNight: readonly DemoBox[] = [
  {
    name: 'Night tea, a bag to take home',
    gift: { shape: 'block', across: inches(3), deep: inches(2.5), high: inchFraction(5, 8) },
    style: 'diamond-wrap',
    papers: ['comet'],
    options: { lid: 'none' },
    punchBoard: true,
  },
  {
    name: 'Planet marbles, three by three',
    gift: {
      shape: 'several',
      item: { shape: 'ball', diameter: millimetres(16) },
      across: 3,
      deep: 3,
      high: 1,
      packing: 'in rows',
    },
    style: 'lidded',
    papers: ['graphite', 'orbits'],
    room: inchFraction(1, 16),
    lined: 'star-trails',
    divided: 'eggshell',
  },
  {
    name: 'Night tea tin',
    gift: { shape: 'block', across: inches(2), deep: inches(2), high: inches(3.75) },
    style: 'pinch-top',
    papers: ['graphite'],
    wears: [
      {
        on: { which: 'face', face: { piece: 'bag', role: 'wall', faces: 'front' } },
        papers: ['eggshell', 'orbits'],
      },
    ],
  },
  {
    name: 'Hand lens',
    gift: { shape: 'block', across: inches(4.25), deep: inches(1.75), high: inchFraction(5, 8) },
    style: 'drawer',
    papers: ['comet', 'dusk'],
  },
  {
    name: 'Moon-phase top',
    gift: {
      shape: 'cylinder',
      diameter: millimetres(44),
      length: millimetres(38),
      lies: 'standing',
    },
    style: 'lidded',
    papers: ['eggshell', 'comet'],
    room: inchFraction(1, 4),
    options: { lidDepth: 'half' },
  },
  {
    name: 'Eclipse glasses',
    gift: { shape: 'card', across: inches(6), deep: inches(2.25), thick: inchFraction(1, 4) },
    style: 'mailer',
    papers: ['sodium'],
    wears: [
      {
        on: { which: 'face', face: { piece: 'mailer', role: 'lid', faces: 'top' } },
        papers: ['eggshell', 'star-trails'],
      },
    ],
  },
  {
    name: 'Rolled star chart',
    gift: { shape: 'cylinder', diameter: inches(1.25), length: inches(8.5), lies: 'lying' },
    style: 'lidded',
    papers: ['dusk', 'orbits'],
  },
  {
    name: 'Planet marbles, nine in a row',
    gift: {
      shape: 'several',
      item: { shape: 'ball', diameter: millimetres(16) },
      across: 9,
      deep: 1,
      high: 1,
      packing: 'in rows',
    },
    style: 'shell',
    papers: ['eggshell', 'orbits'],
    room: inchFraction(1, 32),
    band: { round: 'deep', paper: 'dusk' },
  },
  {
    name: 'Meteorite jar',
    gift: {
      shape: 'bottle',
      diameter: inches(1.75),
      body: inches(1.5),
      shoulder: inchFraction(1, 4),
      neckDiameter: inches(1.25),
      neck: inchFraction(3, 8),
    },
    style: 'many-sided',
    papers: ['graphite', 'sodium'],
    fineTools: true,
  },
  {
    name: 'Pocket sundial, open night',
    gift: {
      shape: 'block',
      across: inchFraction(37, 16),
      deep: inchFraction(37, 16),
      high: inchFraction(9, 16),
    },
    style: 'lidded',
    papers: ['dusk', 'sodium'],
  },
];

function choiceFor({ style, options = {} }: DemoBox): StyleChoice {
  const usual = allStyles.find(({ id }) => id === style)?.usual;
  if (!usual) throw new Error(`No style ${style} to show`);
  return Object.entries(options).reduce(
    (choice, [key, value]) => withOption(choice, key, value),
    usual,
  );
}

/** The demo shelf as project documents, in the order in which they were made. */
export function demoProjects(): readonly ProjectDocument[] {
  return openNight.map((box) => {
    const usual = usualRequest(box.gift, 'inch');
    const [first, ...rest] = box.papers;
    const papers: [Paper, ...Paper[]] = [stockPaper(first), ...rest.map(stockPaper)];
    return {
      version: 1,
      name: box.name,
      box: {
        ...usual,
        papers,
        room: box.room === undefined ? usual.room : evenRoom(box.room),
        style: choiceFor(box),
        additions: additionsFor(box),
        ...(box.fineTools && { kit: fineKit() }),
        ...(box.punchBoard && { kit: withPunchBoard(usual.kit) }),
      },
    };
  });
}

/** How many of a box the open night needs, by its name; one of the others. */
export const demoBatches: ReadonlyMap<string, number> = new Map([
  ['Pocket sundial, open night', 6],
  ['Planet marbles, nine in a row', 12],
]);
