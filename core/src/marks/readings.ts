import { minus, plus, zero, type Length } from '../length/index.ts';
import type { ChainMarks, MarkTools, ScoreReading } from './marks-problem.ts';
import { meansOf } from './on-mark.ts';

type Readers = Pick<MarkTools, 'pitch' | 'reach' | 'shim' | 'edges'>;

const rank = { groove: 0, shim: 1, none: 2 } as const;

/**
 * A score read from the edge that has a groove for it within reach, or with the shim at least; where both have, from
 * the nearer one, since a small number is easier to reach than a large one.
 */
function readScore(index: number, position: Length, cut: Length, tools: Readers): ScoreReading {
  const fromEnd = minus(cut, position);
  const [start, end] = [meansOf(position, tools), meansOf(fromEnd, tools)];
  const isStart = tools.edges === 'first' || (rank[start] - rank[end] || position - fromEnd) <= 0;
  const means = isStart ? start : end;
  return {
    index,
    position,
    from: isStart ? 'start' : 'end',
    reading: isStart ? position : fromEnd,
    onGroove: means !== 'none',
    ...(means === 'shim' && { shimmed: true }),
  };
}

/** Reads the scores of a chain; where scores are measured from the first edge only, there is no other. */
export function readChain(id: string, sections: readonly Length[], tools: Readers): ChainMarks {
  const cut = plus(...sections);
  const scores: ScoreReading[] = [];
  let position = zero;
  for (const section of sections.slice(0, -1)) {
    position = plus(position, section);
    scores.push(readScore(scores.length + 1, position, cut, tools));
  }
  return { id, cut, scores };
}
