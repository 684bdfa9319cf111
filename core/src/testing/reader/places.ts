import type { Card, Gone, Place } from './card.ts';
import { figure, lengthOf, wordsOf } from './english.ts';
import { near } from './lying.ts';

/** One corner of a card, as something is measured from it. */
export type Corner = string;

export const allCorners: readonly Corner[] = [
  'top left',
  'top right',
  'bottom left',
  'bottom right',
];

export const edge = '(?:left|right|side|top|bottom|top or bottom) edge';

export function at({ width, height }: Card, corner: Corner, across: number, down: number): Place {
  return {
    x: corner.endsWith('left') ? across : width - across,
    y: corner.startsWith('top') ? down : height - down,
  };
}

/** Whether an edge is one of the two that go up and down. */
export function isSideEdge(name: string): boolean {
  return /^(?:left|right|side) edge$/.test(name);
}

/** The corner that named edges belong to, where the sentence names none. */
export function cornerFrom(...edges: readonly string[]): Corner {
  const top = edges.includes('bottom edge') ? 'bottom' : 'top';
  return `${top} ${edges.includes('right edge') ? 'right' : 'left'}`;
}

/** A place as it is told: `the point 1 in from the left edge and 2 in from the top edge`. */
export function placeOf(card: Card, said: string, corner: Corner | undefined): Place {
  if (said === 'the corner') {
    if (!corner) throw new Error('Which corner?');
    return at(card, corner, 0, 0);
  }
  const named = /^the (top left|top right|bottom left|bottom right) corner$/.exec(said)?.[1];
  if (named !== undefined) return at(card, named, 0, 0);
  const on = new RegExp(`^the point on the (${edge}) (${figure}) from the (${edge})$`).exec(said);
  if (on) {
    const [, first = '', distance = '', second = ''] = on;
    const where = corner ?? cornerFrom(first, second);
    const length = lengthOf(distance);
    return isSideEdge(first) ? at(card, where, 0, length) : at(card, where, length, 0);
  }
  const point = new RegExp(
    `^the point (${figure}) from the (${edge}) and (${figure}) from the (${edge})$`,
  ).exec(said);
  if (!point) throw new Error(`Where is “${said}”?`);
  const [, one = '', first = '', other = '', second = ''] = point;
  const where = corner ?? cornerFrom(first, second);
  return isSideEdge(first)
    ? at(card, where, lengthOf(one), lengthOf(other))
    : at(card, where, lengthOf(other), lengthOf(one));
}

/** What was told as near as a ruler is read lies on the line or the edge that is there. */
export function snapped(card: Card, place: Place): Place {
  const on = (value: number, lines: readonly number[], whole: number) => {
    const found = [0, whole, ...lines]
      .map((line) => ({ line, off: Math.abs(line - value) }))
      .sort((a, b) => a.off - b.off)[0];
    return found && found.off < near ? found.line : value;
  };
  const straight = [...card.scores, ...card.ticks];
  const xs = straight.filter(([a, b]) => Math.abs(a.x - b.x) < 0.01).map(([a]) => a.x);
  const ys = straight.filter(([a, b]) => Math.abs(a.y - b.y) < 0.01).map(([a]) => a.y);
  return { x: on(place.x, xs, card.width), y: on(place.y, ys, card.height) };
}

/** `At each corner, …`: the corners that a sentence is about, and what it says of each. */
export function cornersOf(said: string): {
  readonly corners: readonly (Corner | undefined)[];
  readonly rest: string;
} {
  const each = /^At each corner, (.+)$/.exec(said);
  if (each) return { corners: allCorners, rest: each[1] ?? '' };
  const some = /^At ((?:the (?:top|bottom) (?:left|right)(?:, | and )?)+) corner, (.+)$/.exec(said);
  if (some) return { corners: wordsOf(some[1] ?? ''), rest: some[2] ?? '' };
  return { corners: [undefined], rest: `${said.charAt(0).toLowerCase()}${said.slice(1)}` };
}

export function gone(card: Card, more: readonly Gone[]): Card {
  return { ...card, gone: [...card.gone, ...more] };
}

export function ring(card: Card, places: readonly Place[]): Gone {
  return { kind: 'ring', ring: places.map((place) => snapped(card, place)) };
}

export function box(
  card: Card,
  corner: Corner,
  across: readonly [number, number],
  down: readonly [number, number],
): Gone {
  return ring(card, [
    at(card, corner, across[0], down[0]),
    at(card, corner, across[1], down[0]),
    at(card, corner, across[1], down[1]),
    at(card, corner, across[0], down[1]),
  ]);
}

export function stretch(said: string): readonly [number, number] {
  const [, from = '', to = ''] = new RegExp(`^([\\d/. ]+) to (${figure})$`).exec(said) ?? [];
  return [lengthOf(`${from} ${to.endsWith('mm') ? 'mm' : 'in'}`), lengthOf(to)];
}
