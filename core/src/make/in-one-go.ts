import type { AssemblyOperation } from './operations/assembly.ts';

/** Operations that are done in one go, without putting the piece down. */
export interface AssemblyDraft {
  readonly piece: string;
  readonly copies: number;
  readonly operations: readonly [AssemblyOperation, ...AssemblyOperation[]];
  /** When the box folds so far, for its picture: from one stage to another. */
  readonly from: number;
  readonly to: number;
}

/** Whether a step needs adhesive, and so a hand of its own. */
function isGlued({ operations }: AssemblyDraft): boolean {
  return operations.some(
    ({ kind }) => kind === 'glue' || kind === 'line' || kind === 'attach' || kind === 'dress',
  );
}

/** The box is filled and closed in one go, as far as nothing is glued. */
export function inOneGo(steps: readonly AssemblyDraft[]): readonly AssemblyDraft[] {
  const merged: AssemblyDraft[] = [];
  for (const each of steps) {
    const last = merged[merged.length - 1];
    if (!last || isGlued(last) || isGlued(each)) {
      merged.push(each);
      continue;
    }
    merged[merged.length - 1] = {
      ...last,
      operations: [...last.operations, ...each.operations],
      to: Math.max(last.to, each.to),
    };
  }
  return merged;
}

/** Flaps that are folded in one after the other, with nothing between, are told in one go. */
export function foldedInOneGo(
  operations: readonly AssemblyOperation[],
): readonly AssemblyOperation[] {
  const merged: AssemblyOperation[] = [];
  for (const each of operations) {
    const last = merged[merged.length - 1];
    if (
      each.kind === 'tuck' &&
      last?.kind === 'tuck' &&
      last.hold.kind === 'next' &&
      each.hold.kind === 'next'
    )
      merged[merged.length - 1] = { ...last, faces: [...last.faces, ...each.faces] };
    else merged.push(each);
  }
  return merged;
}

/** A pleated top is pushed in and drawn together in one go, though its walls lean in stage after stage. */
export function pleatedOnce(
  operations: readonly AssemblyOperation[],
): readonly AssemblyOperation[] {
  const isPleat = (operation: AssemblyOperation) =>
    operation.kind === 'close' &&
    (operation.way.kind === 'pinch' || operation.way.kind === 'gather');
  const first = operations.find(isPleat);
  return operations.filter((operation) => operation === first || !isPleat(operation));
}
