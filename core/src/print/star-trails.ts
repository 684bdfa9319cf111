import { millimetres } from '../length/index.ts';
import { arc, circle, polygon } from './paths.ts';
import type { OwnPrint } from './own-print.ts';

const [width, height] = [60, 76];
const pole = { x: 27, y: 30 };

/** Trails of stars about the pole: each its own length, with gaps that never line up. */
const trails = Array.from({ length: 9 }, (_, i) => {
  const radius = 2.6 + i * 2.9;
  const [first, second] = [i * 137.5, i * 137.5 + 165 + 20 * (i % 3)];
  return [
    arc(pole, radius, { from: first, over: 62 + 23 * (i % 4) }),
    arc(pole, radius, { from: second, over: 40 + 17 * ((i + 2) % 4) }),
  ].join('');
}).join('');

/** The height of the hill's edge at a place, the same at both sides of the repeat. */
function hillAt(x: number): number {
  const turn = (2 * Math.PI * x) / width;
  return 66 - 3.2 * Math.cos(turn - 2.9) - 1.1 * Math.sin(2 * turn);
}

const edge = Array.from({ length: 31 }, (_, i) => ({ x: i * 2, y: hillAt(i * 2) }));
const hill = polygon([...edge, { x: width, y: height }, { x: 0, y: height }]);

/** The observatory on top of it, with its slit open to the pole. */
const ground = hillAt(28);
const dome = `M24 ${ground - 3}A4 4 0 0 1 27.2 ${ground - 6.9}L28.6 ${ground - 3.2}L29.2 ${ground - 6.8}A4 4 0 0 1 32 ${ground - 3}V${ground + 2}H24Z`;

const stars = [
  { x: 56, y: 5 },
  { x: 5, y: 59 },
  { x: 57, y: 54 },
  { x: 3, y: 3 },
  { x: 51, y: 61 },
]
  .map((place, i) => circle(place, 0.45 + 0.15 * (i % 3)))
  .join('');

/** A night sky that has turned above a hilltop. */
export const starTrails: OwnPrint = {
  name: 'star trails',
  width,
  height,
  shapes: [
    { path: trails, line: 0.55, strength: 0.85 },
    { path: circle(pole, 0.8), strength: 1 },
    { path: stars, strength: 0.9 },
    { path: hill, strength: 0.42 },
    { path: dome, strength: 0.95 },
  ],
  runs: 'one way',
  usually: millimetres(50),
};
