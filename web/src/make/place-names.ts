import type { Bounds } from '../fold/axonometric.ts';

/** A name in a picture, its middle at a place. */
export interface PictureName {
  readonly x: number;
  readonly y: number;
  readonly text: string;
}

interface Lettering {
  /** How high a line of text is, and how wide a letter about, as the picture counts. */
  readonly line: number;
  readonly letter: number;
  readonly bounds: Bounds;
}

function isOver(one: PictureName, other: PictureName, { line, letter }: Lettering): boolean {
  const wide = ((one.text.length + other.text.length) / 2) * letter;
  return Math.abs(one.x - other.x) < wide && Math.abs(one.y - other.y) < line;
}

/** Lines by which a name may be moved so that it lies over no other one, the nearest first. */
const moves = [0, 1, -1, 2, -2];

/** Names moved as little as it takes for none to lie over another one or beyond the picture; each of them once. */
export function placeNames(
  names: readonly PictureName[],
  lettering: Lettering,
): readonly PictureName[] {
  const { line, letter, bounds } = lettering;
  const placed: PictureName[] = [];
  for (const name of names) {
    if (placed.some(({ text }) => text === name.text)) continue;
    const half = (name.text.length * letter) / 2;
    const left = bounds.left + half;
    const right = bounds.left + bounds.width - half;
    const x =
      left > right ? bounds.left + bounds.width / 2 : Math.min(Math.max(name.x, left), right);
    const free = moves
      .map((move): PictureName => ({ ...name, x, y: name.y + move * line }))
      .find((moved) => placed.every((other) => !isOver(moved, other, lettering)));
    if (free) placed.push(free);
  }
  return placed;
}
