import {
  bandWays,
  ribbonLimits,
  ribbonWays,
  widestThrough,
  withWornPaper,
  type AdditionChoice,
  type RibbonChoice,
} from '../additions/index.ts';
import {
  formatWithUnit,
  inchFraction,
  largest,
  millimetres,
  roundDown,
  zero,
  type Length,
} from '../length/index.ts';
import { papersOf, type PlanRequest, type Problem } from '../request/index.ts';
import { styleSummary } from '../styles/index.ts';
import { sheetsFor } from './by-sheet.ts';
import type { WayOut } from './way-out.ts';

function way(said: string, additions: readonly AdditionChoice[]): WayOut {
  return { kind: 'dress', said, part: { additions: [...additions] } };
}

function replaced(
  { additions }: PlanRequest,
  at: number,
  choice: AdditionChoice,
): readonly AdditionChoice[] {
  return additions.map((each, i) => (i === at ? choice : each));
}

/** Layers with another margin of one of them. */
function withMargin<Layer extends { readonly margin: Length }>(
  layers: readonly Layer[],
  at: number,
  margin: Length,
): Layer[] {
  return layers.map((each, i) => (i === at ? { ...each, margin } : each));
}

/** The margin of a layer of a panel or a tag that would do, where one is too wide. */
function byMargin(
  request: PlanRequest,
  at: number,
  { field, nearest }: Problem,
): readonly WayOut[] {
  const choice = request.additions[at];
  const [, nth] = /\.layers\.(\d+)\.margin$/.exec(field) ?? [];
  if (nth === undefined || nearest === undefined) return [];
  const said = `A margin of ${formatWithUnit(nearest, request.unit)}`;
  const layer = Number(nth);
  if (choice?.addition === 'panel') {
    const layers = withMargin(choice.layers, layer, nearest);
    return [way(said, replaced(request, at, { ...choice, layers }))];
  }
  if (choice?.addition === 'tag') {
    const layers = withMargin(choice.layers, layer, nearest);
    return [way(said, replaced(request, at, { ...choice, layers }))];
  }
  return [];
}

/** The panel under what goes over it, or ending below that: the other of the two. */
function byCover(request: PlanRequest, at: number): readonly WayOut[] {
  const choice = request.additions[at];
  if (choice?.addition !== 'panel') return [];
  const isCounted = choice.underCover === 'counted';
  const said = isCounted ? 'Let the panel end below it' : 'Let the panel go under it';
  const changed: AdditionChoice = { ...choice, underCover: isCounted ? 'ends' : 'counted' };
  return [way(said, replaced(request, at, changed))];
}

const roundSaid = {
  walls: 'The band round the walls',
  across: 'The band over the top, left to right',
  deep: 'The band over the top, front to back',
  'under lid': 'The band round the base, under the lid',
} as const;

/** The band as wide as would do. */
function byBandWidth(request: PlanRequest, at: number, { nearest }: Problem): readonly WayOut[] {
  const choice = request.additions[at];
  if (choice?.addition !== 'band' || nearest === undefined) return [];
  const said = `A band ${formatWithUnit(nearest, request.unit)} wide`;
  return [way(said, replaced(request, at, { ...choice, width: nearest }))];
}

/** The ribbon that goes through a band: so narrow that it does, or another way. */
function byThreaded(request: PlanRequest, at: number): readonly WayOut[] {
  const { additions, unit } = request;
  const band = additions[at];
  const threaded = additions.findIndex((each) => each.addition === 'ribbon' && each.way === 'band');
  const ribbon = additions[threaded];
  if (band?.addition !== 'band' || ribbon?.addition !== 'ribbon') return [];
  const widest = roundDown(
    largest(zero, widestThrough(band.width)),
    unit === 'inch' ? inchFraction(1, 8) : millimetres(1),
  );
  const narrower =
    widest < ribbon.width && widest >= ribbonLimits.least
      ? [
          way(
            `A ribbon ${formatWithUnit(widest, unit)} wide`,
            replaced(request, threaded, { ...ribbon, width: widest }),
          ),
        ]
      : [];
  return [...narrower, ...byRibbon(request, threaded)];
}

/** The band another way round, or with its ends glued. */
function byBand(request: PlanRequest, at: number): readonly WayOut[] {
  const choice = request.additions[at];
  if (choice?.addition !== 'band') return [];
  const others = bandWays.filter((round) => round !== choice.round);
  return [
    ...(choice.closing === 'hooks'
      ? [way('The band with glued ends', replaced(request, at, { ...choice, closing: 'seam' }))]
      : []),
    ...others.map((round) => way(roundSaid[round], replaced(request, at, { ...choice, round }))),
  ];
}

const spotSaid = { stamp: 'stamp', sticker: 'sticker', punch: 'punched shape' } as const;

const spotPlaces = [
  { at: 'middle', said: 'in the middle' },
  { at: 'top', said: 'near the top' },
  { at: 'bottom', said: 'near the bottom' },
] as const;

/** A spot nearer to its edge, or elsewhere on its face. */
function bySpot(request: PlanRequest, at: number, { nearest }: Problem): readonly WayOut[] {
  const choice = request.additions[at];
  if (choice?.addition !== 'spot') return [];
  const name = `The ${spotSaid[choice.use]}`;
  return [
    ...(nearest === undefined
      ? []
      : [
          way(
            `${name} ${formatWithUnit(nearest, request.unit)} from the edge`,
            replaced(request, at, { ...choice, inset: nearest }),
          ),
        ]),
    ...spotPlaces
      .filter((place) => place.at !== choice.at)
      .map((place) =>
        way(`${name} ${place.said}`, replaced(request, at, { ...choice, at: place.at })),
      ),
  ];
}

/** The window smaller, or without film, which must reach beyond it. */
function byWindow(request: PlanRequest, at: number, { nearest }: Problem): readonly WayOut[] {
  const choice = request.additions[at];
  if (choice?.addition !== 'window') return [];
  const { opening, film, ...rest } = choice;
  const open: readonly WayOut[] = film
    ? [way('The window without film', replaced(request, at, { ...rest, opening }))]
    : [];
  if (nearest === undefined) return open;
  const said = formatWithUnit(nearest, request.unit);
  return [
    opening.shape === 'straight'
      ? way(
          `A window with ${said} of card round it`,
          replaced(request, at, { ...choice, opening: { ...opening, frame: nearest } }),
        )
      : way(
          `A window ${said} across`,
          replaced(request, at, { ...choice, opening: { ...opening, across: nearest } }),
        ),
    ...open,
  ];
}

/** An insert as high as the gift lets it be, or a platform under it. */
function byInsert(request: PlanRequest, at: number, { nearest }: Problem): readonly WayOut[] {
  const choice = request.additions[at];
  if (choice?.addition !== 'insert' || choice.holds.by !== 'openings') return [];
  const { holds } = choice;
  const to = (changed: typeof choice.holds | { by: 'a platform'; raised: Length }) =>
    replaced(request, at, { ...choice, holds: changed });
  return [
    ...(nearest === undefined
      ? []
      : [
          way(
            `An insert ${formatWithUnit(nearest, request.unit)} high`,
            to({ ...holds, raised: nearest }),
          ),
        ]),
    way('A platform that the gift lies on', to({ by: 'a platform', raised: holds.raised })),
  ];
}

/** The wire the other way. */
function byWire(request: PlanRequest, at: number): readonly WayOut[] {
  const choice = request.additions[at];
  if (choice?.addition !== 'wire') return [];
  const isAcross = choice.over === 'across';
  return [
    way(
      isAcross ? 'The wire from front to back' : 'The wire from left to right',
      replaced(request, at, { ...choice, over: isAcross ? 'deep' : 'across' }),
    ),
  ];
}

/** The handle the other way, or narrower. */
function byHandle(request: PlanRequest, at: number, { nearest }: Problem): readonly WayOut[] {
  const choice = request.additions[at];
  if (choice?.addition !== 'handle') return [];
  const isAcross = choice.over === 'across';
  return [
    ...(nearest === undefined
      ? []
      : [
          way(
            `A handle ${formatWithUnit(nearest, request.unit)} wide`,
            replaced(request, at, { ...choice, width: nearest }),
          ),
        ]),
    way(
      isAcross ? 'The handle from front to back' : 'The handle from left to right',
      replaced(request, at, { ...choice, over: isAcross ? 'deep' : 'across' }),
    ),
  ];
}

/** The ribbon another way. */
function byRibbon(request: PlanRequest, at: number): readonly WayOut[] {
  const choice = request.additions[at];
  if (choice?.addition !== 'ribbon') return [];
  return ribbonWays
    .filter((way) => way !== choice.way)
    .map((to) => way(ribbonSaid[to], replaced(request, at, { ...choice, way: to })));
}

const ribbonSaid: Readonly<Record<RibbonChoice['way'], string>> = {
  walls: 'The ribbon round the walls',
  across: 'The ribbon round it from left to right',
  deep: 'The ribbon round it from front to back',
  crossed: 'The ribbon crossed',
  'lid across': 'The ribbon over the lid, left to right',
  'lid deep': 'The ribbon over the lid, front to back',
  holes: 'The ribbon through its holes',
  notches: 'The ribbon round the gift and its insert',
  band: 'The ribbon through the band',
};

/** A larger sheet of the paper of something worn. */
function bySheet(request: PlanRequest, { field, needs }: Problem): readonly WayOut[] {
  const [, slot] = /^papers\.(\d+)\.sheet$/.exec(field) ?? [];
  const own = Number(slot) - styleSummary(request.style.style).papers.length;
  const paper = papersOf(request)[Number(slot)];
  if (!needs || !paper || !(own >= 0)) return [];
  return sheetsFor([needs], request).map((sheet) =>
    way(
      `${paper.name} in sheets of ${sheet.name}`,
      withWornPaper(request.additions, own, { ...paper, sheet }),
    ),
  );
}

/** Ways out by what the box wears: its margin, its paper’s sheet, where it ends, or without it. */
export function waysByWearing(
  request: PlanRequest,
  problems: readonly Problem[],
): readonly WayOut[] {
  const { additions } = request;
  if (additions.length === 0) return [];
  return problems.flatMap((problem) => {
    const [, nth] = /^additions\.(\d+)/.exec(problem.field) ?? [];
    if (nth === undefined) return bySheet(request, problem);
    const at = Number(nth);
    return [
      ...byMargin(request, at, problem),
      ...byCover(request, at),
      ...byBandWidth(request, at, problem),
      ...byThreaded(request, at),
      ...byBand(request, at),
      ...byRibbon(request, at),
      ...bySpot(request, at, problem),
      ...byWindow(request, at, problem),
      ...byInsert(request, at, problem),
      ...byHandle(request, at, problem),
      ...byWire(request, at),
      way(
        `Leave that ${request.additions[at]?.addition ?? 'panel'} off`,
        additions.filter((_, i) => i !== at),
      ),
    ];
  });
}

/** The box with nothing on it: what always can be tried where it can’t be made with what it wears. */
export function waysByUndressing({ additions }: PlanRequest): readonly WayOut[] {
  return additions.length === 0 ? [] : [way('Take off all that it wears', [])];
}
