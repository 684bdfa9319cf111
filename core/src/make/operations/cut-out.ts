import { absolute, millimetres, minus, times, type Length } from '../../length/index.ts';
import {
  cutSizeOf,
  type Cutout,
  type CutoutUse,
  type ScoreGrid,
  type Side,
} from '../../piece/index.ts';
import type { Punch, PunchShape } from '../../tools/index.ts';
import { groupAtCorners, type AtCorners } from '../at-corners.ts';

/** Round holes, or half-round notches in an edge, the same at one corner or at several. */
export interface CutOutOperation {
  readonly kind: 'cut out';
  readonly piece: string;
  readonly use: CutoutUse;
  readonly shape: 'hole' | 'notch';
  /** The middle of each. */
  readonly at: AtCorners;
  /** How wide it is. */
  readonly width: Length;
  /** The edge of the card that a notch is in, as it is drawn; mirrored at other corners. */
  readonly edges: readonly Side[];
  /** The punch that makes it, by its name; without one it is cut by hand. */
  readonly punch?: string;
  /** Places among the cutouts of the piece. */
  readonly cutouts: readonly number[];
}

/** Through these goes something thin, or a finger: the size hardly matters. */
const loose: ReadonlySet<CutoutUse> = new Set([
  'ribbon',
  'ribbon pull',
  'wire',
  'thumb notch',
  'finger hole',
  'hanging hole',
  'hang tab',
]);

/** The punch that makes a thing of this size; undefined where it is better cut by hand. */
export function punchFor(
  shape: PunchShape,
  use: CutoutUse,
  size: Length,
  punches: readonly Punch[],
): Punch | undefined {
  const allowed = loose.has(use) ? times(size, 0.3) : millimetres(0.6);
  const off = (punch: Punch) => absolute(minus(punch.size, size));
  return punches
    .filter((punch) => punch.shape === shape && off(punch) <= allowed)
    .sort((a, b) => off(a) - off(b))[0];
}

type Round = Extract<Cutout, { shape: 'hole' | 'notch' }>;

interface Found {
  readonly place: number;
  readonly cutout: Round;
  readonly punch: Punch | undefined;
}

/** The holes and notches of a piece, those alike that one tool makes together. */
export function cutOutOperations(
  piece: { readonly id: string; readonly grid: ScoreGrid },
  punches: readonly Punch[],
): readonly CutOutOperation[] {
  const { grid } = piece;
  const found = grid.cutouts.flatMap((cutout, place): readonly Found[] => {
    if (cutout.shape !== 'hole' && cutout.shape !== 'notch') return [];
    // A notch is made with a round punch that is pushed half over the edge, a border with its own.
    const wide = times(cutout.radius, 2);
    const punch =
      cutout.use === 'border'
        ? punchFor('edge', cutout.use, times(wide, 2), punches)
        : punchFor('hole', cutout.use, wide, punches);
    return [{ place, cutout, punch }];
  });
  const keyOf = ({ cutout, punch }: Found) =>
    [cutout.shape, cutout.use, punch?.id ?? cutout.radius].join(' ');
  return [...new Set(found.map(keyOf))].flatMap((key) => {
    const alike = found.filter((each) => keyOf(each) === key);
    return groupAtCorners(
      alike.map(({ cutout }) => [cutout.centre]),
      cutSizeOf(grid),
    ).flatMap((at): readonly CutOutOperation[] => {
      const here = at.places.flatMap((place) => alike[place] ?? []);
      const [first] = here;
      if (!first) return [];
      const { cutout, punch } = first;
      return [
        {
          kind: 'cut out',
          piece: piece.id,
          use: cutout.use,
          shape: cutout.shape,
          at,
          width: times(cutout.radius, 2),
          edges: here.flatMap((each) => (each.cutout.shape === 'notch' ? [each.cutout.edge] : [])),
          ...(punch && { punch: punch.name }),
          cutouts: here.map(({ place }) => place),
        },
      ];
    });
  });
}
