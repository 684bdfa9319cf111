import {
  distanceTo,
  isThere,
  joined,
  type Card,
  type Gone,
  type Place,
  type Side,
} from './card.ts';
import { countOf, figure, lengthOf, wordsOf } from './english.ts';
import { allCorners, edge, gone, isSideEdge, snapped, stretch } from './places.ts';
import type { Act } from './scores.ts';

/** A part with its free end: the card between two lines, from its fold to its end. */
interface Part {
  readonly side: Side;
  readonly from: number;
  readonly to: number;
  readonly end: number;
}

/** Cuts off both flanks of a part, from so much at its end to so much at its fold. */
function tapered(card: Card, part: Part, inset: number, shoulder: number): readonly Gone[] {
  const { side, from, to, end } = part;
  const upright = side === 'left' || side === 'right';
  const along = (from + to) / 2;
  // The fold is the first score that crosses the part's middle, on the way in; two passes may meet there.
  const lines = joined(card.scores)
    .filter(([a, b]) => {
      const isAcross = upright ? Math.abs(a.x - b.x) < 0.01 : Math.abs(a.y - b.y) < 0.01;
      const [one, other] = upright ? [a.y, b.y] : [a.x, b.x];
      return isAcross && along > Math.min(one, other) && along < Math.max(one, other);
    })
    .map(([a]) => distanceTo(card, side, a))
    .filter((distance) => distance > end + 0.5);
  const fold = Math.min(...lines);
  if (!Number.isFinite(fold)) throw new Error('Where is its fold?');
  const spot = (far: number, far1: number): Place => {
    const { width, height } = card;
    switch (side) {
      case 'left':
        return { x: far, y: far1 };
      case 'right':
        return { x: width - far, y: far1 };
      case 'top':
        return { x: far1, y: far };
      case 'bottom':
        return { x: far1, y: height - far };
    }
  };
  return [
    [from, 1],
    [to, -1],
  ].map(([flank = 0, inward = 0]): Gone => ({
    kind: 'ring',
    ring: [
      spot(fold, flank),
      spot(end, flank),
      spot(end, flank + inward * inset),
      spot(fold, flank + inward * shoulder),
    ],
  }));
}

/** The parts that stand at an edge, or so far in from it, between slits and what is cut away. */
function partsAt(card: Card, side: Side, end: number): readonly Part[] {
  const upright = side === 'left' || side === 'right';
  const long = upright ? card.height : card.width;
  const probe = (along: number): Place => {
    const inwards = end + 0.3;
    if (side === 'left') return { x: inwards, y: along };
    if (side === 'right') return { x: card.width - inwards, y: along };
    return side === 'top' ? { x: along, y: inwards } : { x: along, y: card.height - inwards };
  };
  const slits = card.slits.flatMap(([a, b]) => {
    const runs = upright ? Math.abs(a.y - b.y) < 0.01 : Math.abs(a.x - b.x) < 0.01;
    const ends = [a, b].map((place) => distanceTo(card, side, place));
    const passes = Math.min(...ends) < end + 0.3 && Math.max(...ends) > end + 0.3;
    return runs && passes ? [upright ? a.y : a.x] : [];
  });
  const edges = [...new Set([0, long, ...slits])].sort((a, b) => a - b);
  const step = 0.25;
  /** Where card ends or begins between two places. */
  const border = (one: number, other: number): number => {
    const isFirst = isThere(card, probe(one));
    let [low, high] = [one, other];
    for (let i = 0; i < 12; i++) {
      const middle = (low + high) / 2;
      if (isThere(card, probe(middle)) === isFirst) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  };
  const parts: Part[] = [];
  for (const [i, from] of edges.entries()) {
    const to = edges[i + 1];
    if (to === undefined) continue;
    // What is there of this stretch, in one or several pieces.
    let start: number | undefined;
    for (let along = from + step / 2; along < to; along += step) {
      const isCard = isThere(card, probe(along));
      if (isCard) start ??= along - step / 2 <= from ? from : border(along - step, along);
      if ((!isCard || along + step >= to) && start !== undefined) {
        parts.push({ side, from: start, to: isCard ? to : border(along - step, along), end });
        start = undefined;
      }
    }
  }
  return parts.filter((part) => part.to - part.from > 1);
}

const roleWords = '(?:tab|flap|seam|rim|wall|lid panel|floor|corner)s?';

function whichParts(card: Card, which: string): readonly Part[] {
  const inCorners = new RegExp(
    `^the ${roleWords} in (each corner|.+ corner), whose end is at the (${edge})$`,
  ).exec(which);
  if (inCorners) {
    const [, corners = '', end = ''] = inCorners;
    const named = corners === 'each corner' ? allCorners : wordsOf(corners.replace(/ corner$/, ''));
    return named.map((corner) => {
      const side = isSideEdge(end)
        ? corner.endsWith('left')
          ? 'left'
          : 'right'
        : corner.startsWith('top')
          ? 'top'
          : 'bottom';
      const parts = partsAt(card, side, 0);
      const isFirst = isSideEdge(end) ? corner.startsWith('top') : corner.endsWith('left');
      const part = parts[isFirst ? 0 : parts.length - 1];
      if (!part) throw new Error(`No part in the ${corner} corner`);
      return part;
    });
  }
  const atEdges = new RegExp(
    `^(the|both|all (\\w+)|the (\\w+)) ${roleWords} (?:at|that ends? (${figure}) from) the ((?:\\w+)(?: and the \\w+)?) edge(?:, (.+) from the (left|top) edge)?$`,
  ).exec(which);
  if (!atEdges) throw new Error(`Taper which: “${which}”?`);
  const [, all = '', allCount, someCount, inFrom, edges = '', stretches] = atEdges;
  const said = inFrom === undefined ? 0 : lengthOf(inFrom);
  const inAll = all === 'both' ? 2 : all === 'the' ? 1 : countOf(allCount ?? someCount ?? '');
  // As many at one edge as at the other.
  const count = inAll / wordsOf(edges).length;
  return wordsOf(edges).flatMap((side) => {
    if (side !== 'left' && side !== 'right' && side !== 'top' && side !== 'bottom')
      throw new Error(`“${side}” is no edge`);
    // Where the end is told near a score, it was cut along it.
    const upright = side === 'left' || side === 'right';
    const told = upright
      ? { x: side === 'left' ? said : card.width - said, y: -9 }
      : { x: -9, y: side === 'top' ? said : card.height - said };
    const end = said === 0 ? 0 : distanceTo(card, side, snapped(card, told));
    const parts = partsAt(card, side, end);
    if (stretches === undefined) {
      if (parts.length !== count)
        throw new Error(`${parts.length} parts at the ${side}, and not ${count}: “${which}”`);
      return parts;
    }
    const wanted = stretches
      .split(/, | and /)
      .map((each) => stretch(each.replace(/^from /, '').trim()));
    if (wanted.length !== count) throw new Error(`${wanted.length} and not ${count}: “${which}”`);
    return wanted.map(([from, to]) => {
      const part = parts.find((each) => each.from < from + 0.8 && each.to > to - 0.8);
      if (!part)
        throw new Error(
          `No part from ${from} to ${to} at the ${side}: ${parts.map((each) => `${each.from.toFixed(1)}-${each.to.toFixed(1)}`).join(' ')}`,
        );
      const ends = [from, to].map((along) => {
        const on = snapped(card, { x: along, y: along });
        return side === 'left' || side === 'right' ? on.y : on.x;
      });
      return { side, from: ends[0] ?? from, to: ends[1] ?? to, end };
    });
  });
}

export function tapering(said: string): Act | undefined {
  const found = new RegExp(
    `^Taper (.+): cut off both flanks, from (${figure}) at the end to (nothing|${figure}) at the fold\\.$`,
  ).exec(said);
  if (!found) return undefined;
  const [, which = '', inset = '', atFold = ''] = found;
  const shoulder = atFold === 'nothing' ? 0 : lengthOf(atFold);
  return (card) => {
    const parts = whichParts(card, which);
    return gone(
      card,
      parts.flatMap((part) => tapered(card, part, lengthOf(inset), shoulder)),
    );
  };
}
