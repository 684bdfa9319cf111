import { minus, plus, zero, type Length } from '../length/index.ts';
import type { ChainMarks, MarkTools, ScoreReading } from './marks-problem.ts';
import { meansOf } from './on-mark.ts';

/**
 * Reads the scores of a chain, those before one turn of the piece from the start and the others from the
 * end. The turn is chosen so that most readings are on a groove within reach, and then so that they are
 * small: a small number is easier to reach than a large one. Where scores are measured from the first edge
 * only, there is no turn.
 */
export function readChain(
  id: string,
  sections: readonly Length[],
  tools: Pick<MarkTools, 'pitch' | 'reach' | 'shim' | 'edges'>,
): ChainMarks {
  const cut = plus(...sections);
  let position = zero;
  const positions = sections.slice(0, -1).map((section) => (position = plus(position, section)));
  let best:
    | { readonly scores: readonly ScoreReading[]; off: number; shims: number; sum: number }
    | undefined;
  const first = tools.edges === 'first' ? positions.length : 0;
  for (let turn = first; turn <= positions.length; turn++) {
    const scores = positions.map((at, before): ScoreReading => {
      const from = before < turn ? 'start' : 'end';
      const reading = from === 'start' ? at : minus(cut, at);
      const means = meansOf(reading, tools);
      return {
        index: before + 1,
        position: at,
        from,
        reading,
        onGroove: means !== 'none',
        ...(means === 'shim' && { shimmed: true }),
      };
    });
    const off = scores.filter(({ onGroove }) => !onGroove).length;
    const sum = scores.reduce((total, { reading }) => total + reading, 0);
    const shims = scores.filter(({ shimmed }) => shimmed).length;
    if (!best || (off - best.off || shims - best.shims || sum - best.sum) < 0)
      best = { scores, off, shims, sum };
  }
  return { id, cut, scores: best?.scores ?? [] };
}
