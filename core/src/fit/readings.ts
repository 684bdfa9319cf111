import { isOnGrid, minus, plus, zero, type Length } from '../length/index.ts';
import type { ChainMarks, MarkTools, ScoreReading } from './marks-problem.ts';

/**
 * Reads the scores of a chain, those before one turn of the piece from the start and the others from the
 * end. The turn is chosen so that most readings are on a groove within reach, and then so that they are
 * small: a small number is easier to reach than a large one.
 */
export function readChain(
  id: string,
  sections: readonly Length[],
  tools: Pick<MarkTools, 'pitch' | 'reach'>,
): ChainMarks {
  const cut = plus(...sections);
  let position = zero;
  const positions = sections.slice(0, -1).map((section) => (position = plus(position, section)));
  let best: { readonly scores: readonly ScoreReading[]; off: number; sum: number } | undefined;
  for (let turn = 0; turn <= positions.length; turn++) {
    const scores = positions.map((at, before): ScoreReading => {
      const from = before < turn ? 'start' : 'end';
      const reading = from === 'start' ? at : minus(cut, at);
      const onGroove = reading <= tools.reach && isOnGrid(reading, tools.pitch);
      return { index: before + 1, position: at, from, reading, onGroove };
    });
    const off = scores.filter(({ onGroove }) => !onGroove).length;
    const sum = scores.reduce((total, { reading }) => total + reading, 0);
    if (!best || off < best.off || (off === best.off && sum < best.sum))
      best = { scores, off, sum };
  }
  return { id, cut, scores: best?.scores ?? [] };
}
