import {
  half,
  millimetres,
  minus,
  plus,
  smallest,
  times,
  zero,
  type Length,
} from '../length/index.ts';
import type { Cutout, CutoutUse, Spot } from '../piece/index.ts';
import type { SizeOf } from './brief.ts';
import { columnScore, columnSlit, drawGrid, rowScore, rowSlit, valley } from './draw-grid.ts';
import { tabTaper, thumbRadius } from './tray.ts';

/** What is folded or put together when, counted over the whole box. */
export const hingedStages = { tabs: 0, sides: 1, fronts: 2, lip: 3, gift: 4, lid: 5 } as const;

/** How the lid's front ends, and whether it has a bite for the thumb. */
export interface HingedOptions {
  readonly thumbNotch: boolean;
  readonly front: 'square' | 'curved' | 'lip';
}

/** A corner tab by its hinge and its free end: two wedges and what would be too long. */
interface Tab {
  readonly left: Length;
  readonly right: Length;
  readonly hinge: Length;
  readonly free: Length;
}

function tabCutouts({ left, right, hinge, free }: Tab, longest: Length): readonly Cutout[] {
  const inset = tabTaper(minus(right, left));
  const away = free > hinge ? 1 : -1;
  const length = times(minus(free, hinge), away);
  const at = (x: Length, y: Length): Spot => ({ x, y });
  const wedge = (x: Length, inward: Length): Cutout => ({
    shape: 'trim',
    use: 'tab',
    corners: [at(x, hinge), at(x, free), at(plus(x, inward), free)],
  });
  const wedges = [wedge(left, inset), wedge(right, times(inset, -1))];
  if (length <= longest) return wedges;
  const end = plus(hinge, times(longest, away));
  return [
    ...wedges,
    {
      shape: 'trim',
      use: 'tab',
      corners: [at(left, end), at(right, end), at(right, free), at(left, free)],
    },
  ];
}

/** The sections of a base and its lid in one piece, and where the lid's sides are folded. */
export interface HingedBox {
  readonly wall: string;
  readonly across: string;
  readonly deep: string;
  /** Where the folds of the lid's side walls lie, from the left edge. */
  readonly lidSides: (size: SizeOf) => readonly [Length, Length];
  readonly lidDeep: string;
  readonly lidWall: string;
  readonly spine: string;
  /** Turned in behind the lid's front, where there is one. */
  readonly lip: string | undefined;
}

/** Straight-sided waste from one corner to the opposite one. */
function waste(use: CutoutUse, from: Spot, to: Spot): Cutout {
  return {
    shape: 'trim',
    use,
    corners: [from, { x: to.x, y: from.y }, to, { x: from.x, y: to.y }],
  };
}

/** Base and lid in one piece, joined by a spine. */
export function drawHingedBox(ids: HingedBox, size: SizeOf, { thumbNotch, front }: HingedOptions) {
  const wall = size(ids.wall);
  const across = size(ids.across);
  const lidWall = size(ids.lidWall);
  const lip = ids.lip === undefined ? [] : [size(ids.lip)];
  // Rows are counted from the lid's front; a lip stands before it.
  const row = (line: number) => line + lip.length;
  const whole = plus(wall, across, wall);
  const [left, right] = ids.lidSides(size);
  const columns = [
    left,
    minus(wall, left),
    across,
    minus(right, wall, across),
    minus(whole, right),
  ];
  const rows = [...lip, lidWall, size(ids.lidDeep), size(ids.spine), size(ids.deep), wall];
  const y = (line: number) => plus(zero, ...rows.slice(0, row(line)));
  const radius = smallest(thumbRadius(across, lidWall), times(across, 1 / 8));
  const longest = minus(half(across), thumbNotch ? radius : zero, millimetres(0.8));
  const curve =
    front === 'curved' ? smallest(millimetres(10), times(lidWall, 0.5), times(across, 0.3)) : zero;
  /** A stretch across the piece, from one end of it or the other, each with its own side of the lid. */
  const fromBothEnds = (stretch: (side: Length) => readonly [Length, Length]) => {
    const [from, to] = stretch(left);
    const [back, fore] = stretch(minus(whole, right));
    return [
      { left: from, right: to },
      { left: minus(whole, fore), right: minus(whole, back) },
    ];
  };
  const spare = (side: Length) => minus(side, lidWall);
  const lidTabs = fromBothEnds((side) => [plus(spare(side), curve), side]);
  const tabs: readonly Tab[] = [
    ...lidTabs.map((x) => ({ ...x, hinge: y(1), free: y(0) })),
    ...fromBothEnds(() => [zero, wall]).map((x) => ({ ...x, hinge: y(3), free: y(2) })),
    ...fromBothEnds(() => [zero, wall]).map((x) => ({ ...x, hinge: y(4), free: y(5) })),
  ];
  // The lid's side walls are no deeper than its front.
  const strips = fromBothEnds((side) => [zero, spare(side)])
    .filter((strip) => strip.right > strip.left)
    .map((strip) => waste('lid side', { x: strip.left, y: y(0) }, { x: strip.right, y: y(2) }));
  // Behind a curved corner no tab may show.
  const curves =
    curve === 0
      ? []
      : [
          ...fromBothEnds((side) => [spare(side), plus(spare(side), curve)]).map((strip) =>
            waste('tab', { x: strip.left, y: y(0) }, { x: strip.right, y: y(1) }),
          ),
          ...[left, right].map((x): Cutout => ({
            shape: 'corner',
            use: 'lid front',
            at: { x, y: y(0) },
            along: x === left ? curve : times(curve, -1),
            down: curve,
          })),
        ];
  // A lip is drawn in, so that it clears the lid's sides as it is turned in.
  const lipEnds = lip.flatMap((depth) => {
    const inset = smallest(depth, times(across, 1 / 5));
    return [
      { from: left, to: plus(left, inset) },
      { from: right, to: minus(right, inset) },
    ].map(({ from, to }): Cutout => ({
      shape: 'trim',
      use: 'lip',
      corners: [
        { x: from, y: zero },
        { x: to, y: zero },
        { x: from, y: depth },
      ],
    }));
  });
  const shallow = lip.map((depth) => times(depth, 0.8));
  const middle = { x: half(plus(left, right)), y: y(0) };
  // Through a lip and the front at once it is punched on their fold.
  const bite: Cutout =
    lip.length > 0
      ? { shape: 'hole', use: 'thumb notch', centre: middle, radius: smallest(radius, ...shallow) }
      : { shape: 'notch', use: 'thumb notch', centre: middle, radius, edge: 'top' };
  return drawGrid({
    columns,
    rows,
    picture: [...lip.map(() => '.rrr.'), 'twwwt', 'wlllw', 'ttwtt', 'wwfww', 'ttwtt'],
    lines: [
      ...lip.map(() => rowScore(1, 1, 4, valley(180, hingedStages.lip))),
      ...[1, 4].flatMap((line) => [
        columnSlit(line, row(0), row(1)),
        columnScore(line, row(1), row(2), valley(90, hingedStages.sides)),
      ]),
      ...[2, 3].flatMap((line) => [
        columnSlit(line, row(2), row(3)),
        columnScore(line, row(3), row(4), valley(90, hingedStages.sides)),
        columnSlit(line, row(4), row(5)),
      ]),
      rowScore(row(1), 0, 1, valley(90, hingedStages.tabs)),
      rowScore(row(1), 1, 4, valley(90, hingedStages.fronts)),
      rowScore(row(1), 4, 5, valley(90, hingedStages.tabs)),
      rowSlit(row(2), 0, 2),
      rowScore(row(2), 2, 3, valley(90, hingedStages.lid)),
      rowSlit(row(2), 3, 5),
      ...[row(3), row(4)].flatMap((line) => [
        rowScore(line, 0, 2, valley(90, hingedStages.tabs)),
        rowScore(line, 2, 3, valley(90, hingedStages.fronts)),
        rowScore(line, 3, 5, valley(90, hingedStages.tabs)),
      ]),
    ],
    cutouts: [
      ...tabs.flatMap((tab) => tabCutouts(tab, longest)),
      ...strips,
      ...curves,
      ...lipEnds,
      ...(thumbNotch ? [bite] : []),
    ],
  });
}
