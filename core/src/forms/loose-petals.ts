import type { Section, SmallerPair } from '../marks/index.ts';
import { vector, type GridSpot, type Part, type Stack, type Vector } from '../fold/index.ts';
import {
  half,
  largest,
  millimetres,
  minus,
  nanometres,
  plus,
  smallest,
  times,
  toMillimetres,
  zero,
  type Length,
} from '../length/index.ts';
import { paperFor } from '../paper/index.ts';
import type { Cutout } from '../piece/index.ts';
import type { PieceTemplate, RoughSection, SizeOf, StyleBrief } from './brief.ts';
import { drawGrid, rowScore, valley } from './draw-grid.ts';
import { footprint, marksWindow, section, type Footprint, type FloorSections } from './sections.ts';

/** So much of a disc at the least is glued to its wall. */
const leastTongue = millimetres(6);

/** So much narrower than the room between its neighbours a disc is, both sides together. */
const spare = millimetres(1);

/** The walls in the order in which their petals close, with the way that a petal goes over the box. */
const walls = [
  { wall: 'back', way: 'deep', right: vector(1, 0, 0), out: vector(0, 1, 0) },
  { wall: 'right', way: 'across', right: vector(0, -1, 0), out: vector(1, 0, 0) },
  { wall: 'front', way: 'deep', right: vector(-1, 0, 0), out: vector(0, -1, 0) },
  { wall: 'left', way: 'across', right: vector(0, 1, 0), out: vector(-1, 0, 0) },
] as const;

type Wall = (typeof walls)[number]['wall'];

/** Four discs that are each scored once: one part is glued inside a wall, the other closes over the box. */
export interface LoosePetals {
  readonly sections: readonly Section[];
  readonly rough: readonly RoughSection[];
  readonly smaller: readonly SmallerPair[];
  readonly templates: readonly PieceTemplate[];
  readonly parts: (size: SizeOf, aside: number) => readonly Part[];
  readonly stacks: readonly Stack[];
}

/** The discs on two walls that face each other, or on all four of a square box. */
interface Disc {
  readonly id: string;
  readonly name: string;
  readonly copies: number;
  /** Which way its petal goes over the box. */
  readonly way: Footprint;
  /** Whether the two that face each other go past each other. */
  readonly isMeeting: boolean;
  readonly wide: Section;
  readonly reach: Section;
  readonly tongue: Section;
}

/** The tray that discs are glued into. */
interface UnderPetals {
  readonly card: Length;
  readonly floor: FloorSections;
  readonly wall: Section;
  /** The card of the discs. */
  readonly own: Length;
}

/** So far a wide petal’s circle reaches into that of the narrow one beside it, in millimetres. */
const overNext = 3;

/**
 * How far a petal must reach over the box to lie on the narrow ones at its ends, which are half discs at the least: as
 * far as makes the circles of both overlap.
 */
function reachOverNext(
  over: Section,
  along: Section,
  { wide, narrow }: { readonly wide: Length; readonly narrow: Length },
): Length {
  const [radius, other] = [half(wide), half(narrow)].map(toMillimetres);
  const apart = (radius ?? 0) + (other ?? 0) - overNext;
  const aside = toMillimetres(half(along.target));
  const out = Math.sqrt(Math.max(0, apart ** 2 - aside ** 2));
  const reach = toMillimetres(half(over.target)) + (radius ?? 0) - out;
  return nanometres(Math.ceil(Math.max(0, reach) * 1e6));
}

/** The disc whose petal goes over the box this way; undefined where there is no room for one that does. */
function discFor(
  brief: Pick<StyleBrief<unknown>, 'kit'>,
  way: Footprint,
  { card, floor, wall, own }: UnderPetals,
): Disc | undefined {
  const isSquare = floor.across === floor.deep;
  const [over, along] = [floor.byDirection[way], floor.byDirection[otherWay(way)]];
  // Beside it lie the walls' own card and the discs next to it.
  const widest = minus(along.least, card, times(own, 2), spare);
  const tallest = minus(wall.least, times(card, 2));
  const shortest = smallest(leastTongue, times(tallest, 0.6));
  // Over an oblong box the wide two meet; the narrow ones close its ends.
  const isMeeting = isSquare || along.target >= over.target;
  const narrow = minus(over.least, card, times(own, 2), spare);
  // Both may come out smaller, on the marks.
  const downBy = marksWindow(brief);
  const atLeast = { wide: minus(widest, downBy), narrow: minus(narrow, downBy) };
  const overEnds = isMeeting && !isSquare ? reachOverNext(over, along, atLeast) : zero;
  const past = isMeeting
    ? largest(plus(half(over.target), pastMiddle(floor, way)), overEnds)
    : half(widest);
  const tongueMost = smallest(tallest, minus(widest, past));
  if (tongueMost < shortest) return undefined;
  // As large a disc as there is room for covers most of the box.
  const reachMost = smallest(minus(widest, tongueMost), minus(over.least, spare));
  const reachLeast = isMeeting
    ? largest(plus(half(over.least), pastMiddle(floor, way)), overEnds)
    : half(past);
  if (reachMost < reachLeast) return undefined;
  const id = isSquare ? 'disc' : `disc ${way}`;
  const part = (name: string, least: Length, most: Length): Section => ({
    ...section(brief, `${id} ${name}`, {
      least: largest(least, minus(most, downBy)),
      target: most,
      weight: 0.1,
    }),
    most,
  });
  return {
    id,
    way,
    isMeeting,
    name: isSquare ? 'Disc' : isMeeting ? 'Wide disc' : 'Narrow disc',
    copies: isSquare ? 4 : 2,
    reach: part('reach', reachLeast, reachMost),
    tongue: part('tongue', shortest, tongueMost),
    // It is cut down to what its two parts come to.
    wide: {
      id: `${id} wide`,
      least: widest,
      target: widest,
      most: plus(widest, downBy),
      weight: 0.01,
    },
  };
}

/** What is cut off a square to leave the disc that touches all of its edges. */
function roundOf(side: Length): readonly Cutout[] {
  const radius = half(side);
  return [zero, side].flatMap((x) =>
    [zero, side].map((y): Cutout => ({
      shape: 'corner',
      use: 'disc',
      at: { x, y },
      along: x === zero ? radius : times(radius, -1),
      down: y === zero ? radius : times(radius, -1),
    })),
  );
}

/** Discs for the walls of a tray of this floor; undefined where they would not hold one another. */
export function loosePetals(
  brief: StyleBrief<unknown>,
  {
    paper,
    card,
    floor,
    wall,
    tab,
    stages,
  }: {
    readonly paper: number;
    /** Of the tray. */
    readonly card: Length;
    readonly floor: FloorSections;
    readonly wall: Section;
    /** On each wall that tabs lie on, a spot on either of them. */
    readonly tab: Readonly<Partial<Record<Wall, readonly GridSpot[]>>>;
    readonly stages: { readonly joins: number; readonly petals: number };
  },
): LoosePetals | undefined {
  const own = paperFor(brief.papers, paper).thickness;
  const ways: readonly Footprint[] = floor.across === floor.deep ? ['deep'] : footprint;
  const discs = ways.flatMap((way) => discFor(brief, way, { card, floor, wall, own }) ?? []);
  if (discs.length < ways.length || !holdOneAnother(discs, floor)) return undefined;
  const discOf = (way: Footprint) => discs.find((disc) => disc.way === way) ?? discs[0];
  return {
    sections: discs.flatMap(({ wide, reach, tongue }) => [wide, reach, tongue]),
    rough: discs.map(({ wide, reach, tongue }) => ({
      section: wide.id,
      holds: (size) => plus(size(reach.id), size(tongue.id)),
    })),
    smaller: discs
      .filter(({ isMeeting }) => isMeeting)
      .map(({ way, reach }) => ({
        // Petals that face each other go past each other, and not only meet.
        less: floor[way],
        more: reach.id,
        moreTimes: 2,
        by: times(pastMiddle(floor, way), 2),
      })),
    templates: discs.map(({ id, name, copies, wide, reach, tongue }): PieceTemplate => ({
      id,
      name,
      paper,
      copies,
      across: [wide.id],
      down: [reach.id, tongue.id],
      draw: (size) =>
        drawGrid({
          columns: [size(wide.id)],
          rows: [size(reach.id), size(tongue.id)],
          picture: ['p', 't'],
          lines: [rowScore(1, 0, 1, valley(90, stages.petals))],
          cutouts: roundOf(plus(size(reach.id), size(tongue.id))),
        }),
    })),
    parts: (size, aside) =>
      walls.flatMap(({ wall: side, way, right, out }): readonly Part[] => {
        const disc = discOf(way);
        if (!disc) return [];
        // Inside the wall, and over its tabs where it has any.
        const behind = plus(half(plus(card, own)), tab[side] ? card : zero);
        const far = toMillimetres(size(floor[way])) / 2 - toMillimetres(behind);
        const fold = toMillimetres(size(wall.id)) - toMillimetres(card) / 2;
        const down = 0.1 * toMillimetres(size(disc.tongue.id));
        return [
          {
            id: `disc ${side}`,
            piece: disc.id,
            root: { column: 0.5, row: 1.1 },
            right,
            up: vector(0, 0, 1),
            at: moved(vector(aside, 0, fold - down), out, far),
            joins: stages.joins,
            opens: vector(0, 0, toMillimetres(size(wall.id)) + 10),
          },
        ];
      }),
    stacks: walls.flatMap(({ wall: side }, i): readonly Stack[] => {
      const part = `disc ${side}`;
      const tongue = { part, spot: { column: 0.5, row: 1.1 } };
      const petal = { column: 0.5, row: 0.9 };
      const before = walls[i - 1];
      return [
        {
          face: tongue,
          on: { part: 'base', spot: wallSpots[side] },
          side: 'inside',
          holds: 'glue',
          ...(tab[side] && { bows: toMillimetres(card) }),
        },
        ...(tab[side] ?? []).map((spot): Stack => ({
          face: tongue,
          on: { part: 'base', spot },
          side: 'inside',
          holds: 'rest',
        })),
        ...(before
          ? [
              {
                face: { part, spot: petal },
                on: { part: `disc ${before.wall}`, spot: petal },
                side: 'outside' as const,
                holds: 'tuck' as const,
              },
            ]
          : []),
      ];
    }),
  };
}

/** Whether the narrow discs of an oblong box reach under the wide ones, at their smallest. */
function holdOneAnother(discs: readonly Disc[], floor: FloorSections): boolean {
  const wide = discs.find(({ isMeeting }) => isMeeting);
  const narrow = discs.find(({ isMeeting }) => !isMeeting);
  if (!wide || !narrow) return true;
  const radius = half(plus(wide.reach.least, wide.tongue.least));
  const along = floor.byDirection[narrow.way];
  return (
    plus(radius, narrow.reach.least) >
    plus(half(along.most), largest(leastTongue, times(along.most, 0.1)))
  );
}

/** Where the walls of a tray are drawn. */
const wallSpots: Readonly<Record<Wall, GridSpot>> = {
  back: { column: 1.5, row: 0.1 },
  front: { column: 1.5, row: 2.9 },
  left: { column: 0.1, row: 1.5 },
  right: { column: 2.9, row: 1.5 },
};

function otherWay(way: Footprint): Footprint {
  return way === 'across' ? 'deep' : 'across';
}

/** How far beyond the middle a petal reaches. */
function pastMiddle(floor: FloorSections, way: Footprint): Length {
  return smallest(millimetres(3), times(floor.byDirection[way].least, 0.05));
}

function moved(from: Vector, out: Vector, far: number): Vector {
  return vector(from.x + out.x * far, from.y + out.y * far, from.z + out.z * far);
}
