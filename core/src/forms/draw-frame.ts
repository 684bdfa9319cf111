import type { Length } from '../length/index.ts';
import type { Piece, ScoreGrid } from '../piece/index.ts';
import type { PieceTemplate, SettledBox, SizeOf, StyleFrame } from './brief.ts';

/** A frame's own pieces and how they go together, at lengths that were chosen. */
export interface DrawnFrame extends SettledBox {
  readonly pieces: readonly Piece[];
}

/** What was worked out from sizes, with those that it was worked out from. */
interface FromSizes<Value> {
  readonly sizes: ReadonlyMap<string, Length>;
  readonly value: Value;
}

/** What is worked out from sizes alone, kept as it came last: where those come out alike, it is the very same again. */
function keptFromSizes<Owner extends object, Value>(
  work: (owner: Owner, size: SizeOf) => Value,
): (owner: Owner, size: SizeOf) => Value {
  const last = new WeakMap<Owner, FromSizes<Value>>();
  return (owner, size) => {
    const before = last.get(owner);
    if (before && isStillSo(before, size)) return before.value;
    const sizes = new Map<string, Length>();
    const value = work(owner, (id) => {
      const is = size(id);
      sizes.set(id, is);
      return is;
    });
    last.set(owner, { sizes, value });
    return value;
  };
}

function isStillSo({ sizes }: FromSizes<unknown>, size: SizeOf): boolean {
  for (const [id, is] of sizes) if (size(id) !== is) return false;
  return true;
}

/** A piece at its lengths: what is known of a grid serves again where it is the same one. */
const drawn = keptFromSizes(({ draw }: PieceTemplate, size): ScoreGrid => draw(size));

/** What is settled by a frame; one that is dressed settles it with the function of the bare one. */
const settled = keptFromSizes((settle: StyleFrame['settle'], size): SettledBox => settle(size));

/** Draws the pieces of a frame. */
export function drawFrame(frame: StyleFrame, size: SizeOf): DrawnFrame {
  return {
    ...settled(frame.settle, size),
    pieces: frame.pieces.map((template) => {
      const { id, name, paper, copies, punchBoard } = template;
      const grid = drawn(template, size);
      return { id, name, paper, copies, ...(punchBoard && { punchBoard }), grid };
    }),
  };
}
