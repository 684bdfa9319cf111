import {
  extentsOf,
  half,
  inchFraction,
  roundDown,
  type InsertChoice,
  millimetres,
  standsInARow,
  standsInRows,
  type AdditionChoice,
  type FaceChoice,
  type Length,
  zero,
  type Paper,
  type PlanRequest,
} from '@rangoli/core';

/** What a new thing is made from. */
export interface NewThing {
  readonly id: string;
  readonly box: PlanRequest;
  /** A print, where the maker has one, that the box is not made of. */
  readonly print: Paper;
}

/** Something that is put on or in a box as a whole, and not on one of its faces. */
export interface Thing {
  /** As it is chosen from a list, and as it is offered where a face was pointed at. */
  readonly label: string;
  /** Whether it lies in the box, or goes round or over it. */
  readonly goes: 'in' | 'round';
  readonly make: (from: NewThing) => AdditionChoice;
  /** Whether it belongs to a face that is pointed at. */
  readonly isAt: (face: FaceChoice) => boolean;
  /** Whether it is of any use for what the box is for; for any box where it isn’t said. */
  readonly isFor?: (box: PlanRequest) => boolean;
  /** Whether the box has it, or nothing more of it can be put on. */
  readonly isOn: (additions: readonly AdditionChoice[]) => boolean;
}

function isOnLid({ role, faces }: FaceChoice): boolean {
  return faces === 'top' && (role === 'lid' || role === 'floor');
}

function hasLiner(additions: readonly AdditionChoice[]): boolean {
  return additions.some(({ addition }) => addition === 'liner');
}

function hasStiffener(additions: readonly AdditionChoice[], where: 'floor' | 'lid'): boolean {
  return additions.some((each) => each.addition === 'stiffener' && each.in === where);
}

/** As wide as looks well on most boxes. */
function bandWidth({ unit }: PlanRequest): Length {
  return unit === 'inch' ? inchFraction(5, 4) : millimetres(30);
}

/** How an insert usually holds such a gift: a flat one by slits, what stands in openings half as high, all else on a platform. */
function holdsFor({ gift, unit }: PlanRequest): InsertChoice['holds'] {
  const { high } = extentsOf(gift);
  if (gift.shape === 'card') return { by: 'slits' };
  const mark = unit === 'inch' ? inchFraction(1, 8) : millimetres(5);
  const halfway = roundDown(half(high), mark);
  const isTall = halfway >= millimetres(15);
  return isTall
    ? { by: 'openings', raised: halfway }
    : { by: 'a platform', raised: unit === 'inch' ? inchFraction(3, 4) : millimetres(20) };
}

/** Kinds of box that are carried by a handle of their own. */
const hasOwnHandle: ReadonlySet<string> = new Set(['basket', 'carry-tray']);

/** All of them, in the order in which they are listed. */
export const things: readonly Thing[] = [
  {
    label: 'Liner inside the box',
    goes: 'in',
    make: ({ id, print }) => ({ addition: 'liner', id, lines: 'box', paper: print }),
    isAt: ({ role, faces }) => faces !== 'top' && (role === 'floor' || role === 'wall'),
    isOn: hasLiner,
  },
  {
    label: 'Liner inside box and lid',
    goes: 'in',
    make: ({ id, print }) => ({ addition: 'liner', id, lines: 'box and lid', paper: print }),
    isAt: isOnLid,
    isOn: hasLiner,
  },
  {
    label: 'Stiffener on the floor',
    goes: 'in',
    make: ({ id, box }) => ({ addition: 'stiffener', id, in: 'floor', paper: box.papers[0] }),
    isAt: ({ role, faces }) => role === 'floor' && faces === 'bottom',
    isOn: (additions) => hasStiffener(additions, 'floor'),
  },
  {
    label: 'Stiffener in the lid',
    goes: 'in',
    make: ({ id, box }) => ({ addition: 'stiffener', id, in: 'lid', paper: box.papers[0] }),
    isAt: isOnLid,
    isOn: (additions) => hasStiffener(additions, 'lid'),
  },
  {
    label: 'Dividers between the things',
    goes: 'in',
    make: ({ id, box }) => ({ addition: 'dividers', id, paper: box.papers[0] }),
    isAt: ({ role, faces }) => role === 'floor' && faces === 'bottom',
    isFor: ({ gift }) => standsInRows(gift) || standsInARow(gift),
    isOn: (additions) => additions.some(({ addition }) => addition === 'dividers'),
  },
  {
    label: 'Band round the closed box',
    goes: 'round',
    make: ({ id, box, print }) => ({
      addition: 'band',
      id,
      round: 'across',
      width: bandWidth(box),
      closing: 'seam',
      paper: print,
    }),
    isAt: isOnLid,
    isOn: (additions) => additions.some(({ addition }) => addition === 'band'),
  },
  {
    label: 'Ribbon with a bow',
    goes: 'round',
    make: ({ id, box: { unit } }) => ({
      addition: 'ribbon',
      id,
      way: 'crossed',
      width: unit === 'inch' ? inchFraction(3, 8) : millimetres(10),
      bow: unit === 'inch' ? inchFraction(4, 1) : millimetres(100),
    }),
    isAt: isOnLid,
    isOn: (additions) => additions.filter(({ addition }) => addition === 'ribbon').length > 1,
  },
  {
    label: 'Tag',
    goes: 'round',
    make: ({ id, box, print }) => ({
      addition: 'tag',
      id,
      shape: 'clipped',
      width: box.unit === 'inch' ? inchFraction(7, 4) : millimetres(45),
      height: box.unit === 'inch' ? inchFraction(5, 2) : millimetres(65),
      isFolded: false,
      hasHole: true,
      layers: [
        { margin: zero, paper: box.papers[0], standsOff: false },
        {
          margin: box.unit === 'inch' ? inchFraction(1, 8) : millimetres(3),
          paper: print,
          standsOff: false,
        },
      ],
    }),
    isAt: isOnLid,
    isOn: (additions) => additions.filter(({ addition }) => addition === 'tag').length > 2,
  },
  {
    label: 'Insert that holds the gift',
    goes: 'in',
    make: ({ id, box }) => ({
      addition: 'insert',
      id,
      holds: holdsFor(box),
      paper: box.papers[0],
    }),
    isAt: ({ role, faces }) => role === 'floor' && faces === 'bottom',
    isOn: (additions) => additions.some(({ addition }) => addition === 'insert'),
  },
  {
    label: 'Handle over the top',
    goes: 'round',
    make: ({ id, box }) => ({
      addition: 'handle',
      id,
      over: 'across',
      width: box.unit === 'inch' ? inchFraction(5, 8) : millimetres(15),
      rise: box.unit === 'inch' ? inchFraction(7, 4) : millimetres(45),
      paper: box.papers[0],
    }),
    isAt: isOnLid,
    isFor: ({ style: { style } }) => !hasOwnHandle.has(style),
    isOn: (additions) => additions.some(({ addition }) => addition === 'handle'),
  },
];
