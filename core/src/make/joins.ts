import type { Part } from '../fold/index.ts';
import { smallest } from '../length/index.ts';
import { cutSizeOf, type Piece } from '../piece/index.ts';
import { copiesInBox, pieceOf, type BoxToMake } from './box-to-make.ts';
import type { BoxSide } from './face-name.ts';
import { elasticsRound } from './held-on-card.ts';
import type { JoinOperation, LineOperation } from './operations/assembly.ts';

/** A piece that comes to the others by itself, and when. */
export interface Join {
  readonly operation: JoinOperation | LineOperation;
  readonly stage: number;
}

/** How pieces that nothing glues come to those that are there: over one of them, into one, or beside them. */
export function joinsOf({
  pieces,
  assembly,
  pairs,
}: Pick<BoxToMake, 'pieces' | 'assembly' | 'pairs'>): readonly Join[] {
  const { parts, stacks } = assembly;
  const pieceOfPart = new Map(parts.map(({ id, piece }) => [id, piece]));
  const glued = stacks
    .filter(({ face, on, holds }) => holds === 'glue' && face.part !== on.part)
    .map(({ face, on }) => [pieceOfPart.get(face.part), pieceOfPart.get(on.part)]);
  const [first, ...others] = parts;
  const there = new Set(first ? [first.piece] : []);
  return others.flatMap(({ piece, joins, lies, wraps }): readonly Join[] => {
    if (there.has(piece)) return [];
    // A plate that is glued into its ring comes with the ring.
    const isGlued = glued.some(
      (both) => both.includes(piece) && both.some((each) => each !== undefined && there.has(each)),
    );
    const over = pairs.find(
      ({ outer, inner }) => outer === piece && inner !== piece && there.has(inner),
    );
    const into = pairs.find(
      ({ outer, inner }) => inner === piece && outer !== piece && there.has(outer),
    );
    there.add(piece);
    if (isGlued) return [];
    if (lies?.against === 'things' && isFolded(pieceOf({ pieces }, piece)))
      return [
        {
          operation: {
            kind: 'join',
            piece,
            onto: lies.in,
            how: 'between the things',
            count: copiesInBox({ assembly }, piece) / copiesInBox({ assembly }, lies.in),
          },
          stage: joins,
        },
      ];
    if (lies?.against === 'things') {
      // Strips that cross are put together before they go in.
      const other = parts.find(
        (each) => each.lies?.against === 'things' && !there.has(each.piece),
      )?.piece;
      const operation: JoinOperation =
        other === undefined
          ? { kind: 'join', piece, onto: lies.in, how: 'on edge' }
          : { kind: 'join', piece, onto: other, how: 'through its slots' };
      return [{ operation, stage: joins }];
    }
    if (lies?.against === 'legs' || lies?.against === 'legs round things')
      return [
        { operation: { kind: 'join', piece, onto: lies.in, how: 'on its legs' }, stage: joins },
      ];
    if (lies && lies.against !== 'floor')
      return [{ operation: lining({ pieces, assembly }, piece, lies.in), stage: joins }];
    if (wraps) {
      const lidded = pairs.find(({ kind }) => kind === 'lid')?.inner;
      const onto = (wraps === 'under lid' ? lidded : undefined) ?? first?.piece ?? piece;
      const operation: JoinOperation = {
        kind: 'join',
        piece,
        onto,
        how: waysRound[wraps],
        ...(isHooked(pieceOf({ pieces }, piece)) && { isHooked: true }),
      };
      return [{ operation, stage: joins }];
    }
    const elastics = lies ? elasticsRound({ assembly }, pieceOf({ pieces }, piece)) : 0;
    const operation: JoinOperation = lies
      ? {
          ...{ kind: 'join', piece, onto: lies.in, how: 'on its floor' },
          ...(elastics > 0 && { elastics }),
        }
      : over
        ? { kind: 'join', piece, onto: over.inner, how: 'over' }
        : into
          ? { kind: 'join', piece, onto: into.outer, how: 'into' }
          : { kind: 'join', piece, onto: first?.piece ?? piece, how: 'place' };
    return [{ operation, stage: joins }];
  });
}

const waysRound = {
  walls: 'round the walls',
  foot: 'round the foot of the walls',
  'under lid': 'round the base',
  across: 'round from left to right',
  deep: 'round from front to back',
} as const;

function isHooked({ grid }: Piece): boolean {
  return grid.cutouts.some(({ use }) => use === 'hook');
}

/** Strips in one row stand by tabs that are folded; those that cross have none. */
function isFolded({ grid }: Piece): boolean {
  return grid.lines.length > 0;
}

const notOnASide = ['floor', 'things', 'legs', 'legs round things'] as const;
type Against = NonNullable<Part['lies']>['against'];

function isSide(against: Against): against is Exclude<Against, (typeof notOnASide)[number]> {
  return !notOnASide.some((each) => each === against);
}

/** More walls than these are not told by where they are. */
const toldBySide = 4;

/** Plates of one kind that are glued to walls of a piece, one to each. */
function lining(
  box: Pick<BoxToMake, 'pieces' | 'assembly'>,
  piece: string,
  onto: string,
): LineOperation {
  const { width, height } = cutSizeOf(pieceOf(box, piece).grid);
  const against = box.assembly.parts.flatMap(({ piece: own, lies }) =>
    own === piece && lies && isSide(lies.against) ? [lies.against] : [],
  );
  const sides: readonly BoxSide[] = [...new Set(against)];
  const count = against.length / Math.max(1, copiesInBox(box, onto));
  const isToldBySide = count === sides.length && count <= toldBySide;
  return {
    kind: 'line',
    piece,
    onto,
    walls: isToldBySide ? sides : count,
    narrow: smallest(width, height),
  };
}
