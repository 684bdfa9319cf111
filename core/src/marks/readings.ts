import { minus, plus, zero, type Length } from '../length/index.ts';
import type { ChainMarks, MarkTools, ScoreReading } from './marks-problem.ts';
import { meansOf } from './on-mark.ts';

type Readers = Pick<MarkTools, 'pitch' | 'reach' | 'shim' | 'edges'>;

const rank = { groove: 0, shim: 1, none: 2 } as const;

/** A score read from one edge. */
interface Read {
  readonly from: ScoreReading['from'];
  readonly reading: Length;
  readonly means: keyof typeof rank;
}

/** The better of two ways to read a score: on a groove, or with the shim at least, then the smaller figure. */
function better(one: Read, other: Read): Read {
  const difference = rank[one.means] - rank[other.means] || one.reading - other.reading;
  return difference <= 0 ? one : other;
}

/**
 * Reads the scores of a chain, each from the edge that has a groove for it within reach; where both have, from
 * the nearer one, since a small number is easier to reach than a large one. Where scores are measured from the
 * first edge only, there is no other.
 */
export function readChain(id: string, sections: readonly Length[], tools: Readers): ChainMarks {
  const cut = plus(...sections);
  const readFrom = (from: Read['from'], reading: Length): Read => ({
    from,
    reading,
    means: meansOf(reading, tools),
  });
  let position = zero;
  const scores = sections.slice(0, -1).map((section, before): ScoreReading => {
    position = plus(position, section);
    const fromStart = readFrom('start', position);
    const { from, reading, means } =
      tools.edges === 'first'
        ? fromStart
        : better(fromStart, readFrom('end', minus(cut, position)));
    return {
      index: before + 1,
      position,
      from,
      reading,
      onGroove: means !== 'none',
      ...(means === 'shim' && { shimmed: true }),
    };
  });
  return { id, cut, scores };
}

/**
 * Whether a chain whose scores are read so would miss grooves if it were turned once only: those before the turn
 * read from the start, the others from the end.
 */
export function needsTurns({ cut, scores }: ChainMarks, tools: Readers): boolean {
  if (tools.edges === 'first') return false;
  const rankFrom = (from: Read['from'], position: Length) =>
    rank[meansOf(from === 'start' ? position : minus(cut, position), tools)];
  const best = scores.map(({ position, from }) => rankFrom(from, position));
  const isAsGood = (turn: number) =>
    scores.every(
      ({ position }, i) => rankFrom(i < turn ? 'start' : 'end', position) <= (best[i] ?? 0),
    );
  for (let turn = 0; turn <= scores.length; turn++) if (isAsGood(turn)) return false;
  return true;
}
