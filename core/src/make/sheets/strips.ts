import { plus, zero, type Length } from '../../length/index.ts';
import { hasWayUp, type Paper } from '../../paper/index.ts';
import type { Placement, SheetPiece } from './lay.ts';

/** A strip from edge to edge of a sheet, with room left at its end. */
interface Strip {
  readonly sheet: number;
  readonly offset: Length;
  readonly width: Length;
  used: Length;
}

interface Sheet {
  used: Length;
}

/** Pieces in strips: along which side of the sheet the strips run, and where everything lies. */
export interface StripLayout {
  readonly sheets: number;
  readonly placements: readonly Placement[];
  readonly strips: number;
}

interface Laid {
  readonly piece: SheetPiece;
  readonly turned: boolean;
  /** Across the strip, and along it. */
  readonly wide: Length;
  readonly long: Length;
}

function laidAs(
  piece: SheetPiece,
  { turned, runsDown }: { readonly turned: boolean; readonly runsDown: boolean },
): Laid {
  const [width, height] = turned ? [piece.height, piece.width] : [piece.width, piece.height];
  return runsDown
    ? { piece, turned, wide: width, long: height }
    : { piece, turned, wide: height, long: width };
}

function fill(
  sheet: Paper['sheet'],
  pieces: readonly Laid[],
  { runsDown }: { readonly runsDown: boolean },
): StripLayout | undefined {
  const [wide, long] = runsDown ? [sheet.width, sheet.height] : [sheet.height, sheet.width];
  const sheets: Sheet[] = [];
  const strips: Strip[] = [];
  const placements: Placement[] = [];
  const newStrip = (width: Length): Strip => {
    let at = sheets.findIndex(({ used }) => plus(used, width) <= wide);
    if (at < 0) at = sheets.push({ used: zero }) - 1;
    const room = sheets[at] ?? { used: zero };
    const strip: Strip = { sheet: at, offset: room.used, width, used: zero };
    room.used = plus(room.used, width);
    strips.push(strip);
    return strip;
  };
  // The widest first: what is narrower goes into the ends of their strips.
  for (const laid of [...pieces].sort((a, b) => b.wide - a.wide || b.long - a.long)) {
    if (laid.wide > wide || laid.long > long) return undefined;
    for (let copy = 0; copy < laid.piece.copies; copy++) {
      const strip =
        strips.find((each) => each.width >= laid.wide && plus(each.used, laid.long) <= long) ??
        newStrip(laid.wide);
      const [x, y] = runsDown ? [strip.offset, strip.used] : [strip.used, strip.offset];
      const { id } = laid.piece;
      placements.push({ piece: id, sheet: strip.sheet, x, y, turned: laid.turned });
      strip.used = plus(strip.used, laid.long);
    }
  }
  return { sheets: sheets.length, placements, strips: strips.length };
}

/** More kinds of pieces than this are turned all together or not at all. */
const fewKinds = 5;

function turnsOf(pieces: readonly SheetPiece[], paper: Paper): readonly (readonly boolean[])[] {
  if (hasWayUp(paper)) return [pieces.map(() => false)];
  if (pieces.length > fewKinds) return [pieces.map(() => false), pieces.map(() => true)];
  return Array.from({ length: 2 ** pieces.length }, (_, bits) =>
    pieces.map((__, i) => (bits & (1 << i)) !== 0),
  );
}

/**
 * Pieces in strips from edge to edge, as they are quickest to cut: each strip as wide as its widest piece.
 * The fewest sheets, and of those the fewest strips; undefined where a piece is larger than its sheet.
 */
export function layInStrips(paper: Paper, pieces: readonly SheetPiece[]): StripLayout | undefined {
  let best: StripLayout | undefined;
  for (const runsDown of [true, false])
    for (const turns of turnsOf(pieces, paper)) {
      const laid = pieces.map((piece, i) => laidAs(piece, { turned: turns[i] ?? false, runsDown }));
      const layout = fill(paper.sheet, laid, { runsDown });
      if (!layout) continue;
      const isBetter = !best || (layout.sheets - best.sheets || layout.strips - best.strips) < 0;
      if (isBetter) best = layout;
    }
  return best;
}
