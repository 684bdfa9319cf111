import type { Kit } from '../../index.ts';
import type { Card, Line } from './card.ts';
import { figure, figures, lengthOf, lengthsOf } from './english.ts';
import { near } from './lying.ts';
import { snapped } from './places.ts';

export type Act = (card: Card) => Card;

function isOnGrooves(reading: number, { board }: Kit): boolean {
  const steps = (reading * 1e6) / board.pitch;
  return Math.abs(steps - Math.round(steps)) < 1e-3 && reading * 1e6 <= board.reach + 1;
}

/** A line as far down as it is told, at a distance from the fence. */
function lineAt(card: Card, x: number, from: number, to: number): Line {
  return [
    { x, y: Math.max(0, from) },
    { x, y: Math.min(card.height, to) },
  ];
}

/** Where scores are made: against a fence, or from the zero of the trimmer. */
export interface Tool {
  readonly kind: 'board' | 'tip';
  readonly fence: 'left' | 'right';
}

const finish = 'from the top edge down to where the score ends';

/** The stretch of a line that is told: `only from … to … below the top edge`. */
function stretchOf(card: Card, said: string, x: number): readonly [number, number] {
  if (said === '') return [0, card.height];
  const grooves = new RegExp(`^as far as the grooves go, (${figure}) down$`).exec(said);
  if (grooves) return [0, lengthOf(grooves[1] ?? '')];
  if (said === finish) {
    const there = card.scores.filter(
      ([a, b]) => Math.abs(a.x - x) < 0.2 && Math.abs(b.x - x) < 0.2,
    );
    if (there.length === 0) throw new Error('No score to finish');
    return [0, Math.min(...there.flatMap(([a, b]) => [a.y, b.y]))];
  }
  const top = new RegExp(`^only from the top edge to (${figure}) below it$`).exec(said);
  if (top) return [0, lengthOf(top[1] ?? '')];
  const bottom = new RegExp(`^only from (${figure}) below the top edge to the bottom edge$`).exec(
    said,
  );
  if (bottom) return [lengthOf(bottom[1] ?? ''), card.height];
  const both = new RegExp(`^only from ([\\d/. ]+) to (${figure}) below the top edge$`).exec(said);
  if (!both) throw new Error(`How far: “${said}”?`);
  const unit = (both[2] ?? '').endsWith('mm') ? 'mm' : 'in';
  return [lengthOf(`${both[1] ?? ''} ${unit}`), lengthOf(both[2] ?? '')];
}

/** Scores or ticks at figures, as one sentence tells them. */
export function scoring(said: string, tool: Tool, kit: Kit, shim: number): Act | undefined {
  const found = new RegExp(
    `^(Score|Mark both ends in pencil, without scoring,|Finish the score) (?:at|in the grooves? at) (${figures}?)((?:, (?!only|as far|from).+?)?)(?:, (only .+|as far .+|from the top edge down .+))?\\.$`,
  ).exec(said);
  if (!found) return undefined;
  const [, verb = '', row = '', words = '', stretch = ''] = found;
  if (words !== '' && !/(?:mark|halfway)/.test(words)) throw new Error(`What is “${words}”?`);
  const readings = lengthsOf(row);
  return (card) => {
    const lines = readings.map((reading): Line => {
      if (tool.kind === 'board' && !isOnGrooves(reading, kit))
        throw new Error(`No groove at ${reading}: “${said}”`);
      const away = reading - shim;
      const x = tool.fence === 'left' ? away : card.width - away;
      if (x < 0 || x > card.width) throw new Error(`Beside the card: “${said}”`);
      const [from, to] = stretchOf(card, stretch, x);
      if (tool.kind === 'board' && to > kit.board.grooveLength / 1e6 + near)
        throw new Error(`The grooves end before ${to}: “${said}”`);
      // A figure is meant for the line that it comes to; where a score ends is seen.
      const end = stretch === finish ? to : snapped(card, { x: 0, y: to }).y;
      return lineAt(card, x, snapped(card, { x: 0, y: from }).y, end);
    });
    return verb.startsWith('Mark')
      ? { ...card, ticks: [...card.ticks, ...lines] }
      : { ...card, scores: [...card.scores, ...lines] };
  };
}

/** Straight scores along a ruler, from a named edge. */
export function ruled(said: string): Act | undefined {
  const found = new RegExp(
    `^(Score along a ruler|Mark both ends in pencil, without scoring,) at (${figures}?) from the (left|right|top|bottom) edge(?:, only from (.+))?\\.$`,
  ).exec(said);
  if (!found) return undefined;
  const [, verb = '', row = '', side = '', part = ''] = found;
  return (card) => {
    const upright = side === 'left' || side === 'right';
    const long = upright ? card.height : card.width;
    let [from, to] = [0, long];
    if (part !== '') {
      const start = new RegExp(`^the (?:top|left) edge to (${figure}) from it$`).exec(part);
      const end = new RegExp(
        `^(${figure}) from the (?:top|left) edge to the (?:bottom|right) edge$`,
      ).exec(part);
      const both = new RegExp(`^([\\d/. ]+) to (${figure}) from the (?:top|left) edge$`).exec(part);
      if (start) to = lengthOf(start[1] ?? '');
      else if (end) from = lengthOf(end[1] ?? '');
      else if (both) {
        const unit = (both[2] ?? '').endsWith('mm') ? 'mm' : 'in';
        [from, to] = [lengthOf(`${both[1] ?? ''} ${unit}`), lengthOf(both[2] ?? '')];
      } else throw new Error(`How far: “${part}”?`);
    }
    const lines = lengthsOf(row).map((reading): Line => {
      const off =
        side === 'left' || side === 'top'
          ? reading
          : (upright ? card.width : card.height) - reading;
      const ends = upright
        ? [
            { x: off, y: from },
            { x: off, y: to },
          ]
        : [
            { x: from, y: off },
            { x: to, y: off },
          ];
      const [a, b] = ends.map((place) => {
        const on = snapped(card, place);
        return upright ? { x: off, y: on.y } : { x: on.x, y: off };
      });
      const origin = { x: 0, y: 0 };
      return [a ?? origin, b ?? origin];
    });
    return verb.startsWith('Mark')
      ? { ...card, ticks: [...card.ticks, ...lines] }
      : { ...card, scores: [...card.scores, ...lines] };
  };
}
