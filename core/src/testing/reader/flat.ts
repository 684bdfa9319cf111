import type { Kit } from '../../index.ts';
import { atPlaces } from './at-places.ts';
import { turnedBy, type Card, type Place } from './card.ts';
import { countOf, figure, lengthOf } from './english.ts';
import { tapering } from './parts.ts';
import { cornersOf, gone, placeOf } from './places.ts';
import { cornersPunched, followed, punchedAt } from './punching.ts';
import { rounding } from './rounding.ts';
import { ruled, scoring, type Act, type Tool } from './scores.ts';

/** What lies outside of a straight-sided shape is cut away. */
function outlined(card: Card, points: readonly Place[]): Card {
  const { width, height } = card;
  // One ring with a slit: round the card, then round the shape the other way.
  const round: readonly Place[] = [
    { x: -1, y: -1 },
    { x: width + 1, y: -1 },
    { x: width + 1, y: height + 1 },
    { x: -1, y: height + 1 },
    { x: -1, y: -1 },
  ];
  const [first] = points;
  return gone(card, [{ kind: 'ring', ring: [...round, ...points, ...(first ? [first] : [])] }]);
}

/** Everything that is told of a flat piece that lies as was said. */
export function doneTo(
  start: Card,
  sentences: readonly string[],
  kit: Kit,
  isBoard: boolean,
): Card {
  let card = start;
  let shim = 0;
  const tool: Tool = isBoard
    ? { kind: 'board', fence: kit.board.fence }
    : { kind: 'tip', fence: 'left' };
  // What is done again after a turn.
  const acts: Act[] = [];
  const again = (quarters: number) => {
    card = turnedBy(card, quarters);
    for (const act of acts) card = act(card);
  };
  for (let i = 0; i < sentences.length; i++) {
    const said = sentences[i] ?? '';
    if (/^(?:Score lightly|Use the trimmer’s scoring tip)/.test(said)) continue;
    const laidShim = new RegExp(
      `^Lay the (${figure}) shim between the fence and the piece\\.$`,
    ).exec(said);
    if (laidShim) {
      shim = lengthOf(laidShim[1] ?? '');
      continue;
    }
    const score = scoring(said, tool, kit, shim) ?? ruled(said) ?? tapering(said);
    if (score) {
      acts.push(score);
      card = score(card);
      continue;
    }
    if (said === 'Turn it a quarter clockwise and do the same.') again(1);
    else if (said === 'Turn it half round and do the same.') again(2);
    else if (said === 'Turn it a quarter anticlockwise and do the same.') again(3);
    else if (
      said === 'Do the same on the other three sides; turn it a quarter clockwise each time.'
    )
      for (let turn = 0; turn < 3; turn++) again(1);
    else {
      const round = rounding(said, sentences[i + 1] ?? '');
      if (round) {
        card = round.act(card);
        i += round.used - 1;
        continue;
      }
      const shape = /^Mark these points in pencil: (.+)\.$/.exec(said);
      if (
        shape &&
        sentences[i + 1] === 'Cut straight from each to the next, and from the last to the first.'
      ) {
        card = outlined(
          card,
          (shape[1] ?? '').split('; ').map((point) => placeOf(card, point, undefined)),
        );
        i++;
        continue;
      }
      const lines = /two lines in all\.$/.exec(sentences[i + 3] ?? '');
      if (said === 'Turn it a quarter clockwise.' && lines) {
        const count =
          /^Turn and do so on (\w+) sides in all\.$/.exec(sentences[i + 4] ?? '')?.[1] ?? '';
        card = followed(card, 2, countOf(count));
        i += 4;
        continue;
      }
      const diagonal = new RegExp(
        `^Lay the top edge at the fence, with the top left corner at (${figure})\\.$`,
      ).exec(said);
      if (diagonal) {
        card = punchedAt(card, lengthOf(diagonal[1] ?? ''));
        i++;
        continue;
      }
      const corner = new RegExp(`^Put a corner at the mark(?: “.+”,)? (${figure})\\.$`).exec(said);
      if (corner) {
        card = cornersPunched(card, lengthOf(corner[1] ?? ''), kit);
        i += 2;
        continue;
      }
      const { corners, rest } = cornersOf(said.replace(/\.$/, ''));
      const found = atPlaces.find(([pattern]) => pattern.test(rest));
      if (!found) throw new Error(`What is “${said}”?`);
      const [pattern, act] = found;
      const words = (pattern.exec(rest) ?? []).slice(1);
      for (const each of corners) card = act(card, each, ...words);
    }
  }
  return card;
}
