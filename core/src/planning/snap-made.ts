import { snapToGrid } from '../length/index.ts';
import type { MadeWay } from '../request/index.ts';
import { cuttingMeans, scoringMeans, type Kit } from '../tools/index.ts';

/**
 * What is made already, each cut and score on the mark of these tools that it misses by a hair: a maker who
 * types 15.88 mm means the groove at 5/8 in.
 */
export function snapMade(made: readonly MadeWay[], kit: Kit): readonly MadeWay[] {
  const step = cuttingMeans(kit)?.step ?? kit.trimmer.step;
  const pitch = scoringMeans(kit)?.step ?? kit.board.pitch;
  return made.map((way) => ({
    ...way,
    cut: snapToGrid(way.cut, step),
    marks: way.marks.map((mark) => ({ ...mark, at: snapToGrid(mark.at, pitch) })),
  }));
}
