import type { BoxToMake } from './box-to-make.ts';
import type { JoinOperation } from './operations/assembly.ts';

/** A piece that comes to the others without glue, and when. */
export interface Join {
  readonly operation: JoinOperation;
  readonly stage: number;
}

/** How pieces that nothing glues come to those that are there: over one of them, into one, or beside them. */
export function joinsOf({
  assembly,
  pairs,
}: Pick<BoxToMake, 'assembly' | 'pairs'>): readonly Join[] {
  const { parts, stacks } = assembly;
  const pieceOfPart = new Map(parts.map(({ id, piece }) => [id, piece]));
  const glued = stacks
    .filter(({ face, on, holds }) => holds === 'glue' && face.part !== on.part)
    .map(({ face, on }) => [pieceOfPart.get(face.part), pieceOfPart.get(on.part)]);
  const [first, ...others] = parts;
  const there = new Set(first ? [first.piece] : []);
  return others.flatMap(({ piece, joins, lies }): readonly Join[] => {
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
    const operation: JoinOperation = lies
      ? { kind: 'join', piece, onto: lies.in, how: 'on its floor' }
      : over
        ? { kind: 'join', piece, onto: over.inner, how: 'over' }
        : into
          ? { kind: 'join', piece, onto: into.outer, how: 'into' }
          : { kind: 'join', piece, onto: first?.piece ?? piece, how: 'place' };
    return [{ operation, stage: joins }];
  });
}
