import type { Ribbon } from '../fold/index.ts';
import { step, type Bench } from './bench.ts';
import type { AssemblyDraft } from './in-one-go.ts';

/** What is stamped and stuck on while the pieces are flat and bare. */
export function spotSteps(bench: Bench): readonly AssemblyDraft[] {
  const { spots = [] } = bench.box.assembly;
  return spots.flatMap((spot) =>
    step(bench, spot.piece, [{ kind: 'spot', piece: spot.piece, spot }], 0, 0),
  );
}

/** Ribbons that are put through a band or under an insert, before these are in their place. */
export function layRibbonSteps(bench: Bench): readonly AssemblyDraft[] {
  const { assembly } = bench.box;
  return (assembly.ribbons ?? []).flatMap((ribbon) => {
    const part = assembly.parts.find(({ piece }) => piece === ribbon.through);
    if (!part) return [];
    const piece = part.lies?.in ?? part.piece;
    const operation = { kind: 'lay ribbon', piece, through: part.piece, ribbon } as const;
    return step(bench, piece, [operation], assembly.giftEnters, assembly.giftEnters);
  });
}

/** Ribbons, cut and put on round the closed box. */
export function tieSteps(
  bench: Bench,
  isMeant: (ribbon: Ribbon) => boolean,
): readonly AssemblyDraft[] {
  const { assembly, parts, end: last } = bench.box;
  const [first] = parts;
  if (!first) return [];
  return (assembly.ribbons ?? []).filter(isMeant).flatMap((ribbon) => {
    // One round the gift is tied as soon as that is in.
    const at = ribbon.way === 'notches' ? assembly.giftEnters + 1 : last;
    const piece = first.piece.id;
    return step(bench, piece, [{ kind: 'tie', piece, ribbon }], at, at).map((each) => ({
      ...each,
      copies: 1,
    }));
  });
}

/** Tags, put together and hung on in the end. */
export function tagSteps(bench: Bench): readonly AssemblyDraft[] {
  const { assembly, end } = bench.box;
  return (assembly.tags ?? []).flatMap((tag) =>
    step(bench, tag.piece, [{ kind: 'tag', piece: tag.piece, tag }], end, end),
  );
}
