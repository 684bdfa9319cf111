import fc from 'fast-check';
import {
  choiceOf,
  inchFraction,
  millimetres,
  papersOf,
  planBox,
  standsInARow,
  standsInRows,
  wearable,
  windowFilm,
  windowPlaces,
  wireWays,
  type AdditionChoice,
  type Length,
  type Paper,
  type Plan,
  type PlanRequest,
} from '../index.ts';
import { anyPaper } from './requests.ts';

/** What is drawn of a panel before it is known which faces there are. */
interface DrawnPanel {
  readonly at: number;
  readonly isOnWalls: boolean;
  readonly layers: readonly { readonly margin: Length; readonly paper: Paper }[];
  readonly underCover: 'counted' | 'ends';
}

const margin = fc.oneof(
  {
    weight: 6,
    arbitrary: fc.constantFrom(inchFraction(1, 8), inchFraction(1, 16), millimetres(2)),
  },
  { weight: 1, arbitrary: fc.constantFrom(millimetres(0), millimetres(6), millimetres(15)) },
);

const drawnPanel: fc.Arbitrary<DrawnPanel> = fc.record({
  at: fc.nat(60),
  isOnWalls: fc.boolean(),
  layers: fc.array(
    fc.record({
      margin,
      paper: anyPaper,
    }),
    { minLength: 1, maxLength: 3 },
  ),
  underCover: fc.constantFrom('counted' as const, 'counted' as const, 'ends' as const),
});

/** The papers of panels are told apart by their names. */
function named(panels: readonly DrawnPanel[]): readonly DrawnPanel[] {
  return panels.map((panel, i) => ({
    ...panel,
    layers: panel.layers.map((layer, j) => ({
      ...layer,
      paper: { ...layer.paper, id: `worn-${i}-${j}`, name: `Worn ${i * 10 + j + 1}` },
    })),
  }));
}

/** What is drawn of plates inside the box, which its floor, its lid or its walls must have room for, and of a band. */
interface DrawnInside {
  readonly stiffens: 'floor' | 'lid' | undefined;
  readonly lines: 'box' | 'lid' | 'box and lid' | undefined;
  /** What goes round the box in the end. */
  readonly round: 'walls' | 'across' | 'deep' | undefined;
  /** Whether strips stand between things in rows. */
  readonly divides: boolean;
  readonly paper: Paper;
}

const drawnInside: fc.Arbitrary<DrawnInside> = fc.record({
  stiffens: fc.constantFrom(undefined, undefined, 'floor' as const, 'lid' as const),
  lines: fc.constantFrom(
    undefined,
    undefined,
    'box' as const,
    'box and lid' as const,
    'lid' as const,
  ),
  round: fc.constantFrom(
    undefined,
    undefined,
    'walls' as const,
    'across' as const,
    'deep' as const,
  ),
  divides: fc.boolean(),
  paper: anyPaper,
});

/** A ribbon round every third box or so, told from its paper: drawn for itself, it would make all others anew. */
function ribbonOf({ thickness }: Paper): readonly AdditionChoice[] {
  const dice = Math.round(thickness / 1000);
  const way = (['walls', 'across', 'deep', 'crossed'] as const)[dice % 12];
  if (way === undefined) return [];
  const bow = millimetres((dice % 5) * 25);
  return [{ addition: 'ribbon', id: 'ribbon-1', way, width: millimetres(4 + (dice % 20)), bow }];
}

/** A narrow ribbon through every other insert with notches, and through every fourth band. */
function ribbonThrough(
  { thickness }: Paper,
  { hasBand, hasNotches }: { readonly hasBand: boolean; readonly hasNotches: boolean },
): readonly AdditionChoice[] {
  const dice = Math.round(thickness / 600);
  const way =
    hasNotches && dice % 2 === 0
      ? ('notches' as const)
      : hasBand && dice % 4 === 1
        ? ('band' as const)
        : undefined;
  if (way === undefined) return [];
  const bow = millimetres((dice % 3) * 40);
  return [{ addition: 'ribbon', id: 'ribbon-2', way, width: millimetres(6), bow }];
}

/** An insert in every fourth box or so, a tag at every fifth, and now and then a handle, told from a paper like a ribbon. */
function heldOf(paper: Paper): readonly AdditionChoice[] {
  const dice = Math.round(paper.thickness / 900);
  const raised = millimetres(8 + (dice % 30));
  const holds = (
    [
      { by: 'a platform', raised },
      { by: 'openings', raised: millimetres(8 + (dice % 7)) },
      { by: 'notches' },
      { by: 'slits' },
    ] as const
  )[dice % 16];
  const layer = { paper, margin: millimetres(2), standsOff: dice % 2 === 0 };
  return [
    ...(dice % 11 === 3
      ? [
          {
            addition: 'handle',
            id: 'handle-1',
            over: dice % 2 === 0 ? 'across' : 'deep',
            width: millimetres(8 + (dice % 9)),
            rise: millimetres(15 + (dice % 40)),
            paper,
          } as const,
        ]
      : []),
    ...(holds ? [{ addition: 'insert', id: 'insert-1', holds, paper } as const] : []),
    ...(dice % 5 === 2
      ? [
          {
            addition: 'tag',
            id: 'tag-1',
            shape:
              (['straight', 'clipped', 'rounded', 'shaped end', 'round'] as const)[
                Math.floor(dice / 5) % 5
              ] ?? 'round',
            width: millimetres(30 + (dice % 25)),
            height: millimetres(40 + (dice % 35)),
            isFolded: dice % 4 === 0,
            hasHole: dice % 7 > 1,
            layers: [layer, layer].slice(0, 1 + (dice % 2)),
          } as const,
        ]
      : []),
  ];
}

/** A window in every fourth box or so that may have one, told from a paper like a ribbon. */
function windowOf(
  { thickness }: Paper,
  request: PlanRequest,
  plan: Plan,
): readonly AdditionChoice[] {
  const dice = Math.round(thickness / 700);
  if (dice % 4 !== 1) return [];
  const places = windowPlaces({ ...request, papers: papersOf(request) }, plan);
  const place = places[dice % Math.max(1, places.length)];
  if (!place) return [];
  const film = { ...windowFilm, sheet: request.papers[0].sheet };
  return [
    {
      addition: 'window',
      id: 'window-1',
      on: place.face,
      opening:
        dice % 3 === 0
          ? { shape: 'round', across: millimetres(10 + (dice % 20)) }
          : { shape: 'straight', frame: place.frame },
      ...(dice % 5 > 0 && { film }),
    },
  ];
}

/** A wire over every third box or so that may have one, told from a paper like a ribbon. */
function wireOf({ thickness }: Paper, request: PlanRequest, plan: Plan): readonly AdditionChoice[] {
  const dice = Math.round(thickness / 800);
  if (dice % 3 !== 1) return [];
  const [over] = wireWays({ ...request, papers: papersOf(request) }, plan);
  return over === undefined ? [] : [{ addition: 'wire', id: 'wire-1', over }];
}

/** Every other band round the walls goes under the lid where there is one, told from its paper. */
function bandWay(round: NonNullable<DrawnInside['round']>, { thickness }: Paper, { pairs }: Plan) {
  const hasLid = pairs.some(({ kind }) => kind === 'lid');
  const isUnder = hasLid && round === 'walls' && Math.round(thickness / 700) % 2 === 0;
  return isUnder ? ('under lid' as const) : round;
}

/** Plates, dividers, a band and a ribbon, of a paper of their own. */
function insideOf(
  { stiffens, lines, round, divides, paper: drawn }: DrawnInside,
  { papers, gift }: PlanRequest,
  plan: Plan,
): readonly AdditionChoice[] {
  const paper = { ...drawn, id: 'inside', name: 'Inside', sheet: papers[0].sheet };
  const held = heldOf(paper);
  return [
    ...(stiffens
      ? [{ addition: 'stiffener', id: 'stiffener-1', in: stiffens, paper } as const]
      : []),
    ...(lines ? [{ addition: 'liner', id: 'liner-1', lines, paper } as const] : []),
    ...(divides && (standsInRows(gift) || standsInARow(gift))
      ? [{ addition: 'dividers', id: 'dividers-1', paper } as const]
      : []),
    ...(round
      ? [
          {
            addition: 'band',
            id: 'band-1',
            round: bandWay(round, drawn, plan),
            width: millimetres(16),
            closing: Math.round(drawn.thickness / 500) % 3 === 0 ? 'hooks' : 'seam',
            paper,
          } as const,
        ]
      : []),
    ...held,
    ...ribbonOf(drawn),
    ...ribbonThrough(drawn, {
      hasBand: round !== undefined,
      hasNotches: held.some((each) => each.addition === 'insert' && each.holds.by === 'notches'),
    }),
  ];
}

/** The same requests with up to three panels, each on any face of the box or on all its walls. */
export function dressed(requests: fc.Arbitrary<PlanRequest>): fc.Arbitrary<PlanRequest> {
  return fc
    .tuple(requests, fc.array(drawnPanel, { minLength: 1, maxLength: 3 }).map(named), drawnInside)
    .map(([request, panels, inside]) => {
      const bare = planBox(request);
      if (!bare.ok) return request;
      const faces = wearable(bare.plan, papersOf(request));
      return {
        ...request,
        additions: [
          ...insideOf(inside, request, bare.plan),
          ...windowOf(inside.paper, request, bare.plan),
          ...wireOf(inside.paper, request, bare.plan),
          ...panels.flatMap(({ at, isOnWalls, ...panel }, i): readonly AdditionChoice[] => {
            const face = faces[at % Math.max(1, faces.length)];
            if (!face) return [];
            return [
              {
                addition: 'panel',
                id: `panel-${i + 1}`,
                on:
                  isOnWalls && face.name.role === 'wall'
                    ? { which: 'walls', piece: face.name.piece }
                    : { which: 'face', face: choiceOf(face.name) },
                ...panel,
                // Its sheets are those that the maker has of the others.
                layers: panel.layers.map(({ margin: each, paper }) => ({
                  margin: each,
                  paper: { ...paper, sheet: request.papers[0].sheet },
                })),
              },
            ];
          }),
        ],
      };
    });
}
