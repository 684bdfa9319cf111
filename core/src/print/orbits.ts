import { millimetres } from '../length/index.ts';
import { circle, onCircle } from './paths.ts';
import type { OwnPrint } from './own-print.ts';

interface System {
  readonly at: { readonly x: number; readonly y: number };
  readonly rings: readonly {
    readonly radius: number;
    readonly planet: number;
    readonly size: number;
  }[];
}

const systems: readonly System[] = [
  {
    at: { x: 15, y: 15 },
    rings: [
      { radius: 5, planet: 20, size: 0.9 },
      { radius: 8.6, planet: 215, size: 1.5 },
      { radius: 12.8, planet: 305, size: 1.1 },
    ],
  },
  {
    at: { x: 37, y: 39 },
    rings: [
      { radius: 4.4, planet: 130, size: 0.8 },
      { radius: 8, planet: 10, size: 1.3 },
    ],
  },
  { at: { x: 39, y: 14 }, rings: [{ radius: 5, planet: 250, size: 1 }] },
  { at: { x: 13, y: 39 }, rings: [{ radius: 6, planet: 60, size: 1.2 }] },
];

/** Planets on their ways round suns. */
export const orbits: OwnPrint = {
  name: 'orbits',
  width: 48,
  height: 50,
  shapes: [
    {
      path: systems
        .flatMap(({ at, rings }) => rings.map(({ radius }) => circle(at, radius)))
        .join(''),
      line: 0.4,
      strength: 0.65,
    },
    {
      path: systems.map(({ at, rings }) => circle(at, 1 + 0.5 * rings.length)).join(''),
      strength: 1,
    },
    {
      path: systems
        .flatMap(({ at, rings }) =>
          rings.map(({ radius, planet, size }) => circle(onCircle(at, radius, planet), size)),
        )
        .join(''),
      strength: 0.9,
    },
  ],
  runs: 'any way',
  usually: millimetres(40),
};
