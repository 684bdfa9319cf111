import type { Kit } from '../../index.ts';
import { turnedBy, type Card, type Line } from './card.ts';

/** A notch and a line at 45° on a diagonal board, from a place on the upper edge down to the left. */
export function punchedAt(card: Card, at: number): Card {
  const long = Math.min(at, card.height);
  return {
    ...card,
    notches: [...card.notches, { x: at, y: 0 }],
    scores: [
      ...card.scores,
      [
        { x: at, y: 0 },
        { x: at - long, y: long },
      ],
    ],
  };
}

/** The lines that a corner board leaves, at all four corners of a sheet. */
export function cornersPunched(card: Card, mark: number, { cornerBoard }: Kit): Card {
  const long = (cornerBoard?.lineLength ?? 0) / 1e6;
  let now = card;
  for (let turn = 0; turn < 4; turn++) {
    const lines: readonly Line[] = [
      [
        { x: mark, y: 0 },
        { x: mark, y: Math.min(long, now.height) },
      ],
      [
        { x: 0, y: mark },
        { x: Math.min(long, now.width), y: mark },
      ],
      [
        { x: 0, y: 0 },
        { x: mark, y: mark },
      ],
    ];
    now = turnedBy({ ...now, scores: [...now.scores, ...lines] }, 1);
  }
  return now;
}

/** The lines of the other sides on a diagonal board: each follows the ends of those before. */
export function followed(card: Card, lines: number, sideCount: number): Card {
  let now = card;
  for (let side = 0; side < sideCount; side++) {
    now = turnedBy(now, 1);
    // The lines scored last end on the upper edge now.
    const ends = now.scores.slice(-lines).map(([a, b]) => (a.y < 0.01 ? a.x : b.x));
    for (const end of ends) now = punchedAt(now, end);
  }
  return now;
}
