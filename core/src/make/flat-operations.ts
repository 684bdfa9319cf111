import type { LineRef, Piece } from '../piece/index.ts';
import type { Kit } from '../tools/index.ts';
import type { FlatOperation } from './operation.ts';
import { trimOperations, wasteOperations } from './operations/cut-away.ts';
import { cutOutOperations } from './operations/cut-out.ts';
import { outlineOperations } from './operations/outline.ts';
import { punchOperations } from './operations/punch.ts';
import { roundOperations } from './operations/round.ts';
import { scoreOperations } from './operations/score.ts';
import { slantOperations } from './operations/slant.ts';
import { slitOperations } from './operations/slit.ts';
import { taperOperations } from './operations/taper.ts';

/** What is done to a flat piece, by the tools that it takes. */
export interface FlatWork {
  /** Lines: on a punch board, or straight ones on the board, under the tip or along a ruler. */
  readonly lines: readonly FlatOperation[];
  /** Lines that run aslant, along a ruler. */
  readonly slanted: readonly FlatOperation[];
  /** Slits, and the waste that they leave. */
  readonly slits: readonly FlatOperation[];
  /** What is drawn in, trimmed and rounded with scissors or a knife. */
  readonly trims: readonly FlatOperation[];
  /** What a punch makes. */
  readonly punched: readonly FlatOperation[];
}

/**
 * Everything that is done to a piece once it is cut and before it is folded. The lines are those that are
 * still to be made.
 */
export function flatWork(piece: Piece, lines: readonly LineRef[], kit: Kit): FlatWork {
  const punched = punchOperations(piece, kit);
  const made = punched ?? [
    ...scoreOperations(piece, lines, kit),
    ...slantOperations(piece, () => true),
  ];
  const onRuler = made.filter(({ kind }) => kind === 'slanted score');
  const cutOuts = [...roundOperations(piece, kit.punches), ...cutOutOperations(piece, kit.punches)];
  return {
    lines: made.filter(({ kind }) => kind !== 'slanted score'),
    slanted: onRuler,
    slits: [...slitOperations(piece, lines), ...wasteOperations(piece)],
    trims: [
      ...outlineOperations(piece),
      ...taperOperations(piece),
      ...trimOperations(piece),
      ...cutOuts.filter(({ punch }) => punch === undefined),
    ],
    punched: cutOuts.filter(({ punch }) => punch !== undefined),
  };
}

/** The same in one row. */
export function flatOperations(
  piece: Piece,
  lines: readonly LineRef[],
  kit: Kit,
): readonly FlatOperation[] {
  const { lines: made, slanted, slits, trims, punched } = flatWork(piece, lines, kit);
  return [...made, ...slanted, ...slits, ...trims, ...punched];
}
