import type { FoldingBox, FoldingPart, Joint } from '../fold/index.ts';
import type { Papers } from '../paper/index.ts';
import { copiesInBox, type BoxToMake } from './box-to-make.ts';
import type { AssemblyDraft } from './in-one-go.ts';
import type { LidCorners } from './lid-corners.ts';
import type { AssemblyOperation } from './operations/assembly.ts';

/** Everything that is known of a box that is put together. */
export interface Bench {
  readonly make: BoxToMake;
  readonly box: FoldingBox;
  readonly joints: readonly Joint[];
  readonly corners: LidCorners;
  readonly papers: Papers;
}

/** The first of the parts that a piece is. */
export function firstPart({ box }: Bench, piece: string): FoldingPart {
  const part = box.parts.find((each) => each.piece.id === piece);
  if (!part) throw new Error(`No part of ${piece} in this box`);
  return part;
}

/** Operations on a piece as one step, from one moment of the folding to another; none where nothing is to do. */
export function step(
  bench: Bench,
  piece: string,
  operations: readonly AssemblyOperation[],
  from: number,
  to: number,
): readonly AssemblyDraft[] {
  const [first, ...more] = operations;
  if (!first) return [];
  return [
    { piece, copies: copiesInBox(bench.make, piece), operations: [first, ...more], from, to },
  ];
}
