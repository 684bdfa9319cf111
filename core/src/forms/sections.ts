import { foldToFoldFor } from '../gaps/index.ts';
import type { Section } from '../marks/index.ts';
import {
  half,
  inchFraction,
  largest,
  millimetres,
  minus,
  plus,
  times,
  type Length,
  type Tolerance,
} from '../length/index.ts';
import { cuttingMeans, scoringMeans } from '../tools/index.ts';
import type { FitKind, StyleBrief, StyleFit } from './brief.ts';

/** A tab or wall under this height has no room for glue. */
export const leastWall: Length = millimetres(8);

type Brief = Pick<StyleBrief<unknown>, 'inside' | 'kit' | 'mayBeOblong'>;

/** Fine marks leave as much to choose from as usual ones do. */
const leastWindow: Length = inchFraction(1, 4);

/** How far above its target a section may be pushed by the marks before the search gives up. */
export function marksWindow({ kit }: Pick<Brief, 'kit'>): Length {
  const pitch = scoringMeans(kit)?.step ?? kit.board.pitch;
  const step = cuttingMeans(kit)?.step ?? kit.trimmer.step;
  return largest(leastWindow, times(pitch, 2), times(step, 4));
}

/**
 * How far under its target a depth may come where marks or sheets leave no other: the same on all tools, so that finer
 * ones never leave less to choose from.
 */
export const depthWindow: Length = millimetres(10);

/** A section that must not be under `least` and should come to `target`. */
export function section(
  brief: Pick<Brief, 'kit'>,
  id: string,
  {
    least,
    target,
    weight = 1,
  }: { readonly least: Length; readonly target: Length; readonly weight?: number },
): Section {
  return { id, least, target, most: plus(target, marksWindow(brief)), weight };
}

export type Footprint = 'across' | 'deep';
export const footprint: readonly Footprint[] = ['across', 'deep'];

/** Layers of card that lie inside or outside two facing walls, each way. */
export type Layers = Readonly<Record<Footprint, Length>>;

/** The floor of a tray or the panels of a tube as sections: one where it is square, else one each way. */
export interface FloorSections extends Readonly<Record<Footprint, string>> {
  readonly sections: readonly Section[];
  readonly byDirection: Readonly<Record<Footprint, Section>>;
}

/** Where a square box has one section for both directions, it must do for both. */
function merged(id: string, one: Section, other: Section): Section {
  return {
    id,
    least: largest(one.least, other.least),
    target: half(plus(one.target, other.target)),
    most: largest(one.most, other.most),
    weight: one.weight,
  };
}

function gather(
  prefix: string,
  {
    square,
    byDirection,
  }: { readonly square: boolean; readonly byDirection: Readonly<Record<Footprint, Section>> },
): FloorSections {
  const { across, deep } = byDirection;
  if (square) {
    const id = `${prefix} floor`;
    return { across: id, deep: id, sections: [merged(id, across, deep)], byDirection };
  }
  return { across: across.id, deep: deep.id, sections: [across, deep], byDirection };
}

/** A gift as deep as it is across gets a square box, cut at one setting. */
export function isSquare({ inside, mayBeOblong }: Pick<Brief, 'inside' | 'mayBeOblong'>): boolean {
  const { across, deep } = inside;
  if (mayBeOblong) return false;
  return across.target === deep.target && across.least === deep.least;
}

/** The same brief with walls of these directions no narrower than `least`, however thin the gift is. */
export function noNarrowerThan<Asked extends Pick<Brief, 'inside'>>(
  brief: Asked,
  least: Length,
  directions: readonly Footprint[] = footprint,
): Asked {
  const wide = Object.fromEntries(
    directions.map((direction) => {
      const needed = brief.inside[direction];
      return [
        direction,
        { least: largest(needed.least, least), target: largest(needed.target, least) },
      ];
    }),
  );
  return { ...brief, inside: { ...brief.inside, ...wide } };
}

/** A wall that is narrower than this hides no two tabs that are long enough to glue. */
const narrowest = millimetres(10);

/** The same brief with walls of one direction wide enough for the two tabs that are glued behind them. */
export function wideEnoughForTabs<Asked extends Pick<Brief, 'inside'>>(
  brief: Asked,
  direction: Footprint,
): Asked {
  return noNarrowerThan(brief, narrowest, [direction]);
}

/** The floor that holds the gift between walls of `card`, with `layers` lying inside them. */
export function floorSections(
  brief: Brief,
  prefix: string,
  card: Length,
  layers: Layers,
): FloorSections {
  const of = (direction: Footprint): Section => {
    const { least, target } = brief.inside[direction];
    return section(brief, `${prefix} ${direction}`, {
      least: foldToFoldFor(least, card, layers[direction]),
      target: foldToFoldFor(target, card, layers[direction]),
    });
  };
  return gather(prefix, {
    square: isSquare(brief),
    byDirection: { across: of('across'), deep: of('deep') },
  });
}

/**
 * The floor of something that goes over something else: `layers` is all the card between the two scores
 * but the gap, which alone decides its size.
 */
export function sectionsOver(
  brief: Brief,
  prefix: string,
  {
    inner,
    layers,
    gap,
  }: { readonly inner: FloorSections; readonly layers: Layers; readonly gap: Tolerance },
): FloorSections {
  const of = (direction: Footprint): Section => {
    const under = inner.byDirection[direction];
    const over = plus(layers[direction], gap.target);
    return {
      id: `${prefix} ${direction}`,
      // Far below what goes over it nothing is looked for: it could not go on.
      least: largest(under.least, minus(plus(under.least, over), marksWindow(brief))),
      target: plus(under.target, over),
      most: plus(under.most, over, marksWindow(brief)),
      weight: 0,
    };
  };
  return gather(prefix, {
    square: inner.across === inner.deep,
    byDirection: { across: of('across'), deep: of('deep') },
  });
}

/** The fits of one floor over another, both ways. */
export function fitsOver(
  kind: FitKind,
  {
    outer,
    inner,
    layers,
    gap,
  }: {
    readonly outer: { readonly piece: string; readonly floor: FloorSections };
    readonly inner: { readonly piece: string; readonly floor: FloorSections };
    readonly layers: Layers;
    readonly gap: Tolerance;
  },
): readonly StyleFit[] {
  return footprint.map((direction) => ({
    kind,
    outer: outer.piece,
    inner: inner.piece,
    direction,
    outerSection: outer.floor[direction],
    innerSection: inner.floor[direction],
    layers: layers[direction],
    gap,
  }));
}

/** The same layers both ways. */
export function evenLayers(each: Length): Layers {
  return { across: each, deep: each };
}

export function addLayers(...all: readonly Layers[]): Layers {
  return {
    across: plus(...all.map(({ across }) => across)),
    deep: plus(...all.map(({ deep }) => deep)),
  };
}
