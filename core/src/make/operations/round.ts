import { absolute, largest, plus, smallest, times, type Length } from '../../length/index.ts';
import { cutSizeOf, type Cutout, type CutoutUse, type ScoreGrid } from '../../piece/index.ts';
import type { Punch } from '../../tools/index.ts';
import { groupAtCorners, type AtCorners } from '../at-corners.ts';
import { punchFor } from './cut-out.ts';

/** Corners rounded, the same at one corner of the piece or at several. */
export interface RoundOperation {
  readonly kind: 'round';
  readonly piece: string;
  readonly use: CutoutUse;
  /** The sharp corner that is rounded; then where the curve leaves the one edge, and the other. */
  readonly at: AtCorners;
  /** How far the curve runs along the top or bottom edge, and along the side edge. */
  readonly along: Length;
  readonly down: Length;
  readonly punch?: string;
  /** Places among the cutouts of the piece. */
  readonly cutouts: readonly number[];
}

type Corner = Extract<Cutout, { shape: 'corner' }>;

interface Found {
  readonly place: number;
  readonly cutout: Corner;
}

/** Curves whose two radii differ by less are round. */
const round = 100_000;

/** Whether a corner is rounded by a part of a circle. */
export function isCircular({ along, down }: Pick<RoundOperation, 'along' | 'down'>): boolean {
  return largest(along, down) - smallest(along, down) < round;
}

/** The rounded corners of a piece. */
export function roundOperations(
  piece: { readonly id: string; readonly grid: ScoreGrid },
  punches: readonly Punch[],
): readonly RoundOperation[] {
  const { grid } = piece;
  const found = grid.cutouts.flatMap((cutout, place): readonly Found[] =>
    cutout.shape === 'corner' ? [{ place, cutout }] : [],
  );
  const uses = [...new Set(found.map(({ cutout }) => cutout.use))];
  return uses.flatMap((use) => {
    const alike = found.filter(({ cutout }) => cutout.use === use);
    return groupAtCorners(
      alike.map(({ cutout: { at, along, down } }) => [
        at,
        { x: plus(at.x, along), y: at.y },
        { x: at.x, y: plus(at.y, down) },
      ]),
      cutSizeOf(grid),
    ).flatMap((at): readonly RoundOperation[] => {
      const here = at.places.flatMap((place) => alike[place] ?? []);
      const [first] = here;
      if (!first) return [];
      const [along, down] = [absolute(first.cutout.along), absolute(first.cutout.down)];
      // A disc is cut or punched out in one go, not corner by corner.
      const punch = isCircular({ along, down })
        ? use === 'disc'
          ? punchFor('hole', use, times(along, 2), punches)
          : punchFor('corner', use, along, punches)
        : undefined;
      return [
        {
          kind: 'round',
          piece: piece.id,
          use,
          at,
          along,
          down,
          ...(punch && { punch: punch.name }),
          cutouts: here.map(({ place }) => place),
        },
      ];
    });
  });
}
