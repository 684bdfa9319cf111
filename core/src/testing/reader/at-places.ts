import type { Card, Line } from './card.ts';
import { figure, figures, lengthOf, lengthsOf } from './english.ts';
import {
  at,
  box,
  cornerFrom,
  edge,
  gone,
  isSideEdge,
  placeOf,
  ring,
  snapped,
  stretch,
  type Corner,
} from './places.ts';
import { near } from './lying.ts';

type Patterns = readonly (readonly [
  RegExp,
  (card: Card, corner: Corner | undefined, ...said: (string | undefined)[]) => Card,
])[];

const range = String.raw`[\d/. ]+ to [\d/. ]+ (?:in|mm)`;

/** What is done at a corner, or at a place. */
export const atPlaces: Patterns = [
  [
    /^score along a ruler from (.+) to (the (?:point|corner|top|bottom).*)$/,
    (card, corner, from = '', to = '') => {
      const [a, b] = [from, to].map((place) => snapped(card, placeOf(card, place, corner)));
      return a && b ? { ...card, scores: [...card.scores, [a, b]] } : card;
    },
  ],
  [
    new RegExp(`^slit the lines? (${figures}?) from the (${edge}), (.+)$`),
    (card, corner, row = '', along = '', how = '') => {
      const lines = lengthsOf(row).map((line): Line => {
        const upright = isSideEdge(along);
        const deep = new RegExp(
          `^from the (${edge})(?: up to the (\\w+) score across,)? (${figure}) deep$`,
        ).exec(how);
        const within = new RegExp(`^from (${range}) from the (${edge})$`).exec(how);
        const other = deep?.[1] ?? within?.[2] ?? '';
        const where = corner ?? cornerFrom(along, other);
        const [from, to] = deep ? [0, lengthOf(deep[3] ?? '')] : stretch(within?.[1] ?? '');
        const ends = [from, to].map((far) => {
          const place = upright ? at(card, where, line, far) : at(card, where, far, line);
          return snapped(card, place);
        });
        const origin = { x: 0, y: 0 };
        const slit: Line = [ends[0] ?? origin, ends[1] ?? origin];
        if (deep?.[2] !== undefined) checkUpTo(card, slit, deep[2]);
        return slit;
      });
      return { ...card, slits: [...card.slits, ...lines] };
    },
  ],
  [
    new RegExp(
      `^(?:(?:to trim|for) the .+?, )?cut away (?:a block|the (.+) corner), (${figure}) wide and (${figure}) high$`,
    ),
    (card, corner, named, wide = '', high = '') => {
      const where = corner ?? named;
      if (where === undefined) throw new Error('Which corner?');
      return gone(card, [box(card, where, [0, lengthOf(wide)], [0, lengthOf(high)])]);
    },
  ],
  [
    new RegExp(
      `^(?:(?:to trim|for) the .+?, )?cut away a block at the (${edge}), from (${range}) from the (${edge}), (${figure}) deep$`,
    ),
    (card, corner, along = '', part = '', from = '', deep = '') => {
      const where = corner ?? cornerFrom(along, from);
      const depth: readonly [number, number] = [0, lengthOf(deep)];
      return gone(card, [
        isSideEdge(along)
          ? box(card, where, depth, stretch(part))
          : box(card, where, stretch(part), depth),
      ]);
    },
  ],
  [
    new RegExp(
      `^(?:(?:to trim|for) the .+?, )?cut away a block from (${range}) from the (${edge}) and from (${range}) from the (${edge})$`,
    ),
    (card, corner, one = '', first = '', other = '', second = '') => {
      const where = corner ?? cornerFrom(first, second);
      return gone(card, [box(card, where, stretch(one), stretch(other))]);
    },
  ],
  [
    new RegExp(
      `^(?:(?:to trim|for) the .+?, )?cut the (?:(.+) )?corner off straight, from (${figure}) along the ${edge} to (${figure}) along the ${edge}$`,
    ),
    (card, corner, named, across = '', down = '') => {
      const where = corner ?? named;
      if (where === undefined) throw new Error('Which corner?');
      return gone(card, [
        ring(card, [
          at(card, where, 0, 0),
          at(card, where, lengthOf(across), 0),
          at(card, where, 0, lengthOf(down)),
        ]),
      ]);
    },
  ],
  [
    /^(?:(?:to trim|for) the .+?, )?cut away what lies between (.+)$/,
    (card, corner, points = '') =>
      gone(card, [
        ring(
          card,
          points.split('; ').map((point) => placeOf(card, point, corner)),
        ),
      ]),
  ],
  [
    /^cut a (?:slit for the ears|slit for the gift|slit for the ribbon|hook slit|slot) from (.+) to (the point.*|the .+ corner)$/,
    (card, corner, from = '', to = '') => {
      const [a, b] = [from, to].map((place) => placeOf(card, place, corner));
      return a && b ? { ...card, slits: [...card.slits, [a, b]] } : card;
    },
  ],
  [
    /^(?:punch|cut) an? [a-z ]+?(?: with the (.+)| (\d[\d/. ]* (?:in|mm)) across), its middle at (.+)$/,
    (card, corner, punch, across, place = '') => {
      const centre = placeOf(card, place, corner);
      const size = lengthOf(across ?? /^(.+? (?:in|mm))/.exec(punch ?? '')?.[1] ?? '');
      return {
        ...gone(card, [{ kind: 'round', centre, radius: size / 2 }]),
        holes: [...card.holes, centre],
      };
    },
  ],
  [
    new RegExp(
      `^cut a half-round [a-z ]+? into (.+?), (${figure}) wide, its middle (${figure}) from the (${edge})$`,
    ),
    (card, corner, into = '', wide = '', along = '', from = '') =>
      notched(card, corner, into, lengthOf(wide), lengthOf(along), from),
  ],
  [
    new RegExp(
      `^punch the border into (.+?) with the .+?, (${figure}) wide, its middle (${figure}) from the (${edge})$`,
    ),
    (card, corner, into = '', wide = '', along = '', from = '') =>
      notched(card, corner, into, lengthOf(wide) / 2, lengthOf(along), from),
  ],
  [
    new RegExp(
      `^push the (.+?) half over (.+?) and punch a [a-z ]+?, its middle (${figure}) from the (${edge})$`,
    ),
    (card, corner, punch = '', into = '', along = '', from = '') =>
      notched(
        card,
        corner,
        into,
        lengthOf(/^(.+? (?:in|mm))/.exec(punch)?.[1] ?? ''),
        lengthOf(along),
        from,
      ),
  ],
];

/** A slit goes as far as the score that it is said to end at. */
function checkUpTo(card: Card, [from, to]: Line, nth: string): void {
  const places = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth'];
  const upright = Math.abs(from.x - to.x) < 0.01;
  const [start, end] = upright ? [from.y, to.y] : [from.x, to.x];
  const crossing = card.scores.filter(([a, b]) => {
    const isAcross = upright ? Math.abs(a.y - b.y) < 0.01 : Math.abs(a.x - b.x) < 0.01;
    const [here, one, other] = upright ? [from.x, a.x, b.x] : [from.y, a.y, b.y];
    return isAcross && here >= Math.min(one, other) - 0.3 && here <= Math.max(one, other) + 0.3;
  });
  const met = crossing
    .map(([a]) => (upright ? a.y : a.x))
    .filter((place) => (place - start) * (end - start) > 0.01)
    .map((place) => Math.abs(place - start));
  const inOrder = [...new Set(met.map((each) => Math.round(each * 20)))].sort((a, b) => a - b);
  const wanted = inOrder[places.indexOf(nth)];
  if (wanted === undefined || Math.abs(wanted / 20 - Math.abs(end - start)) > near)
    throw new Error(
      `The ${nth} score is elsewhere than ${Math.abs(end - start).toFixed(2)}: ${inOrder.map((each) => each / 20).join(', ')}`,
    );
}

function notched(
  card: Card,
  corner: Corner | undefined,
  into: string,
  wide: number,
  along: number,
  from: string,
): Card {
  const inner = new RegExp(`^the edge (${figure}) from the (${edge})$`).exec(into);
  const name = inner?.[2] ?? into.replace(/^the /, '');
  const where = corner ?? cornerFrom(name, from);
  const off = inner ? lengthOf(inner[1] ?? '') : 0;
  const centre = snapped(
    card,
    isSideEdge(name) ? at(card, where, off, along) : at(card, where, along, off),
  );
  const middle = isSideEdge(name)
    ? { x: centre.x, y: at(card, where, 0, along).y }
    : { x: at(card, where, along, 0).x, y: centre.y };
  return {
    ...gone(card, [{ kind: 'round', centre: middle, radius: wide / 2 }]),
    notches: [...card.notches, middle],
  };
}
