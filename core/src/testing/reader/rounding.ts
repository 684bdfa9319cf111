import { isThere, type Card, type Gone, type Place } from './card.ts';
import { figure, lengthOf } from './english.ts';
import { cornersOf, gone, placeOf } from './places.ts';
import type { Act } from './scores.ts';

function isInside({ width, height }: Card, { x, y }: Place): boolean {
  return x > 0 && y > 0 && x < width && y < height;
}

const disc = new RegExp(
  `^(?:Draw along something round, (${figure}) wide, that touches all four edges, and cut the disc out along it|Punch the disc out with the .+: it is (${figure}) wide, and touches all four edges)\\.$`,
);

/** Corners rounded: two sentences, where along something round or along points. */
export function rounding(
  said: string,
  next: string,
): { readonly act: Act; readonly used: number } | undefined {
  if (disc.test(said))
    return {
      used: 1,
      act: (card) => {
        const { width, height } = card;
        const centre = { x: width / 2, y: height / 2 };
        const [, drawn, punched = ''] = disc.exec(said) ?? [];
        const across = lengthOf(drawn ?? punched);
        if (Math.abs(width - across) > 1 || Math.abs(height - across) > 1)
          throw new Error(`It does not touch all edges of ${width} × ${height}: “${said}”`);
        return gone(
          card,
          [0, width].flatMap((x) =>
            [0, height].map((y): Gone => ({ kind: 'corner', sharp: { x, y }, centre })),
          ),
        );
      },
    };
  const { corners, rest } = cornersOf(said);
  const found = /^round the [a-z ]+? at (.+?)(?: with the (.+?)(?:, from (.+) to (.+))?)?\.$/.exec(
    rest,
  );
  if (!found) return undefined;
  const [, place = '', punch, punchedFrom, punchedTo] = found;
  const width = new RegExp(
    `^Draw along something round, (${figure}) wide, that touches both edges\\.$`,
  ).exec(next);
  const between = new RegExp(
    `draw along something round, (${figure}) wide, from (.+) to (the (?:point|corner|top|bottom).*)\\.$`,
    'i',
  ).exec(next);
  const curve = /draw a smooth curve from (.+), and cut along it\.$/i.exec(next);
  if (punch === undefined && !width && !curve && !between)
    throw new Error(`How round: “${said} ${next}”`);
  return {
    used: punch === undefined ? 2 : 1,
    act: (card) =>
      gone(
        card,
        corners.map((corner): Gone => {
          const sharp = placeOf(card, place, corner);
          if (curve) {
            const points = (curve[1] ?? '').split('; ').map((each) => placeOf(card, each, corner));
            const [first, last] = [points[0], points[points.length - 1]];
            if (!first || !last) throw new Error('A curve has two ends');
            // Where the curve leaves the level edge and meets the upright one.
            return { kind: 'corner', sharp, centre: { x: first.x, y: last.y } };
          }
          if (between || punchedFrom !== undefined) {
            const [onEnd = '', onSide = ''] = between ? between.slice(2) : [punchedFrom, punchedTo];
            const [a, b] = [onEnd, onSide].map((each) => placeOf(card, each, corner));
            if (a && b) return { kind: 'corner', sharp, centre: { x: a.x, y: b.y } };
          }
          const radius =
            punch === undefined
              ? lengthOf(width?.[1] ?? '') / 2
              : lengthOf(/^(.+? (?:in|mm))/.exec(punch)?.[1] ?? '');
          // Towards where there is card.
          const ways = [-1, 1].flatMap((x) => [-1, 1].map((y) => ({ x, y })));
          const way = ways.find(
            ({ x, y }) =>
              isThere(card, { x: sharp.x + x * 1.2, y: sharp.y + y * 1.2 }) &&
              isInside(card, { x: sharp.x + x * 1.2, y: sharp.y + y * 1.2 }),
          );
          if (!way) throw new Error('Nothing to round');
          return {
            kind: 'corner',
            sharp,
            centre: { x: sharp.x + way.x * radius, y: sharp.y + way.y * radius },
          };
        }),
      ),
  };
}
