import { minus, zero, type Length } from '../length/index.ts';
import type { Paper } from '../paper/index.ts';
import type { Piece } from '../piece/index.ts';
import type { AsMade, ScoredRun } from './card.ts';
import { printTopOf } from './print-top.ts';

/** A piece one way: how large it came out, and where it is scored, from its left or its top edge. */
export interface ScoredWay {
  readonly cut: Length;
  readonly marks: readonly { readonly at: Length }[];
}

/** What lies between the scores of a piece one way. */
function sectionsOf({ cut, marks }: ScoredWay): readonly Length[] {
  const places = [...new Set(marks.map(({ at }) => at))].sort((a, b) => a - b);
  return [...places, cut].map((at, i) => minus(at, places[i - 1] ?? zero));
}

function runsOf(axis: 'column' | 'row', sections: readonly Length[], long: Length) {
  return sections
    .slice(1)
    .map((_, i): ScoredRun => ({ line: { axis, index: i + 1 }, from: zero, to: long }));
}

/** A piece that has been cut and scored from edge to edge, and no more, as it came out. */
export function cardSoFar(
  { across, down }: { readonly across: ScoredWay; readonly down: ScoredWay },
  piece: Pick<Piece, 'printTop'>,
  paper: Pick<Paper, 'print' | 'printRuns'>,
): AsMade {
  const [columns, rows] = [sectionsOf(across), sectionsOf(down)];
  const printTop = printTopOf(piece, paper);
  return {
    grid: {
      columns: [...columns],
      rows: [...rows],
      roles: rows.map(() => columns.map(() => 'wall' as const)),
      lines: [],
      diagonals: [],
      tapers: [],
      cutouts: [],
      patches: [],
    },
    runs: [...runsOf('column', columns, down.cut), ...runsOf('row', rows, across.cut)],
    slits: [],
    notches: [],
    ticks: [],
    ...(printTop && { printTop }),
  };
}
